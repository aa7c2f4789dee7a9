import { asId, type BuildId } from '@/core/shared/ids';
import { packedAnswer, refuse, route } from '@/server/http';
import { takeOpening } from '@/server/snapshot';
import { patiently } from '@/server/workspace';

type Context = { params: Promise<{ build: string }> };

export const GET = route<Context>(async (request, { params }) => {
  const build = asId<BuildId>((await params).build);
  const snapshot = await patiently((handle) => takeOpening(handle, build));
  return snapshot ? packedAnswer(request, snapshot) : refuse(404, { refused: 'no such build' });
});
