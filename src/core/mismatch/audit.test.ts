import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { added, entryFault, SEEN, takeTally } from '../ledger';
import { elementKey, partOf, splitElementKey, substitutesFor, type ElementKey } from '../parts';
import { asId, type ColourId, type EntryId, type ExposureId, type PartId } from '../shared/ids';
import { did, makeWorkbench, testSource, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import type { Workbench } from '../workbench';
import { affordableColours, mapName, planRecolour, planSteps } from '../recolouring';
import { alternativesFor, availability, withKnowledge, type Register } from './register';
import { auditColours } from './audit';
import { budgetCurve, type Choice } from './budget';
import { leaveMismatch, planFixes, planInstead, planShapes } from './plan-fixes';
import { proposeSeen } from './exposure';
import { showing, MISMATCH_KINDS, type MismatchKind } from './mismatches';

const source = testSource();
const YEAR = 2026;
/** Everything is made, but for what a test says. */
const register = (never: readonly ElementKey[] = [], retired: readonly ElementKey[] = []): Register => ({
  look: (e) =>
    never.includes(e) ? { made: false } : { made: true, from: 1990, to: retired.includes(e) ? 2010 : null },
});
const PRICES = ['brick 1x2 ash 9', 'brick 1x2 slate 9', 'slope 45 1x2 brick-red 16', 'brick 1x4 chalk 14'];
const tower = () =>
  makeWorkbench({
    zones: {
      Tower: [
        '60 brick 1x4 chalk',
        '40 brick 2x4 brick-red',
        '6 slope 45 1x2 coral',
        '5 brick 1x2 brick-red',
      ],
      Foot: ['40 brick 1x2 ash', '4 brick 1x2 slate', '20 brick 1x4 ash', '6 brick 1x4 dove'],
      'Hull, port': ['20 tile 2x2 kelp', '10 brick 2x2 kelp'],
      'Hull, starboard': ['20 tile 2x2 kelp', '8 brick 2x2 kelp', '2 brick 2x2 bottle'],
    },
    stock: ['3 brick 1x2 ash', '2 brick 1x4 ash new'],
    prices: PRICES,
  });
const audit = (workbench: Workbench, r = register()) => auditColours(workbench, r, YEAR);
const mismatchOf = (workbench: Workbench, element: ElementKey, r = register()) =>
  audit(workbench, r).fixes.find((f) => f.mismatch.element === element);
const line = (
  workbench: Workbench,
  kind: 'placeholder' | 'add',
  element: ElementKey,
  qty: number,
  zone: string,
  more = {},
) =>
  did(workbench, {
    label: '',
    diff: added('entry', {
      id: asId<EntryId>(source.newId()),
      build: workbench.build,
      modification: null,
      kind,
      state: 'done',
      no: 9,
      position: 1,
      why: null,
      note: '',
      hidden: false,
      standsFor: null,
      whatIf: null,
      assembly: null,
      order: null,
      splitFrom: null,
      loan: null,
      counted: null,
      loggedAt: '2024-01-01T00:00:00Z',
      movements: [
        {
          element,
          qty,
          grade: 'new' as never,
          from: 'outside' as never,
          to: `model:${zoneId(zone)}` as never,
          worth: 5,
        },
      ],
      ...more,
    }),
  });

describe('mismatches', () => {
  it('every kind is found where it was made, and nothing else is', () => {
    let workbench = tower();
    workbench = line(workbench, 'placeholder', el('brick 1x2', 'amber'), 5, 'Tower', {
      standsFor: el('brick 1x2', 'chalk'),
    });
    workbench = line(workbench, 'add', el('brick 2x2', 'lemon'), 4, 'Tower', { hidden: true });
    did(workbench, {
      label: '',
      diff: added('exposure', {
        id: asId<ExposureId>(`${zoneId('Tower')}|${el('brick 2x2', 'lemon')}`),
        build: workbench.build,
        zone: zoneId('Tower'),
        element: el('brick 2x2', 'lemon'),
        seen: 'some sides',
        hidden: 1,
      }),
    });
    workbench = line(workbench, 'add', el('tile 1x2', 'gentian'), 2, 'Foot');
    workbench = line(workbench, 'add', el('brick 1x1', 'dove'), 3, 'Foot');
    const found = audit(workbench).fixes.map((f): [MismatchKind, string, string] => [
      f.mismatch.kind,
      f.mismatch.element,
      splitElementKey(f.mismatch.to).colour,
    ]);
    expect(new Set(found.map(([k]) => k))).toEqual(new Set(MISMATCH_KINDS));
    expect(new Map(found.map(([k, e, to]) => [`${k} ${e}`, to]))).toEqual(
      new Map([
        ['placeholder brick 1x2|amber', 'chalk'],
        ['exposed filler brick 2x2|lemon', expect.any(String)],
        ['broken stripe slope 45 1x2|coral', 'brick-red'],
        ['odd one brick 1x2|slate', 'ash'],
        ['odd one brick 1x4|dove', 'ash'],
        ['near miss brick 1x1|dove', 'ash'],
        ['off scheme tile 1x2|gentian', 'ash'],
        ['mirror differs brick 2x2|bottle', 'kelp'],
      ]),
    );
  });

  it('weigh pieces × share seen × ΔE00, and the shares add up to all', () => {
    const workbench = tower();
    const all = audit(workbench);
    for (const { mismatch } of all.fixes)
      expect(mismatch.shows).toBeCloseTo(showing(mismatch.qty, mismatch.seen, mismatch.deltaE), 10);
    expect(all.fixes.reduce((s, f) => s + f.share, 0)).toBeCloseTo(1, 10);
    const shows = all.fixes.map((f) => f.mismatch.shows);
    expect(shows).toEqual([...shows].sort((a, b) => b - a));
    for (const seen of SEEN) expect(showing(1, seen, 10)).toBeLessThanOrEqual(10);
  });

  it('a hidden lot is no mismatch; a person’s word counts over the proposal', () => {
    const workbench = tower();
    const slate = el('brick 1x2', 'slate');
    expect(mismatchOf(workbench, slate)).toBeDefined();
    did(workbench, {
      label: '',
      diff: added('exposure', {
        id: asId<ExposureId>(`${zoneId('Foot')}|${slate}`),
        build: workbench.build,
        zone: zoneId('Foot'),
        element: slate,
        seen: 'hidden',
        hidden: 0,
      }),
    });
    expect(mismatchOf(workbench, slate)).toBeUndefined();
  });

  it('the scheme that a person sets is kept to', () => {
    const workbench = tower();
    did(workbench, {
      label: '',
      diff: added('scheme', {
        id: zoneId('Foot'),
        build: workbench.build,
        zone: zoneId('Foot'),
        colours: ['slate' as ColourId],
      }),
    });
    const off = audit(workbench).fixes.filter((f) => f.mismatch.zone === zoneId('Foot'));
    expect(off.map((f) => splitElementKey(f.mismatch.to).colour)).toEqual(off.map(() => 'slate'));
    expect(off.reduce((s, f) => s + f.mismatch.qty, 0)).toBe(66);
  });

  it('one left as it is counts no more, and comes back when it is taken up', () => {
    const workbench = tower();
    const fix = mismatchOf(workbench, el('slope 45 1x2', 'coral'))!;
    did(workbench, leaveMismatch(workbench, fix.mismatch, 'I like it'));
    const after = audit(workbench);
    expect(after.fixes.find((f) => f.mismatch.id === fix.mismatch.id)).toMatchObject({
      share: 0,
      mismatch: { left: { reason: 'I like it' } },
    });
    expect(after.open.some((f) => f.mismatch.id === fix.mismatch.id)).toBe(false);
    did(workbench, leaveMismatch(workbench, fix.mismatch, ''));
    expect(audit(workbench).open.some((f) => f.mismatch.id === fix.mismatch.id)).toBe(true);
  });

  it('how much is seen is proposed from the family and the zone', () => {
    expect(proposeSeen(el('tile 2x2', 'ash'), 'Deck')).toBe('top');
    expect(proposeSeen(el('plate 2x4', 'ash'), 'Wall')).toBe('one side');
    expect(proposeSeen(el('brick 2x4', 'ash'), 'Wall')).toBe('some sides');
    expect(proposeSeen(el('brick 2x4', 'ash'), 'Engine room')).toBe('hidden');
    expect(proposeSeen(el('pin 1x1', 'ash'), 'Wall')).toBe('hidden');
    expect(proposeSeen(el('tile 2x2', 'ash', 'chart'), 'Deck')).toBe('all');
  });
});

describe('fixes', () => {
  it('take from own parts first, buy the rest, and one piece is not promised twice', () => {
    const fix = mismatchOf(tower(), el('brick 1x2', 'slate'))!;
    expect(fix).toMatchObject({ fromStock: 3, toBuy: 1, cost: 9, estimated: false });
    const all = audit(tower()).fixes.filter((f) => f.mismatch.to === el('brick 1x4', 'ash'));
    expect(all.reduce((s, f) => s + f.fromStock, 0)).toBeLessThanOrEqual(2);
  });

  it('a price that is not known is the median of the shape in other colours, and is said to be', () => {
    const fix = mismatchOf(tower(), el('brick 1x4', 'dove'))!;
    expect(fix).toMatchObject({ each: 14, estimated: true, toBuy: 4, cost: 56 });
  });

  it('what was never made is not available, unless it is at hand', () => {
    const red = el('slope 45 1x2', 'brick-red');
    const report = audit(tower(), register([red]));
    expect(report.cannot.map((f) => f.mismatch.to)).toEqual([red]);
    expect(report.open.some((f) => f.mismatch.to === red)).toBe(false);
    expect(audit(tower(), register([], [red])).fixes.find((f) => f.mismatch.to === red)).toMatchObject({
      availability: 'retired',
      canBeHad: true,
    });
  });

  it('chosen ones become planned entries, lawful, that cost what was said', () => {
    const workbench = tower();
    const { open } = audit(workbench);
    const said = open.reduce((s, f) => s + (f.cost ?? 0), 0);
    const work = planFixes(workbench, open, source);
    expect(work.problems).toEqual([]);
    expect(work.entries.map(entryFault).filter(Boolean)).toEqual([]);
    did(workbench, work);
    const tally = takeTally(workbench.planned, { of: 'build' }, workbench.priceOf).figures;
    expect(tally.outOfPocket).toBe(said);
    expect(tally.recoloured).toBe(open.reduce((s, f) => s + f.mismatch.qty, 0));
    expect(audit(workbench).open).toEqual([]);
  });

  it('a placeholder’s fix is its replacement', () => {
    const workbench = line(tower(), 'placeholder', el('brick 1x2', 'amber'), 5, 'Tower', {
      standsFor: el('brick 1x2', 'chalk'),
    });
    const fix = audit(workbench).open.filter((f) => f.mismatch.kind === 'placeholder');
    did(workbench, planFixes(workbench, fix, source));
    expect(workbench.planned.figures({ of: 'build' })).toMatchObject({ replaced: 5, recoloured: 0 });
  });

  it('instead of what is not available: the nearest colour, or other shapes', () => {
    const workbench = tower();
    const fix = mismatchOf(workbench, el('brick 1x4', 'dove'))!;
    const near = planInstead(workbench, fix, el('brick 1x4', 'flint'), source);
    expect(near.entries).toMatchObject([{ kind: 'recolour', state: 'planned' }]);
    const shapes = planShapes(workbench, fix, [{ element: el('brick 1x2', 'ash'), qty: 2 }], source);
    expect(shapes.entries).toMatchObject([{ kind: 'swap' }]);
    expect(
      shapes.entries
        .flatMap((e) => e.movements)
        .filter((m) => m.element === el('brick 1x2', 'ash'))
        .reduce((s, m) => s + m.qty, 0),
    ).toBe(12);
  });
});

describe('what is not available', () => {
  it('offers the nearest colours it was made in and shapes that fill its room', () => {
    const workbench = tower();
    const wanted = el('brick 2x4', 'ash');
    const never = [wanted, el('brick 2x4', 'dove'), el('brick 2x2', 'ash')];
    const found = alternativesFor(wanted, workbench.palette, register(never), YEAR);
    expect(found.colours).toHaveLength(3);
    expect(found.colours.map((c) => c.colour.id)).not.toContain('dove');
    expect(found.colours[0]!.deltaE).toBeLessThanOrEqual(found.colours[1]!.deltaE);
    expect(found.shapes.map((s) => s.weakens)).toEqual([
      'a joint across it',
      'a joint along it',
      'layers instead of one piece',
    ]);
    expect(found.shapes.flatMap((s) => s.parts.map((p) => p.part.id))).not.toContain('brick 2x2');
  });

  it('substitutes fill exactly the same room', () => {
    for (const name of ['plate 1x14', 'plate 1x8', 'brick 2x4', 'tile 1x6', 'brick 1x2', 'plate 4x8']) {
      const part = partOf(name as PartId);
      const room = (p: typeof part) => p.size[0] * p.size[1] * p.height;
      for (const s of substitutesFor(part))
        expect([name, s.parts.reduce((sum, p) => sum + p.qty * room(p.part), 0)]).toEqual([name, room(part)]);
    }
    expect(substitutesFor(partOf('plate 1x14' as PartId))[0]!.parts.map((p) => [p.qty, p.part.id])).toEqual([
      [1, 'plate 1x12'],
      [1, 'plate 1x2'],
    ]);
    expect(substitutesFor(partOf('arch 1x4' as PartId))).toEqual([]);
  });

  it('imported lists and proof from a box lie over the register', () => {
    const [a, b, c] = [el('arch 1x4', 'ash'), el('arch 1x4', 'bark'), el('arch 1x4', 'kelp')];
    const known = withKnowledge(
      register([a, b, c]),
      new Map([[a, { id: a, element: a, from: 2001, to: 2009 }]]),
      new Set([elementKey('arch 1x4' as PartId, 'bark' as ColourId, 'sign')]),
    );
    expect(availability(known.look(a), YEAR)).toBe('retired');
    expect(availability(known.look(a), 2005)).toBe('made');
    expect(availability(known.look(elementKey('arch 1x4' as PartId, 'bark' as ColourId, 'sign')), YEAR)).toBe(
      'retired',
    );
    expect(availability(known.look(c), YEAR)).toBe('never');
  });
});

describe('what money buys', () => {
  const choicesArb = fc.array(
    fc.record({ cost: fc.integer({ min: 0, max: 60 }), value: fc.integer({ min: 1, max: 90 }) }),
    { maxLength: 9 },
  );
  const bruteForce = (choices: readonly Choice[], budget: number): number => {
    let best = 0;
    for (let set = 0; set < 1 << choices.length; set++) {
      const chosen = choices.filter((_, i) => (set >> i) & 1);
      const cost = chosen.reduce((s, c) => s + c.cost, 0);
      if (cost <= budget)
        best = Math.max(
          best,
          chosen.reduce((s, c) => s + c.value, 0),
        );
    }
    return best;
  };

  it('is the best there is, for every budget', () =>
    fc.assert(
      fc.property(choicesArb, fc.integer({ min: 0, max: 400 }), (choices, budget) => {
        const { best } = budgetCurve(choices);
        const chosen = best(budget);
        expect(chosen.reduce((s, i) => s + choices[i]!.cost, 0)).toBeLessThanOrEqual(budget);
        expect(chosen.reduce((s, i) => s + choices[i]!.value, 0)).toBe(bruteForce(choices, budget));
        expect(new Set(chosen).size).toBe(chosen.length);
      }),
      { numRuns: 300 },
    ));

  it('the curve rises, each step is bought by its cost and by no less', () =>
    fc.assert(
      fc.property(choicesArb, (choices) => {
        const { steps, best } = budgetCurve(choices);
        const worth = (budget: number) => best(budget).reduce((s, i) => s + choices[i]!.value, 0);
        steps.forEach((step, k) => {
          expect(worth(step.cost)).toBe(step.value);
          if (k > 0) {
            expect(step.value).toBeGreaterThan(steps[k - 1]!.value);
            expect(worth(step.cost - 1)).toBeLessThan(step.value);
          }
        });
        expect(steps.at(-1)!.value).toBe(choices.reduce((s, c) => s + c.value, 0));
      }),
    ));

  it('a cost that is no whole number is a mistake', () =>
    expect(() => budgetCurve([{ cost: 1.5, value: 1 }])).toThrow(/1.5/));
});

describe('recolour at once', () => {
  const workbench = () =>
    makeWorkbench({
      zones: {
        Deck: ['30 brick 1x2 ash', '10 tile 2x2 ash', '4 pin 1x1 ash'],
        Mast: ['8 brick 1x4 ash', '2 slope 45 2x1 ash'],
      },
      stock: ['5 brick 1x2 slate'],
      prices: ['brick 1x2 slate 9', 'tile 2x2 slate 12', 'brick 1x4 chalk 14'],
    });
  const map = {
    pairs: new Map([['ash' as ColourId, 'slate' as ColourId]]),
    zones: null,
    leavePrints: true,
    leaveHidden: true,
    leaveRetired: false,
  };

  it('says what is possible, what is not and why, and what it costs', () => {
    const w = workbench();
    const plan = planRecolour(w, map, register([el('slope 45 2x1', 'slate')]), YEAR);
    expect(plan.left).toMatchObject([
      { element: el('pin 1x1', 'ash'), because: 'hidden', qty: 4 },
      { element: el('slope 45 2x1', 'ash'), because: 'never made', qty: 2 },
    ]);
    expect(plan.pieces).toBe(48);
    expect(plan.cost).toBe(25 * 9 + 10 * 12 + 8 * 14);
    expect(plan.steps.reduce((s, x) => s + x.pieces, 0)).toBe(plan.pieces);
    expect(plan.steps.at(-1)!.spent).toBe(plan.cost);
    const shares = plan.steps.map((s) => s.newShare);
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
  });

  it('only the chosen zones, and retired parts stay when they are to', () => {
    const tile = el('tile 2x2', 'slate');
    const only = { ...map, zones: new Set([zoneId('Deck')]), leaveRetired: true };
    const plan = planRecolour(workbench(), only, register([], [tile]), YEAR);
    expect(plan.lots.map((l) => l.from)).toEqual([el('brick 1x2', 'ash')]);
    expect(plan.left.map((l) => l.because)).toContain('no longer made');
  });

  it('names a map of colours by what each becomes', () => {
    const pairs = new Map(
      [
        ['ash', 'chalk'],
        ['deep', 'amber'],
        ['slate', 'chalk'],
      ].map(([a, b]) => [a as ColourId, b as ColourId]),
    );
    expect(mapName({ pairs } as never)).toBe('ash, slate to chalk; deep to amber');
  });

  it('stages become phases with modifications that cost what was said', () => {
    const w = workbench();
    const plan = planRecolour(w, map, register(), YEAR);
    const work = planSteps(w, plan, plan.steps, 'Ash to slate', source);
    expect(work.problems).toEqual([]);
    did(w, work);
    expect([...w.records.phase.values()].map((p) => p.name)).toEqual([
      'Step 1: Ash to slate',
      'Step 2: Ash to slate',
    ]);
    plan.steps.forEach((step, i) => {
      const phase = [...w.records.phase.values()][i]!;
      expect(w.planned.figures({ of: 'phase', phase: phase.id }).recoloured).toBe(step.pieces);
    });
    const { outOfPocket, unpriced } = w.planned.figures({ of: 'build' });
    expect([outOfPocket, unpriced]).toEqual([plan.cost, plan.unpriced]);
  });
});

describe('which colour can I afford', () => {
  const wall = [
    { part: 'brick 1x2' as PartId, qty: 10 },
    { part: 'brick 1x4' as PartId, qty: 4 },
  ];
  const workbench = makeWorkbench({
    zones: { Wall: ['1 brick 1x2 chalk'] },
    stock: ['8 brick 1x2 ash', '4 brick 1x4 ash', '2 brick 1x2 bark', '9 brick 1x2 dune'],
    prices: ['brick 1x2 ash 9', 'brick 1x4 ash 12'],
  });

  it('ranks by what is available, then by money, and tells what is at hand and to buy', () => {
    const report = affordableColours(workbench, wall, ['ash' as ColourId], register(), YEAR);
    expect(report.colours[0]).toMatchObject({
      colour: { id: 'ash' },
      atHand: 12,
      toBuy: 2,
      cost: 18,
      offScheme: 0,
    });
    for (const c of report.colours)
      expect(c.atHand + c.toBuy + c.cannot.reduce((s, w) => s + w.qty, 0)).toBe(14);
  });

  it('what was never made puts a colour last', () => {
    const report = affordableColours(workbench, wall, [], register([el('brick 1x2', 'ash')]), YEAR);
    expect(report.colours.at(-1)).toMatchObject({
      colour: { id: 'ash' },
      cannot: [{ part: 'brick 1x2', qty: 2 }],
    });
    expect(report.colours[0]!.offScheme).toBeNull();
  });

  it('offers stripes of two colours that are told apart, where none is enough', () => {
    const [best] = affordableColours(workbench, wall, [], register(), YEAR).stripes;
    expect(best).toMatchObject({ main: { id: 'ash' }, toBuy: 0, mainPieces: 12, otherPieces: 2 });
    expect(best!.deltaE).toBeGreaterThanOrEqual(10);
    const rich = makeWorkbench({
      zones: { Wall: ['1 brick 1x2 chalk'] },
      stock: ['20 brick 1x2 ash', '9 brick 1x4 ash'],
    });
    expect(affordableColours(rich, wall, [], register(), YEAR).stripes).toEqual([]);
  });
});
