import { builtFiles } from '@/server/built-files';
import { answer, route } from '@/server/http';

/** What the pages are made of, so that a device can keep all of it: also parts of a page that were never shown there. */
export const GET = route(async () => answer(await builtFiles()));
