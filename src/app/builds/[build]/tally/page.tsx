import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { asId, type BuildId } from '@/core/shared/ids';
import { TallyScreen } from '@/screens/tally';
import { takeSnapshot } from '@/server/snapshot';
import { workspace } from '@/server/workspace';

export const metadata: Metadata = { title: 'Tally' };

export default async function TallyPage({ params }: { params: Promise<{ build: string }> }) {
  const snapshot = takeSnapshot(workspace(), asId<BuildId>((await params).build));
  if (!snapshot) notFound();
  return <TallyScreen snapshot={snapshot} />;
}
