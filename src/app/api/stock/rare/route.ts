import { asId, type BuildId } from '@/core/shared/ids';
import { packedAnswer, route } from '@/server/http';
import { rareLeftOvers, rareSparesOf } from '@/server/left-overs';
import { patiently } from '@/server/workspace';

/** The rarest come first, and no page shows more. */
const MOST = 300;

/** What is left over in own parts and spares, the rarest first; of one build's spares all of them. */
export const GET = route(async (request) =>
  patiently((handle) => {
    const build = new URL(request.url).searchParams.get('build');
    const all = build ? rareSparesOf(handle, asId<BuildId>(build)) : rareLeftOvers(handle);
    return packedAnswer(request, { kinds: all.length, lots: build ? all : all.slice(0, MOST) });
  }),
);
