import { added, joinDiffs, type Diff } from '@/core/ledger';
import { asId, type AssemblyId, type ColourId, type WhatIfId } from '@/core/shared/ids';
import {
  COPIES,
  el,
  MODIFICATIONS,
  ORDERS,
  PRICES,
  randomLog,
  ZONES,
  TRAYS,
  BUILD,
} from '@/core/testing/world';
import { BRIEFED } from './brief-and-stickers';
import { INSPECTED } from './colours-and-inspection';
import { FITTED } from './fit';
import { OWN_PARTS } from './own-parts-and-buying';
import { SHOWN } from './shown';

/** One record of every type, parents first. */
export const EVERYTHING: Diff = joinDiffs(
  added('build', { id: BUILD, name: 'House', note: 'n', createdAt: '2026', archived: false }),
  added('copy', ...COPIES.values()),
  added('zone', ...ZONES),
  added('phase', { id: MODIFICATIONS[3]!.phase!, build: BUILD, name: 'Later', position: 1.5 }),
  added('modification', ...MODIFICATIONS),
  added('whatIf', { id: asId<WhatIfId>('w1'), build: BUILD, name: 'What if', note: '' }),
  added('assembly', {
    id: asId<AssemblyId>('a1'),
    build: BUILD,
    name: 'Cart',
    lots: [{ element: el('plate 2x3', 'chalk'), qty: 2 }],
  }),
  added('order', ...ORDERS.values()),
  added('tray', ...TRAYS.map((id, i) => ({ id, name: id, place: 'rack', position: i }))),
  added('price', ...PRICES),
  added('customColour', {
    id: asId<ColourId>('fog'),
    name: 'Fog',
    hex: '#aabbcc',
    family: 'grey',
    finish: 'solid',
  }),
  added('colourAlias', { id: 'old fog', colour: asId<ColourId>('fog') }),
  added('columnMemory', { id: 'a b', roles: ['name', 'qty'] }),
  INSPECTED,
  OWN_PARTS,
  FITTED,
  BRIEFED,
  SHOWN,
  added('entry', ...randomLog(4, 60).entries),
);
