import { answer, route } from '@/server/http';
import { needsOfAll } from '@/server/needs';
import { patiently } from '@/server/workspace';

/** What all builds that share own parts still lack. */
export const GET = route(async () => answer(await patiently(needsOfAll)));
