import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { asId, type BuildId } from '@/core/shared/ids';
import { BenchScreen } from '@/screens/bench';
import { takeOpening } from '@/server/snapshot';
import { withWorkspace } from '../../with-workspace';

export const metadata: Metadata = { title: 'Bench' };

export default async function BenchPage({ params }: { params: Promise<{ build: string }> }) {
  const build = asId<BuildId>((await params).build);
  return withWorkspace((handle) => {
    const snapshot = takeOpening(handle, build);
    if (!snapshot) notFound();
    return <BenchScreen key={snapshot.build} snapshot={snapshot} />;
  });
}
