import { asId, type BuildId } from '@/core/shared/ids';
import { currentRevision } from '@/data/actions';
import { route } from '@/server/http';
import { takeSurroundings } from '@/server/snapshot';
import { taggedAnswer } from '@/server/tagged-answer';
import { patiently } from '@/server/workspace';

type Context = { params: Promise<{ build: string }> };

/** What other builds and own parts leave a build, and what its undo and redo turn now: the same until a step is done. */
export const GET = route<Context>(async (request, { params }) => {
  const build = asId<BuildId>((await params).build);
  return patiently((handle) =>
    taggedAnswer(
      request,
      handle,
      `surroundings of ${encodeURIComponent(build)}`,
      currentRevision(handle.db),
      () => takeSurroundings(handle, build),
    ),
  );
});
