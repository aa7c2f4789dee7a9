import { afterEach, expect, it, vi } from 'vitest';
import { asId, type BuildId } from '@/core/shared/ids';
import { openingPaths } from './opening-paths';
import { askOpening } from './snapshots';

const build = asId<BuildId>('b-1');
const asked: unknown[][] = [];

afterEach(() => {
  vi.unstubAllGlobals();
  asked.length = 0;
});

it('what a page has its browser ask for is what its opening asks for, in the same words', async () => {
  vi.stubGlobal('fetch', (...what: unknown[]) => {
    asked.push(what);
    return Promise.resolve(Response.json({ ok: false, reason: { refused: 'no such build' } }));
  });
  await askOpening(build);
  // A header, or another way of asking, and the browser would fetch all of it a second time.
  expect(asked.sort()).toEqual(
    Object.values(openingPaths(build))
      .map((path) => [path])
      .sort(),
  );
});
