import { describe, expect, it } from 'vitest';
import type { ColourId } from '../shared/ids';
import { register, TEST_YEAR } from '../testing/tower';
import { did, makeWorkbench, testSource, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import { mapName, planRecolour, planSteps } from './index';

const source = testSource();

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
    const plan = planRecolour(w, map, register([el('slope 45 2x1', 'slate')]), TEST_YEAR);
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
    const plan = planRecolour(workbench(), only, register([], [tile]), TEST_YEAR);
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
    const plan = planRecolour(w, map, register(), TEST_YEAR);
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
