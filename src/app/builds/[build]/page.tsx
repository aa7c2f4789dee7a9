import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { asId, type BuildId } from '@/core/shared/ids';
import { BenchScreen } from '@/screens/bench';
import { takeSnapshot } from '@/server/snapshot';
import { workspace } from '@/server/workspace';

interface Props {
  readonly params: Promise<{ build: string }>;
}

export const metadata: Metadata = { title: 'Bench' };

export default async function BenchPage({ params }: Props) {
  const snapshot = takeSnapshot(workspace(), asId<BuildId>((await params).build));
  if (!snapshot) notFound();
  return <BenchScreen key={snapshot.build} snapshot={snapshot} />;
}
