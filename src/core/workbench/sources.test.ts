import { describe, expect, it } from 'vitest';
import { BLANK_INTENT, costsOf, draftEntry, placeOf, takeTally, type Intent } from '../ledger';
import { added } from '../ledger';
import { bindToBoxes } from '../pool';
import { between, pick, seededRandom } from '../shared/random';
import { asId, type BuildId, type EntryId } from '../shared/ids';
import { el } from '../testing/world';
import { did, makeWorkbench, TEST_BUILD, testSource, withBox, zoneId } from '../testing/workbench';
import { withAtHand } from '../stock';
import { addModification, type Workbench } from './index';

const ash = el('brick 1x2', 'ash');
const BOXES = ['Night tram', 'Lock house'];

/** A wall of slate, two boxes with ash to break up, own parts with more, and a price for it. */
function yard(bound = false): Workbench {
  const workbench = makeWorkbench({
    zones: { Wall: ['6 brick 1x2 slate'] },
    stock: ['5 brick 1x2 ash used'],
    prices: ['brick 1x2 ash 9'],
  });
  withBox(workbench, BOXES[0]!, { [ash]: 8 });
  withBox(workbench, BOXES[1]!, { [ash]: 3 });
  did(workbench, addModification(workbench, 'Front', zoneId('Wall'), testSource('m')));
  return bound ? did(workbench, bindToBoxes(workbench.records, TEST_BUILD, true)) : workbench;
}

const drafted = (workbench: Workbench, intent: Partial<Intent>) =>
  draftEntry(
    { ...BLANK_INTENT, ...intent },
    {
      id: asId<EntryId>('try'),
      no: 1,
      position: 1,
      loggedAt: '',
      modification: workbench.modifications[0]!,
    },
    workbench.draftContext(),
  );
/** Where the pieces come from: "box Lock house 3, stock 5". */
const from = (workbench: Workbench, intent: Partial<Intent>) => {
  const entry = drafted(workbench, intent);
  if (!entry.ok) return entry.reason;
  return entry.value.movements
    .map((m) => (placeOf(m.from) === 'donor' ? `${m.from.slice(6)} ${m.qty}` : `${placeOf(m.from)} ${m.qty}`))
    .join(', ');
};
const put = (qty: number, more: Partial<Intent> = {}): Partial<Intent> => ({
  on: [{ element: ash, qty }],
  ...more,
});

describe('where a build takes its parts from', () => {
  it('is its boxes by name before own parts, and what is in no books is one’s own', () => {
    expect(from(yard(), put(2))).toBe('box Lock house 2');
    expect(from(yard(), put(20))).toBe('box Lock house 3, box Night tram 8, stock 5, own 4');
    expect(from(yard(), put(4, { planned: true }))).toBe('box Lock house 3, box Night tram 1');
  });

  it('is nothing but its boxes where it is bound to them, unless another place is said', () => {
    expect(from(yard(true), put(11))).toBe('box Lock house 3, box Night tram 8');
    expect(from(yard(true), put(12))).toMatchObject({
      reason: 'not at hand',
      wanted: 12,
      there: 11,
      boxesOnly: true,
    });
    expect(from(yard(true), put(12, { planned: true }))).toMatchObject({ reason: 'not at hand', there: 11 });
    expect(from(yard(true), put(2, { source: 'stock' }))).toBe('stock 2');
    expect(from(yard(true), put(2, { source: 'outside' }))).toBe('outside 2');
    expect(from(yard(true), put(2, { price: 12 }))).toBe('outside 2');
  });

  it('is told where else there are some, and not where it was looked for', () => {
    const short = from(yard(true), put(12));
    expect(typeof short === 'string' ? short : 'elsewhere' in short && short.elsewhere).toEqual([
      { account: 'stock:tray', qty: 5 },
    ]);
    const off = from(yard(), { kind: 'remove', off: [{ element: el('brick 1x2', 'slate'), qty: 9 }] });
    expect(off).toMatchObject({ reason: 'not on the model', there: 6, elsewhere: [] });
  });

  it('never is more than a box holds, not even in a plan', () => {
    expect(from(yard(), put(12, { source: 'donor', planned: true }))).toMatchObject({
      reason: 'not at hand',
      there: 11,
    });
    expect(from(yard(), put(9, { source: 'stock', planned: true }))).toBe('stock 5, stock 4');
  });

  it('counts what lies in its own boxes as left over, and nobody else’s', () => {
    const workbench = yard();
    withBox(workbench, 'Theirs', { [ash]: 30 }, asId<BuildId>('another'));
    const tally = () => takeTally(workbench.built, { of: 'build' }, workbench.priceOf);
    expect(tally().inBoxes).toEqual({ pieces: 11, worth: 66, unpriced: 0 });
    const entry = drafted(workbench, put(4));
    if (entry.ok) did(workbench, { label: '', diff: added('entry', entry.value) });
    expect(tally().inBoxes.pieces).toBe(7);
    expect(tally().figures).toMatchObject({ fromDonor: 4, bought: 0 });
  });

  it.each([1, 2, 3])('keeps every box at nothing or more, whatever is put on (%i)', (seed) => {
    const random = seededRandom(seed);
    const workbench = yard(random() < 0.5);
    for (let n = 0; n < 30; n++) {
      const entry = drafted(
        workbench,
        put(between(random, 1, 5), { planned: random() < 0.5, source: pick(random, [null, 'donor']) }),
      );
      if (!entry.ok) continue;
      const id = asId<EntryId>(`e${n}`);
      did(workbench, { label: '', diff: added('entry', { ...entry.value, id }) });
      // A plan may be overtaken by what is done meanwhile, and is a need then; what is done never takes too many.
      for (const row of workbench.built.balances.rows((a) => placeOf(a) === 'donor'))
        expect(row.qty).toBeGreaterThanOrEqual(0);
    }
    expect(workbench.planned.figures({ of: 'build' }).fromDonor).toBeGreaterThanOrEqual(11);
  });
});

