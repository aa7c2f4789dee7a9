import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { asId, type BuildId } from '@/core/shared/ids';
import { LookOverScreen } from '@/screens/look-over';
import { takeSnapshot } from '@/server/snapshot';
import { workspace } from '@/server/workspace';

export const metadata: Metadata = { title: 'Look over' };

export default async function LookOverPage({ params }: { params: Promise<{ build: string }> }) {
  const snapshot = takeSnapshot(workspace(), asId<BuildId>((await params).build));
  if (!snapshot) notFound();
  return <LookOverScreen key={snapshot.build} snapshot={snapshot} />;
}
