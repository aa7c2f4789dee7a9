import { describe, expect, it } from 'vitest';
import type { Workbench } from '../workbench';
import { setExposure } from '../fading';
import { asId, type ColourId } from '../shared/ids';
import { auditOf, put, register, tower } from '../testing/tower';
import { did, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import { isOpen, leaveMismatch, setScheme } from './index';
import { seenLots } from './seen-lots';

/** The tower with a placeholder beside its slips. */
const house = (): Workbench =>
  put(tower(), 'placeholder', el('brick 1x2', 'amber'), 5, 'Tower', { standsFor: el('brick 1x2', 'chalk') });
const zoneOf = (bench: Workbench, name: string, r = register()) =>
  auditOf(bench, r).zones.find((z) => z.zone === zoneId(name))!;

describe('what an audit says of a zone', () => {
  it('its pieces that are seen, those that are off, and those that stand for others, apart', () => {
    expect(zoneOf(house(), 'Tower')).toMatchObject({ seen: 116, off: 6, placeholders: 5 });
    expect(zoneOf(house(), 'Foot')).toMatchObject({ seen: 70, off: 10, placeholders: 0 });
    expect(zoneOf(house(), 'Hull, port')).toMatchObject({ seen: 30, off: 0, placeholders: 0 });
    expect(auditOf(house()).zones).toHaveLength(4);
  });

  it('its colours with how many of each are off, those without fault first and the most of them first', () => {
    expect(zoneOf(house(), 'Tower').colours).toEqual([
      { colour: 'chalk', qty: 60, off: 0 },
      { colour: 'brick-red', qty: 45, off: 0 },
      { colour: 'coral', qty: 6, off: 6 },
      { colour: 'amber', qty: 5, off: 5 },
    ]);
    expect(zoneOf(house(), 'Foot').colours).toEqual([
      { colour: 'ash', qty: 60, off: 0 },
      { colour: 'dove', qty: 6, off: 6 },
      { colour: 'slate', qty: 4, off: 4 },
    ]);
  });

  it('what is hidden is neither seen nor off, and a colour that only lies hidden is none of the zone', () => {
    const bench = house();
    did(
      bench,
      setExposure(bench, zoneId('Foot'), el('brick 1x2', 'slate'), 'some sides', { seen: 'hidden' }),
    );
    did(bench, setExposure(bench, zoneId('Foot'), el('brick 1x4', 'dove'), 'some sides', { hidden: 2 }));
    expect(zoneOf(bench, 'Foot')).toMatchObject({ seen: 64, off: 4 });
    expect(zoneOf(bench, 'Foot').colours.map((c) => [c.colour, c.qty, c.off])).toEqual([
      ['ash', 60, 0],
      ['dove', 4, 4],
    ]);
  });

  it('the scheme that was set, or else the one it seems to have', () => {
    const bench = house();
    expect(zoneOf(bench, 'Foot')).toMatchObject({ schemeSet: false, scheme: ['ash'] });
    const slate = asId<ColourId>('slate');
    did(bench, setScheme(bench, zoneId('Foot'), [slate]));
    expect(zoneOf(bench, 'Foot')).toMatchObject({ schemeSet: true, scheme: ['slate'] });
  });
});

describe('the whole of an audit', () => {
  it('what was left as it is counts nowhere, and stays to be seen', () => {
    const bench = house();
    const before = auditOf(bench);
    const coral = before.fixes.find((f) => f.mismatch.element === el('slope 45 1x2', 'coral'))!;
    did(bench, leaveMismatch(bench, coral.mismatch, 'a chimney'));
    const after = auditOf(bench);
    expect(zoneOf(bench, 'Tower')).toMatchObject({ off: 0, placeholders: 5 });
    expect(after.fixes.map((f) => f.mismatch.id).sort()).toEqual(
      before.fixes.map((f) => f.mismatch.id).sort(),
    );
    expect(after.shows).toBeCloseTo(before.shows - coral.mismatch.shows, 8);
    expect(after.open.some((f) => f.mismatch.id === coral.mismatch.id)).toBe(false);
  });

  it('a doubtful one that was left is told among the sure ones, since somebody judged it', () => {
    const bench = put(house(), 'add', el('tile 1x2', 'gentian'), 2, 'Foot');
    const [doubt] = auditOf(bench).doubtful;
    expect(doubt!.mismatch.element).toBe(el('tile 1x2', 'gentian'));
    did(bench, leaveMismatch(bench, doubt!.mismatch, 'a gutter'));
    const after = auditOf(bench);
    expect(after.doubtful).toEqual([]);
    expect(after.fixes.find((f) => f.mismatch.id === doubt!.mismatch.id)!.mismatch.left!.reason).toBe(
      'a gutter',
    );
  });

  it('doubtful ones come by how sure they are, the likeliest first', () => {
    const more = [
      el('tile 1x2', 'gentian'),
      el('plate 2x2', 'moss'),
      el('slope 45 2x2', 'dune'),
      el('tile 1x4', 'mist'),
    ];
    const bench = more.reduce((b, e) => put(b, 'add', e, 1, 'Foot'), house());
    const sure = auditOf(bench).doubtful.map((f) => f.mismatch.sure);
    expect(new Set(sure).size).toBeGreaterThan(1);
    expect(sure).toEqual([...sure].sort((a, b) => b - a));
    expect(Math.max(...sure)).toBeLessThan(0.5);
  });

  it('what cannot be had is what was never made and is not at hand; a plan for it takes it out', () => {
    const brickRed = el('slope 45 1x2', 'brick-red');
    const never = register([brickRed]);
    const { cannot, open } = auditOf(house(), never);
    expect(cannot.map((f) => f.mismatch.to)).toEqual([brickRed]);
    expect(open.some((f) => f.mismatch.to === brickRed)).toBe(false);
    expect(auditOf(house()).cannot).toEqual([]);
  });

  it('a budget chooses among those that are open, and the curve ends with all that they show', () => {
    const { open, fixes, curve, shows } = auditOf(house());
    expect(open).toEqual(fixes.filter(isOpen));
    expect(curve.steps.at(-1)!.value).toBeCloseTo(
      open.reduce((s, f) => s + f.mismatch.shows, 0),
      8,
    );
    expect(curve.steps.at(-1)!.value).toBeLessThanOrEqual(shows + 1e-9);
    expect(shows).toBeCloseTo(
      fixes.reduce((s, f) => s + f.mismatch.shows, 0),
      8,
    );
  });
});

describe('how much of a lot is seen', () => {
  it('all but what is hidden, weighing by the sides that show, and whether anybody said so', () => {
    const bench = house();
    const of = (element: string) => seenLots(bench).find((l) => l.element === element)!;
    const dove = el('brick 1x4', 'dove');
    const before = of(dove);
    expect(before).toMatchObject({ qty: 6, seenQty: 6, said: false });
    did(bench, setExposure(bench, zoneId('Foot'), dove, 'some sides', { seen: 'some sides', hidden: 2 }));
    expect(of(dove)).toMatchObject({ qty: 6, seenQty: 4, said: true });
    expect(of(dove).weight / 4).toBeLessThanOrEqual(1);
    expect(of(dove).weight).toBeGreaterThan(0);
    did(bench, setExposure(bench, zoneId('Foot'), dove, 'some sides', { seen: 'one side' }));
    expect(of(dove).weight).toBeLessThan(4);
    did(bench, setExposure(bench, zoneId('Foot'), dove, 'some sides', { seen: 'hidden' }));
    expect(of(dove)).toMatchObject({ qty: 6, seenQty: 0, weight: 0 });
  });
});
