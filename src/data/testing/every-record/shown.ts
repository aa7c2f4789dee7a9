import { added, joinDiffs, type Diff } from '@/core/ledger';
import { asId, type PatternId, type StageId, type StoreyId, type StreetId } from '@/core/shared/ids';
import { el, ZONES, BUILD } from '@/core/testing/world';

const ELEMENT = el('plate 2x3', 'chalk');

/** What is shown and told of a mod. One record of each type. */
export const SHOWN: Diff = joinDiffs(
  added('stage', {
    ...{ id: asId<StageId>('st'), build: BUILD, name: 'Fully dressed', no: 41, at: '2026-11-28' },
    ...{ note: 'lamps lit', size: { length: 22, width: 10.5, height: 5 }, photo: 'p1', position: 1.5 },
    marks: [
      { x: 0.25, y: 0.5 },
      { x: 0.75, y: 0.5 },
    ],
  }),
  added('zoneTold', {
    ...{ id: ZONES[1]!.id, build: BUILD, zone: ZONES[1]!.id, was: 'bare', is: 'a porch', photo: null },
  }),
  added('modSheet', {
    ...{ id: BUILD, build: BUILD, title: 'Test house', author: 'Wren', lead: '', thanks: 'to all' },
    ...{ parts: ['tally', 'changes'], tells: ['prices'], paper: 'A4' },
  }),
  added('pattern', {
    ...{
      id: asId<PatternId>('pt'),
      build: BUILD,
      name: 'Pier house',
      author: 'Ash',
      kind: 'list',
      revision: 2,
    },
    ...{ at: '2026-11-28', zones: ['', 'Porch / Steps'], lots: [{ zone: 1, element: ELEMENT, qty: 3 }] },
    faults: [{ step: 'Steps, 3', says: 'one tile too few', at: '2026-11-28' }],
  }),
  added('street', {
    ...{ id: asId<StreetId>('sr'), name: 'Quay', width: 96, depth: 48, note: '' },
    places: [{ build: BUILD, x: 0, y: 2.5, turned: true }],
  }),
  added('storey', {
    ...{ id: asId<StoreyId>('sy'), build: BUILD, name: 'Roof', zone: ZONES[1]!.id, from: null },
    ...{ rule: 'on top', state: 'stands', note: '', position: 2 },
  }),
);
