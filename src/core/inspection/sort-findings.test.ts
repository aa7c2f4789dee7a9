import { describe, expect, it } from 'vitest';
import type { Finding } from '../records';
import { did, makeWorkbench, testSource, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import { findingState } from './findings';
import { FINDING_ORDERS, keepFinding, sortFindings } from './index';

const workbench = makeWorkbench({ zones: { Wall: ['6 brick 1x2 slate'], Roof: ['3 plate 1x2 ash'] } });
const source = testSource();
const find = (
  note: string,
  kind: Finding['kind'],
  zone: string,
  matters: number,
  more: Partial<Finding> = {},
) => {
  did(
    workbench,
    keepFinding(
      workbench,
      null,
      { kind, zone: zoneId(zone), note, matters, lots: [], to: null, photo: null, ...more } as never,
      { ...source, now: `2026-11-2${workbench.records.finding.size}T10:00:00Z` },
    ),
  );
};
find('wobbly post', 'weak', 'Wall', 1);
find('hole over the door', 'gap', 'Wall', 3);
find('pale row', 'faded', 'Roof', 2, { lots: [{ element: el('plate 1x2', 'ash'), qty: 2 }] });
find('wrong grey', 'mismatch', 'Roof', 3, { to: el('brick 1x2', 'dove') });
const stated = [...workbench.records.finding.values()].map((finding) => ({
  finding,
  state: finding.note === 'hole over the door' ? ('dropped' as const) : findingState(finding, []),
}));
const zoneName = (f: Finding) => workbench.records.zone.get(f.zone)!.name;
const list = (text: string, order: (typeof FINDING_ORDERS)[number]) =>
  sortFindings(stated, text, order, zoneName).map((f) => f.finding.note);

describe('findings are found and ordered', () => {
  it.each([
    ['what is open first', ['wrong grey', 'pale row', 'wobbly post', 'hole over the door']],
    ['what matters most', ['wrong grey', 'hole over the door', 'pale row', 'wobbly post']],
    ['by zone', ['wrong grey', 'pale row', 'wobbly post', 'hole over the door']],
    ['by kind', ['pale row', 'hole over the door', 'wrong grey', 'wobbly post']],
    ['last found first', ['wrong grey', 'pale row', 'hole over the door', 'wobbly post']],
  ] as const)('%s', (order, notes) => expect(list('', order)).toEqual(notes));

  it('by words of the note, the kind, the zone, its parts and what belongs there', () => {
    expect(list('roof', 'what is open first')).toEqual(['wrong grey', 'pale row']);
    expect(list('plate ash', 'by kind')).toEqual(['pale row']);
    expect(list('dove', 'by kind')).toEqual(['wrong grey']);
    expect(list('GAP wall', 'by kind')).toEqual(['hole over the door']);
    expect(list('nothing', 'by kind')).toEqual([]);
  });
});
