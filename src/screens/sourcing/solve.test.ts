import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Problem } from '@/core/sourcing';
import { solve, type Bound } from './solve';

const problem = {} as Problem;
const never = new AbortController().signal;

/** The server's answer, cut into pieces wherever `size` falls, as a network does. */
function answering(lines: readonly unknown[], size = 7, status = 200): void {
  const bytes = new TextEncoder().encode(lines.map((l) => `${JSON.stringify(l)}\n`).join(''));
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      for (let at = 0; at < bytes.length; at += size) controller.enqueue(bytes.slice(at, at + size));
      controller.close();
    },
  });
  vi.stubGlobal('fetch', () => Promise.resolve(new Response(body, { status })));
}

afterEach(() => vi.unstubAllGlobals());

describe('a solve, heard line by line', () => {
  it('tells the place in the line, the bounds as they close, and the plan', async () => {
    const bound = { cost: 500, floor: 400, seconds: 1 };
    answering([{ place: 2 }, { place: 1 }, { progress: bound }, { plan: { cost: 450, name: 'Königsblau' } }]);
    const bounds: Bound[] = [];
    const places: number[] = [];
    const solved = await solve(
      problem,
      5,
      never,
      (b) => bounds.push(b),
      'a-run',
      (p) => places.push(p),
    );
    expect(solved).toEqual({ ok: true, value: { cost: 450, name: 'Königsblau' } });
    expect(bounds).toEqual([bound]);
    expect(places).toEqual([2, 1]);
  });

  it.each([
    [{ fault: 'busy' }, 'busy'],
    [{ fault: 'stopped' }, 'stopped'],
    [{ fault: 'too entangled', pairs: 9 }, 'not taken'],
    [{ fault: 'too many offers', offers: 9 }, 'not taken'],
    [{ refused: 'shape', where: 'lots', says: 'is missing' }, 'not taken'],
    [{ refused: 'failed' }, 'server'],
  ])('tells %j as %s, and not as a market that is silent', async (reason, failure) => {
    answering([{ place: 1 }, { reason }]);
    expect(await solve(problem, 5, never, () => undefined)).toEqual({ ok: false, reason: failure });
  });

  it('tells a connection that ends without a plan as the server’s failure', async () => {
    answering([{ progress: { cost: 5, floor: 4, seconds: 1 } }]);
    expect(await solve(problem, 5, never, () => undefined)).toEqual({ ok: false, reason: 'server' });
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network')));
    expect(await solve(problem, 5, never, () => undefined)).toEqual({ ok: false, reason: 'server' });
  });

  it('tells a request that is too large as not taken', async () => {
    answering([], 7, 413);
    expect(await solve(problem, 5, never, () => undefined)).toEqual({ ok: false, reason: 'not taken' });
  });
});
