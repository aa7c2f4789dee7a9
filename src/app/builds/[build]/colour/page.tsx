import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { asId, type BuildId } from '@/core/shared/ids';
import { ColourScreen } from '@/screens/colour';
import { takeSnapshot } from '@/server/snapshot';
import { workspace } from '@/server/workspace';

export const metadata: Metadata = { title: 'Colour' };

export default async function ColourPage({ params }: { params: Promise<{ build: string }> }) {
  const snapshot = takeSnapshot(workspace(), asId<BuildId>((await params).build));
  if (!snapshot) notFound();
  return <ColourScreen key={snapshot.build} snapshot={snapshot} />;
}
