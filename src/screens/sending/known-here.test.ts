// @vitest-environment happy-dom
import { afterEach, expect, it, vi } from 'vitest';
import { recallHere, rememberHere } from './known-here';

afterEach(() => vi.unstubAllGlobals());

/** A browser's caches, by name and address. */
function withCaches(): Map<string, Response> {
  const kept = new Map<string, Response>();
  vi.stubGlobal('caches', {
    open: async (name: string) => ({
      put: async (path: string, r: Response) => void kept.set(`${name} ${path}`, r),
    }),
    match: async (path: string, { cacheName }: { cacheName: string }) => kept.get(`${cacheName} ${path}`),
  });
  return kept;
}

it('keeps an answer where what the workspace knows is kept, so that it goes with it', async () => {
  const kept = withCaches();
  await rememberHere('/api/register', { brick: [1] });
  expect([...kept.keys()]).toEqual(['evarn-known /api/register']);
  expect(await recallHere('/api/register')).toEqual({ brick: [1] });
  expect(await recallHere('/api/other')).toBeUndefined();
});

it('keeps nothing, and fails nobody, where the browser has no room or no such place', async () => {
  vi.stubGlobal('caches', {
    open: () => Promise.reject(new Error('no room')),
    match: () => Promise.reject(new Error('forbidden')),
  });
  await rememberHere('/api/register', {});
  expect(await recallHere('/api/register')).toBeUndefined();
});
