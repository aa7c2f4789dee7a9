import { dataFolder } from '@/data/database';
import { answer, route } from '@/server/http';
import { keptBackups } from '@/server/restore';

/** The copies of the workspace that were kept before an update or a restore. */
export const GET = route(() => answer(keptBackups(dataFolder())));
