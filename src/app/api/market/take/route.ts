import { takeBetterSchema } from '@/core/market/saved-plan-schema';
import { answer, readJson, refuse, route } from '@/server/http';
import { keepBetter } from '@/server/market/keep-plan';
import { betterOf } from '@/server/market/runs';
import { patiently } from '@/server/workspace';

/** Takes the better plan that was found beside a run's own in its place. It moves no pieces: there is nothing to undo. */
export const POST = route(async (request) => {
  const door = await readJson(request, takeBetterSchema);
  if ('response' in door) return door.response;
  const { run, build } = door.input;
  const better = betterOf(run);
  if (!better) return refuse(404, { refused: 'forgotten' });
  await patiently((handle) => keepBetter(handle, build, run, better));
  return answer(better);
});
