import { describe, expect, it } from 'vitest';
import { asId } from '../shared/ids';
import { keepSticker, newSticker } from '../stickers';
import { bench, kelp, ordered } from '../testing/promised';
import { el } from '../testing/world';
import { did, doneAndBack, planned, testSource, zoneId } from '../testing/workbench';
import type { Workbench } from '../workbench';
import { added, BLANK_ENTRY, grade, modelAccount, OUTSIDE, type Entry } from '../ledger';
import {
  briefOf,
  compromises,
  keepAwaited,
  keepBrief,
  markParts,
  mustStay,
  newAwaited,
  readyChance,
  rulesNow,
  touchedBy,
  wouldBreak,
} from './index';
import { answerFinding, keepFinding } from '../inspection';
import { takeTally } from '../ledger';

const on = (b: Workbench, rule: string, text = ''): Workbench => {
  const brief = briefOf(b);
  return did(b, keepBrief(b, { ...brief, rules: [...brief.rules, { rule, limit: 0, text }] }));
};
const stateOf = (b: Workbench, rule: string) => rulesNow(b).find((r) => r.rule.id === rule)!.state;
const last = (b: Workbench): Entry => [...b.records.entry.values()].at(-1)!;

describe('what must stay', () => {
  it('is answered with how, and warned of when one of its parts is taken off its place', () => {
    const b = bench();
    const fields = {
      kind: 'function',
      zone: zoneId('Wall'),
      note: 'the hatch',
      matters: 2,
      to: null,
      photo: null,
    } as const;
    did(
      b,
      keepFinding(
        b,
        null,
        { ...fields, lots: [{ element: el('brick 2x4', 'ash'), qty: 2 }] },
        testSource('k'),
      ),
    );
    const [hatch] = mustStay(b);
    doneAndBack(b, answerFinding(hatch!, 'reduced', 'opens half way'));
    expect(mustStay(b)[0]).toMatchObject({ answer: 'reduced', how: 'opens half way' });
    did(b, answerFinding(mustStay(b)[0]!, null));
    expect(mustStay(b)[0]).toMatchObject({ answer: null, how: '' });
    const off = (zone: string, element = el('brick 2x4', 'ash')): Entry => ({
      ...BLANK_ENTRY,
      id: asId('t'),
      kind: 'remove',
      loggedAt: '',
      movements: [
        { element, grade: grade('used'), qty: 1, from: modelAccount(zoneId(zone)), to: OUTSIDE, worth: null },
      ],
    });
    expect(touchedBy(b, [off('Wall')]).map((f) => f.note)).toEqual(['the hatch']);
    expect(touchedBy(b, [off('Roof')])).toEqual([]);
    expect(touchedBy(b, [off('Wall', kelp)])).toEqual([]);
    expect(
      touchedBy(b, [
        {
          ...off('Wall'),
          movements: [{ ...off('Wall').movements[0]!, from: OUTSIDE, to: modelAccount(zoneId('Wall')) }],
        },
      ]),
    ).toEqual([]);
  });
});

