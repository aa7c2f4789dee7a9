import { notFound } from 'next/navigation';
import { asId, type BuildId } from '@/core/shared/ids';
import { InspectPage } from '@/screens/inspect';
import { pageOpening } from '@/server/snapshot';
import { withWorkspace } from '../../../with-workspace';
import { buildTitle } from '../build-title';

export const generateMetadata = buildTitle('Inspect');

export default async function BuildPage({ params }: { params: Promise<{ build: string }> }) {
  const build = asId<BuildId>((await params).build);
  return withWorkspace((handle) => {
    const opening = pageOpening(handle, build);
    if (!opening) notFound();
    return <InspectPage key={build} opening={opening} />;
  });
}
