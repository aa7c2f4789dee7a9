import * as z from 'zod';
import { BODY } from '@/core/shared/bounds';
import { asId, type BuildId, type StripJobId } from '@/core/shared/ids';
import { cutPlanSchema } from '@/core/stickers/cutting';
import { readJson, refuse, route } from '@/server/http';
import { makeStickerTemplate } from '@/server/sticker-template';
import { patiently } from '@/server/workspace';

type Context = { params: Promise<{ build: string }> };

const asked = z.object({
  job: z.string().min(1).max(80),
  plan: cutPlanSchema,
  paper: z.enum(['A4', 'Letter']),
  cautions: z.array(z.string().max(400)).max(20),
});

/** Templates at true size of stripes as they are planned to be cut, as a PDF. */
export const POST = route<Context>(async (request, { params }) => {
  const { build } = await params;
  const door = await readJson(request, asked, BODY.middle);
  if ('response' in door) return door.response;
  const { job, plan, paper, cautions } = door.input;
  const made = await patiently((handle) =>
    makeStickerTemplate(handle, asId<BuildId>(build), asId<StripJobId>(job), plan, cautions, paper),
  );
  if (!made.ok) return refuse(made.reason.refused === 'no such job' ? 404 : 409, made.reason);
  return new Response(new Uint8Array(await made.value), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': 'attachment; filename="sticker-templates.pdf"',
    },
  });
});