describe('rules of parts', () => {
  it('are told by what entries are marked as, and hold again when the mark or the entry goes', () => {
    const b = on(on(bench(), 'genuine parts'), 'none cut or painted');
    planned(b, testSource('p'), { on: [{ element: kelp, qty: 2 }] });
    const entry = last(b);
    expect([stateOf(b, 'genuine parts').holds, stateOf(b, 'none cut or painted').holds]).toEqual([
      true,
      true,
    ]);
    doneAndBack(b, markParts(b, entry, 'other maker'));
    expect(stateOf(b, 'genuine parts')).toMatchObject({ holds: false, breaks: [entry.id] });
    doneAndBack(b, markParts(b, entry, 'painted'));
    expect([stateOf(b, 'genuine parts').holds, stateOf(b, 'none cut or painted').holds]).toEqual([
      true,
      false,
    ]);
    expect(compromises(b).find((c) => c.kind === 'not as sold')).toMatchObject({ name: 'painted', is: kelp });
    doneAndBack(b, markParts(b, entry, null));
    expect(stateOf(b, 'none cut or painted').holds).toBe(true);
  });

  it('own parts first: nothing is bought that lies free', () => {
    const b = on(bench(), 'own parts first');
    planned(b, testSource('a'), { on: [{ element: kelp, qty: 2 }], source: 'outside', price: 12 });
    expect(stateOf(b, 'own parts first')).toMatchObject({ holds: false, breaks: [last(b).id] });
    const tally = takeTally(b.planned, { of: 'build' }, b.priceOf);
    const broken = (e: Entry) => wouldBreak(b, tally, [e]).map((r) => r.id);
    expect(broken(last(b))).toEqual(['own parts first']);
    expect(broken({ ...last(b), state: 'done' })).toEqual([]);
    const c = on(bench(), 'own parts first');
    planned(c, testSource('b'), {
      on: [{ element: el('brick 2x4', 'rust'), qty: 2 }],
      source: 'outside',
      price: 12,
    });
    expect(stateOf(c, 'own parts first').holds).toBe(true);
  });

  it('no stickers, or original ones only', () => {
    const b = on(on(bench(), 'no stickers'), 'original stickers');
    expect([stateOf(b, 'no stickers').holds, stateOf(b, 'original stickers').holds]).toEqual([true, true]);
    const made = newSticker(b, testSource('s'), { name: 'number', zone: zoneId('Wall'), elements: [kelp] });
    did(b, keepSticker(b, { ...made, condition: 'crazed' }));
    expect(stateOf(b, 'no stickers').where).toEqual(['number']);
    expect(stateOf(b, 'original stickers').holds).toBe(true);
    did(b, keepSticker(b, { ...made, condition: 'crazed', way: 'reprint' }));
    expect(stateOf(b, 'original stickers').where).toEqual(['number']);
  });

  it('age: left, matched or renewed, and warned of before Enter', () => {
    const b = on(on(on(bench(), 'leave the age'), 'match the age'), 'renew what aged');
    expect(stateOf(b, 'renew what aged').where).toEqual(['Roof (12)']);
    const slope = el('slope 45 2x2', 'chalk');
    const fresh: Entry = {
      ...BLANK_ENTRY,
      id: asId('t'),
      kind: 'renew',
      why: 'faded',
      loggedAt: '',
      movements: [
        {
          element: slope,
          grade: grade('new'),
          qty: 1,
          from: OUTSIDE,
          to: modelAccount(zoneId('Roof')),
          worth: 9,
        },
      ],
    };
    const tally = takeTally(b.planned, { of: 'build' }, b.priceOf);
    expect(wouldBreak(b, tally, [fresh]).map((r) => r.id)).toEqual(['leave the age', 'match the age']);
    expect(
      wouldBreak(b, tally, [
        { ...fresh, why: 'style', movements: [{ ...fresh.movements[0]!, grade: grade('yellowed') }] },
      ]),
    ).toEqual([]);
    did(b, { label: 'x', diff: added('entry', { ...fresh, build: b.build }) });
    expect([stateOf(b, 'leave the age').breaks, stateOf(b, 'match the age').breaks]).toEqual([['t'], ['t']]);
  });
});

describe('ready by a day', () => {
  it("is as likely as one's own parcels have kept their days", () => {
    const b = on(bench(), 'ready by a day', '2026-02-12');
    expect(readyChance(b, '2026-02-12')).toEqual({ waits: [], unordered: 0, chance: 1 });
    expect(stateOf(b, 'ready by a day').holds).toBe(true);
    ordered(b, 'a', '2026-01-10', '2026-01-10');
    ordered(b, 'b', '2026-01-10', '2026-01-15');
    ordered(b, 'c', '2026-02-10', null);
    // Two days of room: one of two came so; (1 + 1) / (2 + 2).
    expect(readyChance(b, '2026-02-12')).toMatchObject({ waits: ['c'], chance: 0.5 });
    expect(readyChance(b, '2026-02-15').chance).toBe(0.75);
    expect(readyChance(b, '2026-02-09').chance).toBe(0.25);
    expect(stateOf(b, 'ready by a day')).toMatchObject({ holds: false, where: ['c'], chance: 0.5 });
    ordered(b, 'd', '', null);
    expect(readyChance(b, '2026-02-12').chance).toBe(null);
    expect(stateOf(b, 'ready by a day').holds).toBe(null);
  });
});

describe('compromises', () => {
  it('say what would mend each, what is at hand first', () => {
    const b = bench();
    const source = testSource('c');
    planned(b, source, {
      kind: 'placeholder',
      on: [{ element: el('brick 2x4', 'ash'), qty: 1 }],
      standsFor: kelp,
      source: 'outside',
      price: 10,
    });
    did(b, {
      label: 'x',
      diff: {
        added: [],
        removed: [],
        changed: [{ type: 'entry', from: last(b), to: { ...last(b), state: 'done' } }],
      },
    });
    did(b, keepAwaited(b, { ...newAwaited(b, source, zoneId('Roof')), what: 'a vane' }));
    const found = compromises(b);
    expect(found.map((c) => c.kind)).toEqual(['placeholder', 'to be chosen']);
    expect(found[0]).toMatchObject({ wants: kelp, atHand: 1, each: 12, can: true });
    did(b, keepAwaited(b, { ...[...b.records.awaitedPlace.values()][0]!, chosen: true }));
    expect(compromises(b)).toHaveLength(1);
  });
});