describe('a price that is not known', () => {
  it('is told for what was paid and for what went in, each piece once', () => {
    const workbench = yard();
    const bark = el('tile 2x2', 'bark');
    for (const [id, intent] of [
      ['a', { on: [{ element: bark, qty: 7 }], source: 'outside' }],
      ['b', { on: [{ element: ash, qty: 2 }], price: 9 }],
    ] as const) {
      const entry = drafted(workbench, intent);
      if (entry.ok)
        did(workbench, { label: '', diff: added('entry', { ...entry.value, id: asId<EntryId>(id) }) });
    }
    const figures = workbench.built.figures({ of: 'build' });
    expect(figures).toMatchObject({
      bought: 9,
      boughtUnpriced: 7,
      unpriced: 7,
      outOfPocket: 18,
      worthIn: 18,
    });
    expect(costsOf(figures).outOfPocket).toBe(18);
    // What comes off again without a price is told too, and takes nothing from the worth.
    const off = drafted(workbench, { kind: 'remove', off: [{ element: bark, qty: 3 }] });
    if (off.ok) did(workbench, { label: '', diff: added('entry', { ...off.value, id: asId<EntryId>('c') }) });
    const after = workbench.built.figures({ of: 'build' });
    expect(after).toMatchObject({ backUnpriced: 3, worthBack: 0, worthIn: 18 });
  });
});

describe('a yellowed piece is no white one', () => {
  const chalk = el('brick 2x4', 'chalk');
  const wall = (lots: readonly string[]) => {
    const w = makeWorkbench({
      zones: { Wall: lots },
      stock: ['9 brick 2x4 chalk yellowed', '4 brick 2x4 chalk'],
    });
    return did(w, addModification(w, 'Front', zoneId('Wall'), testSource('m')));
  };
  const takes = (w: Workbench, intent: Partial<Intent>) => {
    const entry = drafted(w, { on: [{ element: chalk, qty: 6 }], source: 'stock', ...intent });
    return entry.ok
      ? entry.value.movements.map((m) => `${m.qty} ${m.grade}`).join(', ')
      : { reason: entry.reason.reason, worn: 'worn' in entry.reason ? entry.reason.worn : 0 };
  };

  it('is not taken where it is seen beside good ones: the line says that it is there', () => {
    const w = wall(['20 brick 1x2 chalk']);
    expect(takes(w, {})).toEqual({ reason: 'not at hand', worn: 9 });
    expect(takes(w, { source: null })).toBe('4 used, 2 used');
  });

  it('is taken where it is asked for, and where nobody sees it', () => {
    const w = wall(['20 brick 1x2 chalk']);
    expect(takes(w, { condition: 'yellowed' })).toBe('6 yellowed');
    expect(takes(w, { hidden: true })).toBe('4 used, 2 yellowed');
  });

  it('is taken first among pieces of its colour that have aged alike', () => {
    const w = wall(['20 brick 1x2 chalk yellowed', '3 brick 1x4 chalk', '40 brick 1x2 ash']);
    expect(takes(w, {})).toBe('6 yellowed');
  });

  it('does not put a mismatch right', () => {
    const w = makeWorkbench({
      zones: { Wall: ['40 brick 2x4 chalk', '3 brick 2x4 oyster'] },
      stock: ['9 brick 2x4 chalk yellowed', '1 brick 2x4 chalk'],
    });
    expect(withAtHand(w, (at) => at.count(chalk))).toBe(1);
  });
});
