import type { BuildId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { choice, id, list, note, reference, short } from './fields';

/** Parts that a mod sheet may have. */
export const SHEET_PARTS = [
  'before and after',
  'tally',
  'brief',
  'changes',
  'parts to get',
  'left over',
  'size and time',
  'credits',
  'letters',
  'compromises',
  'cautions',
] as const;
export type SheetPart = (typeof SHEET_PARTS)[number];

/** What is left out of a mod sheet unless it is chosen. */
export const PRIVATE_THINGS = ['prices', 'sellers', 'names', 'notes'] as const;
export type PrivateThing = (typeof PRIVATE_THINGS)[number];

export const PAPERS = ['A4', 'Letter'] as const;

/** How the mod is told to others: which parts in which order, what of the private things, and the person's own words. Its id is the build's. */
export const modSheet = defineRecord({
  type: 'modSheet',
  table: 'mod_sheets',
  fields: {
    id: id<BuildId>(),
    build: reference<BuildId>('build'),
    title: short(),
    author: short(),
    /** A few words at the top. */
    lead: note(),
    thanks: note(),
    parts: list(choice(SHEET_PARTS), 40),
    tells: list(choice(PRIVATE_THINGS), 10),
    paper: choice(PAPERS),
  },
  idOf: (s) => s.build,
  inModFile: { key: 'modSheets', most: 1, optional: true },
});
export type ModSheet = RecordOf<typeof modSheet>;
