import { notFound } from 'next/navigation';
import { asId, type BuildId } from '@/core/shared/ids';
import { PartsPage } from '@/screens/parts';
import { pageOpening } from '@/server/snapshot';
import { withWorkspace } from '../../../with-workspace';
import { buildTitle } from '../build-title';

export const generateMetadata = buildTitle('Parts');

export default async function BuildPage({ params }: { params: Promise<{ build: string }> }) {
  const build = asId<BuildId>((await params).build);
  return withWorkspace((handle) => {
    const opening = pageOpening(handle, build);
    if (!opening) notFound();
    return <PartsPage key={build} opening={opening} />;
  });
}
