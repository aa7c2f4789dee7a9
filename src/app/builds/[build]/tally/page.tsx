import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { asId, type BuildId } from '@/core/shared/ids';
import { TallyScreen } from '@/screens/tally';
import { takeOpening } from '@/server/snapshot';
import { withWorkspace } from '../../../with-workspace';

export const metadata: Metadata = { title: 'Tally' };

export default async function TallyPage({ params }: { params: Promise<{ build: string }> }) {
  const build = asId<BuildId>((await params).build);
  return withWorkspace((handle) => {
    const snapshot = takeOpening(handle, build);
    if (!snapshot) notFound();
    return <TallyScreen snapshot={snapshot} />;
  });
}
