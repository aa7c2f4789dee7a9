import { written, type Command } from '../../ledger';
import { STREET, type Interior } from '../../records';
import type { Workbench } from '../../workbench';
import { FIGURE_MM } from '../sums/scale';
import { PLATE } from '../sums/measures';

export type Room = Interior['rooms'][number];
export type Way = Interior['ways'][number];
export type Passer = Interior['passers'][number];

/** A figure with its arms: two studs wide, twelve plates tall. */
const FIGURE: Passer = { name: 'figure', width: 2, height: Math.ceil(FIGURE_MM / PLATE), climbs: true };

/** What is known of the inside of a build; at first no room, and a figure that wants to get everywhere. */
export const interiorOf = (workbench: Workbench): Interior =>
  workbench.records.interior.get(workbench.build) ?? {
    id: workbench.build,
    build: workbench.build,
    rooms: [],
    ways: [],
    passers: [FIGURE],
    points: [],
  };

/** Keeps the inside of a build as it is said now. Ways of a room that is gone go with it. */
export function keepInterior(workbench: Workbench, interior: Interior): Command {
  const there = new Set([STREET, ...interior.rooms.map((r) => r.id)]);
  return {
    label: 'say what is inside',
    diff: written('interior', workbench.records.interior.get(workbench.build), {
      ...interior,
      ways: interior.ways.filter((w) => there.has(w.from) && there.has(w.to) && w.from !== w.to),
      points: [...interior.points].sort((a, b) => a.plates - b.plates),
    }),
  };
}
