import { afterEach, expect, it, vi } from 'vitest';
import { asId, type BuildId } from '@/core/shared/ids';
import { earlyScript, fetchOrAsked, openingPaths } from './asked-early';
import { askOpening } from './snapshots';

const build = asId<BuildId>('b-1');
const asked: string[] = [];
const answer = () => new Response(JSON.stringify({ ok: false, reason: { refused: 'no such build' } }));

function network(answers: () => Promise<Response>) {
  vi.stubGlobal('self', globalThis);
  vi.stubGlobal('fetch', (path: string, { headers }: { headers: { accept: string } }) => {
    asked.push(`${path} ${headers.accept}`);
    return answers();
  });
}

/** Runs what stands in the page, as a browser does. */
const run = (script: string) => (0, eval)(script) as unknown;

afterEach(() => {
  vi.unstubAllGlobals();
  delete (globalThis as { evarnAsked?: unknown }).evarnAsked;
  asked.length = 0;
});

it('what stands in a page asks for all that its opening asks for, in the same way, and nothing is asked twice', async () => {
  network(() => Promise.resolve(answer()));
  run(earlyScript(build));
  const early = [...asked];
  expect(early).toHaveLength(3);
  await askOpening(build);
  expect(asked).toEqual(early);
  // A second opening wants what is there now, not what was then.
  await askOpening(build);
  expect([...asked].sort()).toEqual([...early, ...early].sort());
});

it('what could not be had early is told as what could not be had, and is asked for again', async () => {
  network(() => Promise.reject(new Error('no network')));
  run(earlyScript(build));
  await expect(fetchOrAsked(openingPaths(build).snapshot)).rejects.toThrow('no network');
  network(() => Promise.resolve(answer()));
  expect((await fetchOrAsked(openingPaths(build).snapshot)).status).toBe(200);
});

it('a build’s name in an address ends no script', () =>
  expect(earlyScript(asId<BuildId>('</script><script>alert(1)'))).not.toContain('<'));
