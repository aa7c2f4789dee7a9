import { everydayColours, PALETTE } from '@/core/colour';
import { mismatchRequestSchema } from '@/core/formats/mismatch-model';
import { mismatchesOfModel } from '@/core/mismatch';
import { BODY } from '@/core/shared/bounds';
import { readJson, refuse, route } from '@/server/http';

const byName = new Map(PALETTE.map((c) => [c.name, c]));

/** The palette's name of a colour, or an everyday word for one. */
const colourOf = (name: string) => {
  const plain = name.trim().toLowerCase();
  return byName.get(plain) ?? everydayColours(plain.split(/\s+/), PALETTE)[0];
};

/** The mismatches of a model that is sent, without a build: docs/formats/mismatch-request.schema.json. */
export const POST = route(async (request) => {
  const door = await readJson(request, mismatchRequestSchema, BODY.middle);
  if ('response' in door) return door.response;
  const judged = mismatchesOfModel(door.input.model, colourOf);
  if ('unknown' in judged)
    return refuse(400, {
      refused: 'shape',
      where: `the zone ${judged.zone}`,
      says: `there is no colour ${judged.unknown}: name one of the palette, or use an everyday word for it`,
    });
  return Response.json(judged);
});
