import { describe, expect, it } from 'vitest';
import { added, SEEN } from '../ledger';
import { splitElementKey } from '../parts';
import { asId, type ColourId, type ExposureId } from '../shared/ids';
import { auditOf, fixOf, put, tower } from '../testing/tower';
import { did, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import { proposeSeen } from './exposure';
import { findMismatches, showing, MISMATCH_KINDS } from './mismatches';
import { leaveMismatch } from './plan-fixes';
import { seenLots } from './seen-lots';

describe('mismatches', () => {
  it('every kind is found where it was made, and nothing else is', () => {
    let workbench = tower();
    workbench = put(workbench, 'placeholder', el('brick 1x2', 'amber'), 5, 'Tower', {
      standsFor: el('brick 1x2', 'chalk'),
    });
    workbench = put(workbench, 'add', el('brick 2x2', 'lemon'), 4, 'Tower', { hidden: true });
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
    workbench = put(workbench, 'add', el('tile 1x2', 'gentian'), 2, 'Foot');
    const { fixes, doubtful } = auditOf(workbench);
    const said = (f: (typeof fixes)[number]) =>
      [`${f.mismatch.kind} ${f.mismatch.element}`, splitElementKey(f.mismatch.to).colour] as const;
    expect(new Map(fixes.map(said))).toEqual(
      new Map([
        ['placeholder brick 1x2|amber', 'chalk'],
        ['exposed filler brick 2x2|lemon', expect.any(String)],
        ['broken stripe slope 45 1x2|coral', 'brick-red'],
        ['odd one brick 1x2|slate', 'ash'],
        ['near miss brick 1x4|dove', 'ash'],
        ['mirror differs brick 2x2|bark', 'kelp'],
      ]),
    );
    expect(new Map(doubtful.map(said))).toEqual(new Map([['off scheme tile 1x2|gentian', 'ash']]));
    expect(new Set([...fixes, ...doubtful].map((f) => f.mismatch.kind))).toEqual(new Set(MISMATCH_KINDS));
  });

  it('weigh pieces × share seen × ΔE00, and the shares add up to all', () => {
    const workbench = tower();
    const all = auditOf(workbench);
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
    expect(fixOf(workbench, slate)).toBeDefined();
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
    expect(fixOf(workbench, slate)).toBeUndefined();
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
    const off = auditOf(workbench).fixes.filter((f) => f.mismatch.zone === zoneId('Foot'));
    expect(off.map((f) => splitElementKey(f.mismatch.to).colour)).toEqual(off.map(() => 'slate'));
    expect(off.reduce((s, f) => s + f.mismatch.qty, 0)).toBe(66);
  });

  it('one left as it is counts no more, and comes back when it is taken up', () => {
    const workbench = tower();
    const fix = fixOf(workbench, el('slope 45 1x2', 'coral'))!;
    did(workbench, leaveMismatch(workbench, fix.mismatch, 'I like it'));
    const after = auditOf(workbench);
    expect(after.fixes.find((f) => f.mismatch.id === fix.mismatch.id)).toMatchObject({
      share: 0,
      mismatch: { left: { reason: 'I like it' } },
    });
    expect(after.open.some((f) => f.mismatch.id === fix.mismatch.id)).toBe(false);
    did(workbench, leaveMismatch(workbench, fix.mismatch, ''));
    expect(auditOf(workbench).open.some((f) => f.mismatch.id === fix.mismatch.id)).toBe(true);
  });

  it('how much is seen is proposed from the family and the zone', () => {
    expect(proposeSeen(el('tile 2x2', 'ash'), 'Deck')).toBe('top');
    expect(proposeSeen(el('plate 2x4', 'ash'), 'Wall')).toBe('one side');
    expect(proposeSeen(el('brick 2x4', 'ash'), 'Wall')).toBe('some sides');
    expect(proposeSeen(el('brick 2x4', 'ash'), 'Engine room')).toBe('hidden');
    expect(proposeSeen(el('pin 1x1', 'ash'), 'Wall')).toBe('hidden');
    expect(proposeSeen(el('tile 2x2', 'ash', 'chart'), 'Deck')).toBe('all');
  });

  it('one that came so out of the box is told, and one that was built so is not', () => {
    const workbench = tower();
    const slate = el('brick 1x2', 'slate');
    const official = () => fixOf(workbench, slate)!.mismatch.official;
    expect(official()).toBe(true);
    // Of five that are there, four came so.
    put(workbench, 'add', slate, 1, 'Foot');
    expect([fixOf(workbench, slate)!.mismatch.qty, official()]).toEqual([5, false]);
    put(workbench, 'placeholder', el('brick 2x4', 'amber'), 2, 'Tower', {
      standsFor: el('brick 2x4', 'chalk'),
    });
    expect(fixOf(workbench, el('brick 2x4', 'amber'))!.mismatch.official).toBe(false);
  });

  it('a planned recolouring says what belongs there; one that is done, or goes on elsewhere, does not', () => {
    const slate = el('brick 1x2', 'slate');
    const foot = `model:${zoneId('Foot')}`;
    const exchange = (state: 'planned' | 'done', kind: 'recolour' | 'swap') => ({
      kind,
      state,
      movements: [
        { element: slate, qty: 1, grade: 'used', from: foot, to: 'spares:build', worth: 5 },
        { element: el('brick 1x2', 'dove'), qty: 1, grade: 'new', from: 'outside', to: foot, worth: 5 },
      ],
    });
    const meant = (state: 'planned' | 'done', kind: 'recolour' | 'swap') => {
      const workbench = put(tower(), 'add', slate, 1, 'Foot', exchange(state, kind));
      const lots = seenLots(workbench);
      return findMismatches(workbench, lots).find((m) => m.element === slate)?.to;
    };
    expect(meant('planned', 'recolour')).toBe(el('brick 1x2', 'dove'));
    expect(meant('planned', 'swap')).toBe(el('brick 1x2', 'ash'));
    expect(meant('done', 'recolour')).toBe(el('brick 1x2', 'ash'));
  });

  it('a placeholder counts as far as it is seen, in its own zone', () => {
    const amber = el('brick 1x2', 'amber');
    const workbench = put(tower(), 'placeholder', amber, 5, 'Tower', { standsFor: el('brick 1x2', 'chalk') });
    put(workbench, 'add', amber, 9, 'Foot');
    did(workbench, {
      label: '',
      diff: added('exposure', {
        id: asId<ExposureId>(`${zoneId('Tower')}|${amber}`),
        build: workbench.build,
        zone: zoneId('Tower'),
        element: amber,
        seen: 'one side',
        hidden: 3,
      }),
    });
    const waiting = findMismatches(workbench).filter((m) => m.kind === 'placeholder');
    expect(waiting.map((m) => [m.zone, m.qty, m.seen, m.sure])).toEqual([
      [zoneId('Tower'), 2, 'one side', 1],
    ]);
  });
});
