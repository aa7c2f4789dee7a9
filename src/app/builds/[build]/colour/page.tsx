import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { asId, type BuildId } from '@/core/shared/ids';
import { ColourScreen } from '@/screens/colour';
import { takeOpening } from '@/server/snapshot';
import { withWorkspace } from '../../../with-workspace';

export const metadata: Metadata = { title: 'Colour' };

export default async function ColourPage({ params }: { params: Promise<{ build: string }> }) {
  const build = asId<BuildId>((await params).build);
  return withWorkspace((handle) => {
    const snapshot = takeOpening(handle, build);
    if (!snapshot) notFound();
    return <ColourScreen key={snapshot.build} snapshot={snapshot} />;
  });
}
