import { asId, type BuildId } from '@/core/shared/ids';
import { answer, refuse, route } from '@/server/http';
import { keepBuildAsSet } from '@/server/own-sets';
import { patiently } from '@/server/workspace';

type Context = { params: Promise<{ build: string }> };

/** Keeps what stands of a build as a set of the catalogue. */
export const POST = route<Context>(async (_, { params }) => {
  const { build } = await params;
  const kept = await patiently((handle) => keepBuildAsSet(handle, asId<BuildId>(build), new Date()));
  return kept ? answer(kept) : refuse(404, { refused: 'no such build' });
});
