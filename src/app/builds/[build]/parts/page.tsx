import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { asId, type BuildId } from '@/core/shared/ids';
import { PartsScreen } from '@/screens/parts';
import { takeOpening } from '@/server/snapshot';
import { withWorkspace } from '../../../with-workspace';

export const metadata: Metadata = { title: 'Parts' };

export default async function PartsPage({ params }: { params: Promise<{ build: string }> }) {
  const build = asId<BuildId>((await params).build);
  return withWorkspace((handle) => {
    const snapshot = takeOpening(handle, build);
    if (!snapshot) notFound();
    return <PartsScreen key={snapshot.build} snapshot={snapshot} />;
  });
}
