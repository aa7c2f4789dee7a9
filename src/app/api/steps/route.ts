import { answer, route } from '@/server/http';
import { stepsFrom } from '@/server/steps';
import { patiently } from '@/server/workspace';

/** What happened since a revision, for a window that has to catch up. */
export const GET = route(async (request) => {
  const since = Number(new URL(request.url).searchParams.get('since') ?? 0);
  return answer(await patiently((handle) => stepsFrom(handle, since)));
});
