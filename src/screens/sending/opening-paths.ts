import { preload } from 'react-dom';
import type { BuildId } from '@/core/shared/ids';

/**
 * Where a page that has nothing of a build yet asks for its books, for what all builds share, and for what others leave it.
 * That it takes packed answers stands in the address: what the page itself names as wanted, before its program is there, can
 * say nothing in a header, and the program takes up only what was asked in the same words.
 */
export const openingPaths = (build: BuildId) =>
  ({
    snapshot: `/api/builds/${build}/snapshot?opening&packed`,
    knowledge: '/api/knowledge?packed',
    surroundings: `/api/builds/${build}/surroundings?packed`,
  }) as const;

/**
 * Has a browser ask for all of it as soon as it reads the page: it is there when the page's program is. Only what the server
 * draws says so; a page that a link led to has its program already, and asks itself.
 */
export function askAtOnce(build: BuildId): void {
  if (typeof window !== 'undefined') return;
  for (const path of Object.values(openingPaths(build)))
    preload(path, { as: 'fetch', crossOrigin: 'anonymous' });
}
