import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { asId, type BuildId } from '@/core/shared/ids';
import { LookOverScreen } from '@/screens/look-over';
import { takeOpening } from '@/server/snapshot';
import { withWorkspace } from '../../../with-workspace';

export const metadata: Metadata = { title: 'Look over' };

export default async function LookOverPage({ params }: { params: Promise<{ build: string }> }) {
  const build = asId<BuildId>((await params).build);
  return withWorkspace((handle) => {
    const snapshot = takeOpening(handle, build);
    if (!snapshot) notFound();
    return <LookOverScreen key={snapshot.build} snapshot={snapshot} />;
  });
}
