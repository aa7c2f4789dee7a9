import { afterEach, describe, expect, it, vi } from 'vitest';
import { PREFERENCES } from '@/core/market';
import { planRequestSchema } from '@/core/market/saved-plan-schema';
import { planNeed, type Bound, type PlanQuestion } from './plan-need';

const question: PlanQuestion = {
  run: 'a-run',
  build: null,
  lots: [],
  preferences: { ...PREFERENCES, never: new Set(['tide']) },
  lists: [],
  seconds: 5,
  like: null,
};
const sent: string[] = [];
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
  vi.stubGlobal('fetch', (_: string, init: RequestInit) => {
    sent.push(init.body as string);
    return Promise.resolve(new Response(body, { status }));
  });
}

afterEach(() => vi.unstubAllGlobals());

describe('a solve, heard line by line', () => {
  it('tells the place in the line, the bounds as they close, and the plan', async () => {
    const bound = { cost: 500, floor: 400, seconds: 1 };
    const plan = { credit: 450, name: 'Königsblau' };
    answering([{ asked: 40 }, { place: 2 }, { place: 1 }, { progress: bound }, { plan }]);
    const bounds: Bound[] = [];
    const places: number[] = [];
    let asked = 0;
    const solved = await planNeed(question, never, {
      onAsked: () => asked++,
      onBound: (b) => bounds.push(b),
      onPlace: (p) => places.push(p),
    });
    expect(solved).toEqual({ ok: true, value: plan });
    expect([asked, bounds, places]).toEqual([1, [bound], [2, 1]]);
  });

  it('sends what is needed and wished, and no market', async () => {
    answering([{ reason: { fault: 'market' } }]);
    expect(await planNeed(question, never)).toEqual({ ok: false, reason: 'market' });
    const body = JSON.parse(sent.at(-1)!) as object;
    expect(planRequestSchema.safeParse(body).success).toBe(true);
    expect(body).toMatchObject({ run: 'a-run', preferences: { never: ['tide'] } });
    expect(Object.keys(body)).not.toContain('market');
  });

  it.each([
    [{ fault: 'busy' }, 'busy'],
    [{ fault: 'stopped' }, 'stopped'],
    [{ fault: 'too entangled', pairs: 9 }, 'not taken'],
    [{ fault: 'too many offers', offers: 9 }, 'not taken'],
    [{ refused: 'shape', where: 'lots', says: 'is missing' }, 'not taken'],
    [{ refused: 'failed' }, 'server'],
    [{ fault: 'failed' }, 'server'],
  ])('tells %j as %s, and not as a market that is silent', async (reason, failure) => {
    answering([{ place: 1 }, { reason }]);
    expect(await planNeed(question, never)).toEqual({ ok: false, reason: failure });
  });

  it('tells a connection that ends without a plan as the server’s failure', async () => {
    answering([{ progress: { cost: 5, floor: 4, seconds: 1 } }]);
    expect(await planNeed(question, never)).toEqual({ ok: false, reason: 'server' });
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network')));
    expect(await planNeed(question, never)).toEqual({ ok: false, reason: 'server' });
  });

  it('tells a request that is too large as not taken', async () => {
    answering([], 7, 413);
    expect(await planNeed(question, never)).toEqual({ ok: false, reason: 'not taken' });
  });
});
