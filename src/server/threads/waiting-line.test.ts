import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { WaitingLine } from './waiting-line';

type Leave = (() => void) | undefined;

/** Lets everything that is settled be heard. */
const settle = () => new Promise<void>((done) => setImmediate(done));

describe('a waiting line', () => {
  it('tells each its place as the line moves', async () => {
    const line = new WaitingLine(1, 5);
    const leave = await line.enter();
    const heard: number[][] = [[], []];
    const waits = heard.map((places) => line.enter(undefined, (p) => places.push(p)));
    expect(heard).toEqual([[1], [2]]);
    leave?.();
    const second = await waits[0];
    expect(heard).toEqual([[1], [2, 1]]);
    second?.();
    expect(await waits[1]).toBeDefined();
  });

  it('sends away who finds it full, and who was stopped before', async () => {
    const line = new WaitingLine(1, 1);
    await line.enter();
    void line.enter();
    expect(await line.enter()).toBeUndefined();
    expect(await new WaitingLine(1, 1).enter(AbortSignal.abort())).toBeUndefined();
  });

  it('lets no second one in when one leaves twice', async () => {
    const line = new WaitingLine(1, 5);
    const leave = await line.enter();
    const let2: Leave[] = [];
    for (let n = 0; n < 2; n++) void line.enter().then((l) => let2.push(l));
    leave?.();
    leave?.();
    await settle();
    expect(let2).toHaveLength(1);
  });

  it('lets in no more than may go abreast, in their order, whoever leaves or gives up', async () => {
    const step = fc.oneof(
      fc.constant({ do: 'enter' as const, at: 0 }),
      fc.record({ do: fc.constant('leave' as const), at: fc.nat(9) }),
      fc.record({ do: fc.constant('quit' as const), at: fc.nat(9) }),
    );
    const cases = fc.asyncProperty(
      fc.integer({ min: 1, max: 3 }),
      fc.integer({ min: 0, max: 4 }),
      fc.array(step, { maxLength: 40 }),
      async (abreast, most, steps) => {
        const line = new WaitingLine(abreast, most);
        // What a line is, told in the plainest way: who is in, and who waits.
        let inside: number[] = [];
        let waiting: number[] = [];
        const leaves = new Map<number, () => void>();
        const stoppers = new Map<number, AbortController>();
        let no = 0;
        for (const { do: what, at } of steps) {
          if (what === 'enter') {
            const me = no++;
            const stopper = new AbortController();
            stoppers.set(me, stopper);
            void line.enter(stopper.signal).then((leave) => leave && leaves.set(me, leave));
            if (inside.length < abreast) inside.push(me);
            else if (waiting.length < most) waiting.push(me);
          } else if (what === 'leave' && inside.length > 0) {
            const who = inside[at % inside.length]!;
            leaves.get(who)?.();
            leaves.delete(who);
            inside = inside.filter((w) => w !== who).concat(waiting.slice(0, 1));
            waiting = waiting.slice(1);
          } else if (what === 'quit' && waiting.length > 0) {
            const who = waiting[at % waiting.length]!;
            stoppers.get(who)?.abort();
            waiting = waiting.filter((w) => w !== who);
          }
          await settle();
          expect([...leaves.keys()].sort((a, b) => a - b)).toEqual([...inside].sort((a, b) => a - b));
        }
      },
    );
    await fc.assert(cases, { numRuns: 60 });
  });
});
