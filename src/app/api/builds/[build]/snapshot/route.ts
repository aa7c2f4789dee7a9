import { asId, type BuildId } from '@/core/shared/ids';
import { packedAnswer, packedBytes, refuse, route, takesPacked } from '@/server/http';
import { packedOpening } from '@/server/keep-openings';
import { isLongLog } from '@/server/long-log';
import { takeOpening } from '@/server/snapshot';
import { patiently } from '@/server/workspace';

type Context = { params: Promise<{ build: string }> };

/** What a page opens a build with. A long log is read beside the server, and comes packed. */
export const GET = route<Context>(async (request, { params }) => {
  const build = asId<BuildId>((await params).build);
  if (takesPacked(request) && (await patiently((handle) => isLongLog(handle, build)))) {
    const packed = await patiently((handle) => packedOpening(handle, build));
    return packed ? packedBytes(packed) : refuse(404, { refused: 'no such build' });
  }
  const snapshot = await patiently((handle) => takeOpening(handle, build));
  return snapshot ? packedAnswer(request, snapshot) : refuse(404, { refused: 'no such build' });
});
