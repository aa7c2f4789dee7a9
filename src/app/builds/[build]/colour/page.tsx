import { notFound } from 'next/navigation';
import { asId, type BuildId } from '@/core/shared/ids';
import { ColourPage } from '@/screens/colour';
import { colourPageOpening } from '@/server/snapshot';
import { withWorkspace } from '../../../with-workspace';
import { buildTitle } from '../build-title';

export const generateMetadata = buildTitle('Colour');

export default async function BuildPage({ params }: { params: Promise<{ build: string }> }) {
  const build = asId<BuildId>((await params).build);
  return withWorkspace((handle) => {
    const opened = colourPageOpening(handle, build);
    if (!opened) notFound();
    return <ColourPage key={build} {...opened} />;
  });
}
