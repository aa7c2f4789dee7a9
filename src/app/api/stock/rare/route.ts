import { packedAnswer, route } from '@/server/http';
import { rareLeftOvers } from '@/server/left-overs';
import { patiently } from '@/server/workspace';

/** The rarest come first, and no page shows more. */
const MOST = 300;

/** What is left over in own parts and spares, the rarest first. */
export const GET = route(async (request) =>
  patiently((handle) => {
    const all = rareLeftOvers(handle);
    return packedAnswer(request, { kinds: all.length, lots: all.slice(0, MOST) });
  }),
);
