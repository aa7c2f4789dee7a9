import { copyDemo } from '@/server/copy-demo';
import { answer, refuse, route } from '@/server/http';

/** Puts the demo's builds into a workspace that is still empty. */
export const POST = route(async () => {
  const done = await copyDemo();
  return done.ok ? answer(done.value) : refuse(409, { refused: 'demo copy', fault: done.reason.fault });
});
