import { asId, type BuildId } from '@/core/shared/ids';
import { answer, route } from '@/server/http';
import { rowColours } from '@/server/row-colours';
import { patiently } from '@/server/workspace';

type Context = { params: Promise<{ build: string }> };

/** Main colours of the other builds that stand in the same row. */
export const GET = route<Context>(async (_, { params }) => {
  const { build } = await params;
  return answer(await patiently((handle) => rowColours(handle, asId<BuildId>(build))));
});
