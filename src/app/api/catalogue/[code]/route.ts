import { readSetLots } from '@/data/catalogue';
import { answer, refuse, route } from '@/server/http';
import { patiently } from '@/server/workspace';

type Context = { params: Promise<{ code: string }> };

export const GET = route<Context>(async (_, { params }) => {
  const code = decoded((await params).code);
  const lots = code === null ? [] : await patiently(({ db }) => readSetLots(db, code));
  return lots.length > 0 ? answer(lots) : refuse(404, { refused: 'no such set' });
});

/** A part of a path as it was before it was escaped; null where it is escaped wrongly. */
function decoded(part: string): string | null {
  try {
    return decodeURIComponent(part);
  } catch {
    return null;
  }
}
