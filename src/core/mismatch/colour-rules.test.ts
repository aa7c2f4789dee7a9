import { describe, expect, it } from 'vitest';
import { invertDiff } from '../ledger';
import { splitElementKey } from '../parts';
import { asId, type ColourId } from '../shared/ids';
import { auditOf, fixOf, tower } from '../testing/tower';
import { did, makeWorkbench, testSource, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import { forgetColourRule, learnColourRule, rulesOf, scopeWords } from './colour-rules';
import { agreeToSchemes } from './scheme';

const source = testSource();
const c = (name: string) => asId<ColourId>(name);
const inZone = (zone: string, colour: string) => ({ zone: zoneId(zone), family: '', colour: c(colour) });

describe('what a person says of a colour once', () => {
  it('that it is meant so: it is no mismatch in that zone any more, and is one again when that is forgotten', () => {
    const w = tower();
    const dove = el('brick 1x4', 'dove');
    expect(fixOf(w, dove)?.mismatch.sure).toBeGreaterThan(0.5);
    did(w, learnColourRule(w, inZone('Tower', 'dove'), null, source));
    expect(fixOf(w, dove), 'another zone').toBeDefined();
    const learnt = learnColourRule(w, inZone('Foot', 'dove'), null, source);
    did(w, learnt);
    expect(learnt.label).toBe('dove in Foot is meant so');
    expect(fixOf(w, dove)).toBeUndefined();
    did(
      w,
      forgetColourRule(
        w,
        rulesOf(w).find((r) => r.zone === zoneId('Foot'))!,
      ),
    );
    expect(fixOf(w, dove)).toBeDefined();
  });

  it('where it belongs: every part of that colour in the zone goes there, for sure', () => {
    const w = makeWorkbench({
      zones: { Foot: ['40 brick 1x2 ash', '4 brick 1x2 slate', '20 brick 1x4 ash', '9 tile 2x2 slate'] },
    });
    did(w, learnColourRule(w, inZone('Foot', 'slate'), c('bark'), source));
    const off = auditOf(w).fixes.map((f) => [f.mismatch.element, f.mismatch.to, f.mismatch.sure]);
    expect(off.sort()).toEqual([
      [el('brick 1x2', 'slate'), el('brick 1x2', 'bark'), 1],
      [el('tile 2x2', 'slate'), el('tile 2x2', 'bark'), 1],
    ]);
  });

  it('a role holds in all zones, and gives way to what is said of one', () => {
    const w = makeWorkbench({
      zones: {
        Hall: ['40 brick 1x2 ash', '6 window 1x2x2 soot'],
        Shop: ['40 brick 1x2 ash', '5 window 1x2x2 kelp', '7 window 1x4x3 chalk'],
      },
    });
    const windows = { zone: null, family: 'window', colour: null };
    did(w, learnColourRule(w, windows, c('chalk'), source));
    const off = () =>
      auditOf(w)
        .fixes.map((f) => `${f.mismatch.qty} ${f.mismatch.element} ${splitElementKey(f.mismatch.to).colour}`)
        .sort();
    expect(off()).toEqual(['5 window 1x2x2|kelp chalk', '6 window 1x2x2|soot chalk']);
    did(w, learnColourRule(w, inZone('Shop', 'kelp'), null, source));
    expect(off()).toEqual(['6 window 1x2x2|soot chalk']);
    did(w, learnColourRule(w, { ...windows, family: 'Windows and doors' }, c('soot'), source));
    expect(off(), 'the family and the group are as exact: the first given holds').toEqual([
      '6 window 1x2x2|soot chalk',
    ]);
  });

  it('what is said again takes the place of what was said, in one step that is taken back in one', () => {
    const w = tower();
    did(w, learnColourRule(w, inZone('Foot', 'dove'), c('slate'), source));
    const again = learnColourRule(w, inZone('Foot', 'dove'), null, source);
    w.apply(again.diff);
    expect(rulesOf(w).map((r) => r.to)).toEqual([null]);
    w.apply(invertDiff(again.diff));
    expect(rulesOf(w).map((r) => r.to)).toEqual([c('slate')]);
  });

  it('is told in words', () => {
    expect(scopeWords({ zone: null, family: 'Tiles', colour: null }, '')).toBe('tiles in all zones');
    expect(scopeWords(inZone('Foot', 'dove'), 'Foot')).toBe('dove in Foot');
    expect(scopeWords({ zone: null, family: '', colour: null }, '')).toBe('everything in all zones');
  });
});

describe('schemes that are agreed to', () => {
  it('are the person’s own from then on, those that were set before are left alone, and one undo takes all back', () => {
    const w = tower();
    const zones = auditOf(w).zones;
    did(
      w,
      agreeToSchemes(
        w,
        zones.filter((z) => z.zone === zoneId('Foot')),
      ),
    );
    const all = agreeToSchemes(w, auditOf(w).zones);
    expect(all.label).toBe('agree to 3 schemes');
    did(w, all);
    const after = auditOf(w).zones;
    expect(after.map((z) => [z.scheme, z.schemeSet])).toEqual(zones.map((z) => [z.scheme, true]));
  });

  it('what stands out is found against them still', () => {
    const w = tower();
    const before = auditOf(w)
      .fixes.map((f) => f.mismatch.id)
      .sort();
    did(w, agreeToSchemes(w, auditOf(w).zones));
    expect(
      auditOf(w)
        .fixes.map((f) => f.mismatch.id)
        .sort(),
    ).toEqual(before);
  });

  it('what came so out of the box is told apart from what was put in', () => {
    const w = tower();
    expect(auditOf(w).fixes.every((f) => f.mismatch.official)).toBe(true);
  });
});
