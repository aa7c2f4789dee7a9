import { asId, type BuildId } from '@/core/shared/ids';
import { packedAnswer, route } from '@/server/http';
import { takeSurroundings } from '@/server/snapshot';
import { patiently } from '@/server/workspace';

type Context = { params: Promise<{ build: string }> };

/** What other builds and own parts leave a build, and what its undo and redo turn now. */
export const GET = route<Context>(async (request, { params }) => {
  const build = asId<BuildId>((await params).build);
  return packedAnswer(request, await patiently((handle) => takeSurroundings(handle, build)));
});
