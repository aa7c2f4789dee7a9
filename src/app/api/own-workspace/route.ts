import { readRecord } from '@/data/records';
import { SETTINGS_ID } from '@/core/records';
import { answer, refuse, route } from '@/server/http';
import { startOwnWorkspace } from '@/server/own-workspace';
import { patiently } from '@/server/workspace';

/** Starts a workspace of one's own beside the demo, and says where it answers. */
export const POST = route(async () => {
  const isDemo = await patiently(({ db }) => readRecord(db, 'settings', SETTINGS_ID)?.isDemo ?? false);
  if (!isDemo) return refuse(409, { refused: 'not the demo' });
  const done = await startOwnWorkspace();
  return done.ok ? answer(done.value) : refuse(409, { refused: 'own workspace', fault: done.reason.fault });
});
