import { notFound } from 'next/navigation';
import { asId, type BuildId } from '@/core/shared/ids';
import { ColourPage } from '@/screens/colour';
import { pageOpening } from '@/server/snapshot';
import { withWorkspace } from '../../../with-workspace';
import { buildTitle } from '../build-title';

export const generateMetadata = buildTitle('Colour');

export default async function BuildPage({ params }: { params: Promise<{ build: string }> }) {
  const build = asId<BuildId>((await params).build);
  return withWorkspace((handle) => {
    const opening = pageOpening(handle, build);
    if (!opening) notFound();
    return <ColourPage key={build} opening={opening} />;
  });
}
