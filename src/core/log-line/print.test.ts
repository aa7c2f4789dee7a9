import { describe, expect, it } from 'vitest';
import { BLANK_INTENT, LOGGED_KINDS, settleKind, type Assembly, type Intent } from '../ledger';
import { elementKey, splitElementKey } from '../parts';
import { asId, type AssemblyId } from '../shared/ids';
import { seededRandom } from '../shared/random';
import { randomIntent, ZONES } from '../testing/world';
import { printElement, printIntent, printLine, understandLine } from './index';

import { EXTRA, TABLE, known, context, intents, one } from '../testing/log-line';

describe('printing back', () => {
  it.each([1, 2, 3, 4, 5])('understanding what is printed gives the same intent (seed %i)', (seed) => {
    const random = seededRandom(seed);
    for (let n = 0; n < 400; n++) {
      const intent = settleKind(randomIntent(random));
      const line = printIntent(intent, context);
      expect([line, one(line)]).toEqual([line, intent]);
      const two = [intent, settleKind(randomIntent(random))];
      expect(intents(printLine(two, context))).toEqual(two);
    }
  });

  it('covers every kind', () => {
    const random = seededRandom(1);
    const kinds = new Set(Array.from({ length: 400 }, () => randomIntent(random).kind));
    expect([...kinds].sort()).toEqual([...LOGGED_KINDS].sort());
  });

  it.each(EXTRA.map((e) => [printElement(e), e]))('%s', (_, element) => {
    const intent: Intent = { ...BLANK_INTENT, on: [{ element, qty: 3 }] };
    expect(one(printIntent(intent, context))).toEqual(intent);
  });

  it('prints assemblies and zones with any name', () => {
    const zones = [
      ...ZONES,
      { ...ZONES[1]!, id: asId<(typeof ZONES)[0]['id']>('zx'), name: 'to "the" \\ moon, #2 ‮🧱' },
    ];
    const odd: Assembly = { ...TABLE, id: asId<AssemblyId>('a2'), name: 'a] b\\' };
    const there = { ...context, zones, assemblies: [odd] };
    const intent: Intent = {
      ...BLANK_INTENT,
      kind: 'move',
      off: odd.lots,
      zone: zones[4]!.id,
      toZone: ZONES[1]!.id,
      assembly: odd.id,
    };
    expect(understandLine(printIntent(intent, there), there).clauses[0]).toMatchObject({
      status: 'intent',
      intent,
    });
  });
});

it('keys of elements come apart as they were put together', () => {
  for (const e of known) {
    const { part, colour, print } = splitElementKey(e);
    expect(elementKey(part, colour, print)).toBe(e);
  }
});
