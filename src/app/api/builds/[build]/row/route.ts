import { asId, type BuildId } from '@/core/shared/ids';
import { answer, route } from '@/server/http';
import { rowColours } from '@/server/row-colours';
import { patiently } from '@/server/workspace';

type Context = { params: Promise<{ build: string }> };

/** Main colours of the other builds that stand in the row `?name=`. */
export const GET = route<Context>(async (request, { params }) => {
  const { build } = await params;
  // By its name: the window may know of it before it is stored.
  const row = (new URL(request.url).searchParams.get('name') ?? '').slice(0, 400);
  return answer(await patiently((handle) => rowColours(handle, asId<BuildId>(build), row)));
});
