import { answer, route } from '@/server/http';
import { readBuilds } from '@/server/build-list';
import { patiently } from '@/server/workspace';

/** Some of the builds: `?find=` by words, `?archived=1` those put away, `?from=` the page that begins there. */
export const GET = route(async (request) => {
  const query = new URL(request.url).searchParams;
  const from = Number(query.get('from') ?? 0);
  const wish = {
    find: (query.get('find') ?? '').slice(0, 200),
    archived: query.get('archived') === '1',
    from: Number.isSafeInteger(from) && from > 0 ? from : 0,
  };
  return answer(await patiently((handle) => readBuilds(handle, wish)));
});
