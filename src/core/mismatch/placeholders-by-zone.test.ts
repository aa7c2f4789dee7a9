import { describe, expect, it } from 'vitest';
import { put, tower } from '../testing/tower';
import { did, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import { added, BLANK_ENTRY } from '../ledger';
import { asId, type EntryId } from '../shared/ids';
import type { Workbench } from '../workbench';
import { placeholdersByZone } from './placeholders-by-zone';

const amber = el('brick 1x2', 'amber');
const chalk = el('brick 1x2', 'chalk');
const lemon = el('brick 1x2', 'lemon');
let n = 0;
const stand = (bench: Workbench, qty: number, zone: string, loggedAt: string, standsFor = chalk) =>
  put(bench, 'placeholder', amber, qty, zone, { standsFor, loggedAt });
/** Takes some of them off again, for the right part. */
const replace = (bench: Workbench, qty: number, zone: string, standsFor = chalk) =>
  did(bench, {
    label: '',
    diff: added('entry', {
      ...BLANK_ENTRY,
      id: asId<EntryId>(`r${n++}`),
      build: bench.build,
      kind: 'replacement',
      no: 30,
      position: 30,
      loggedAt: '2026-01-01T00:00:00Z',
      standsFor,
      movements: [
        {
          element: amber,
          qty,
          grade: 'new',
          from: `model:${zoneId(zone)}`,
          to: `spares:${bench.build}`,
          worth: null,
        },
        { element: chalk, qty, grade: 'new', from: 'outside', to: `model:${zoneId(zone)}`, worth: 4 },
      ] as never,
    }),
  });

describe('placeholders that wait, by zone', () => {
  it('are told apart by zone and by what they stand for, with the day of the oldest', () => {
    let bench = stand(tower(), 3, 'Tower', '2026-03-02');
    bench = stand(bench, 2, 'Tower', '2026-01-05');
    bench = stand(bench, 1, 'Tower', '2026-04-01');
    bench = stand(bench, 4, 'Foot', '2026-02-01');
    bench = stand(bench, 1, 'Foot', '2026-02-03', lemon);
    expect(placeholdersByZone(bench)).toEqual([
      { zone: zoneId('Tower'), element: amber, standsFor: chalk, qty: 6, since: '2026-01-05' },
      { zone: zoneId('Foot'), element: amber, standsFor: chalk, qty: 4, since: '2026-02-01' },
      { zone: zoneId('Foot'), element: amber, standsFor: lemon, qty: 1, since: '2026-02-03' },
    ]);
  });

  it('become fewer by what was replaced in their zone, and are gone with the last', () => {
    const bench = stand(stand(tower(), 3, 'Tower', '2026-03-02'), 2, 'Foot', '2026-03-02');
    replace(bench, 2, 'Tower');
    expect(placeholdersByZone(bench).map((p) => [p.zone, p.qty])).toEqual([
      [zoneId('Tower'), 1],
      [zoneId('Foot'), 2],
    ]);
    replace(bench, 1, 'Tower');
    expect(placeholdersByZone(bench).map((p) => p.zone)).toEqual([zoneId('Foot')]);
  });

  it('are none where something was only added', () =>
    expect(placeholdersByZone(put(tower(), 'add', amber, 3, 'Tower', { standsFor: chalk }))).toEqual([]));
});
