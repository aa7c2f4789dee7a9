import * as z from 'zod';
import { asId, type BuildId } from '@/core/shared/ids';
import { BODY } from '@/core/shared/bounds';
import { answer, readJson, refuse, route } from '@/server/http';
import { moveStoreyBetween } from '@/server/join-builds';
import { patiently } from '@/server/workspace';

type Context = { params: Promise<{ build: string }> };

const asked = z.strictObject({
  zone: z.string().min(1).max(80),
  to: z.string().min(1).max(80),
  request: z.string().regex(/^[\w-]{8,80}$/),
});

/** Moves a storey of this build to another. */
export const POST = route<Context>(async (request, { params }) => {
  const { build } = await params;
  const door = await readJson(request, asked, BODY.small);
  if ('response' in door) return door.response;
  const move = { ...door.input, from: asId<BuildId>(build) };
  const done = await patiently((handle) =>
    moveStoreyBetween(handle, move, () => crypto.randomUUID(), new Date()),
  );
  return done.ok ? answer(done.value) : refuse('fault' in done.reason ? 400 : 409, done.reason);
});
