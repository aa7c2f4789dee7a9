import * as z from 'zod';
import { asId, type BuildId } from '@/core/shared/ids';
import { deleteBuildOf, deletionOf } from '@/server/delete-build';
import { answer, readJson, refuse, route } from '@/server/http';
import { patiently } from '@/server/workspace';

type Context = { params: Promise<{ build: string }> };

const wish = z.strictObject({ request: z.uuid(), traysStay: z.boolean() });

/** What deleting a build would come to. */
export const GET = route<Context>(async (_, { params }) => {
  const build = asId<BuildId>((await params).build);
  const asked = await patiently((handle) => deletionOf(handle, build));
  return asked ? answer(asked) : refuse(404, { refused: 'no such build' });
});

/** Deletes a build with all that is its own. */
export const POST = route<Context>(async (request, { params }) => {
  const build = asId<BuildId>((await params).build);
  const door = await readJson(request, wish);
  if ('response' in door) return door.response;
  const done = await patiently((handle) =>
    deleteBuildOf(handle, { build, ...door.input }, () => crypto.randomUUID(), new Date()),
  );
  return done.ok ? answer({ label: done.value.label }) : refuse(409, done.reason);
});
