import { freeSpares } from '@/data/balances';
import { packedAnswer, route } from '@/server/http';
import { patiently } from '@/server/workspace';

/** Spares of every build that none of its plans takes. */
export const GET = route(async (request) =>
  patiently(({ db }) =>
    packedAnswer(
      request,
      freeSpares(db).map(({ build, element, grade, qty }) => ({ build, element, grade, qty })),
    ),
  ),
);
