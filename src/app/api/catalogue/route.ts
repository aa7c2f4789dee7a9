import { readCatalogue } from '@/data/catalogue';
import { packedAnswer, route } from '@/server/http';
import { patiently } from '@/server/workspace';

/** The sets of the catalogue, those that were imported among them, without what is in them. */
export const GET = route(async (request) =>
  patiently(({ db }) =>
    packedAnswer(
      request,
      readCatalogue(db).map(({ code, name, pieces }) => ({ code, name, pieces })),
    ),
  ),
);
