import type { BuildId } from '@/core/shared/ids';
import { TAKES_PACKED } from './answers';

/** Where a page that has nothing of a build yet asks for its books, for what all builds share, and for what others leave it. */
export const openingPaths = (build: BuildId) =>
  ({
    snapshot: `/api/builds/${build}/snapshot?opening`,
    knowledge: '/api/knowledge',
    surroundings: `/api/builds/${build}/surroundings`,
  }) as const;

const here = globalThis as { evarnAsked?: Record<string, Promise<Response>> };

/**
 * A script that stands in such a page and asks at once: by the time the page's own program has been loaded and run, the
 * answers are there.
 */
export function earlyScript(build: BuildId): string {
  const paths = JSON.stringify(Object.values(openingPaths(build))).replaceAll('<', '\\u003c');
  return `self.evarnAsked={};for(const p of ${paths})(self.evarnAsked[p]=fetch(p,{headers:${JSON.stringify(TAKES_PACKED)}})).catch(()=>{})`;
}

/** The answer that the page has asked for already, the first time; else it is asked for now. */
export function fetchOrAsked(path: string): Promise<Response> {
  const asked = here.evarnAsked?.[path];
  delete here.evarnAsked?.[path];
  return asked ?? fetch(path, { headers: TAKES_PACKED });
}
