import { answer, route } from '@/server/http';
import { streetBuilds } from '@/server/street-builds';
import { patiently } from '@/server/workspace';

/** How some builds look from the street: `?build=` once for each. */
export const GET = route(async (request) => {
  const builds = new URL(request.url).searchParams.getAll('build');
  return answer(await patiently((handle) => streetBuilds(handle, builds)));
});
