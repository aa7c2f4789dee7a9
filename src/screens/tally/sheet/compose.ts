import type { SheetBlock, SheetDocument } from '@/core/mod-sheet';
import { patchOf, type Patch } from '@/core/patch';
import type { ModSheet, PrivateThing, SheetPart } from '@/core/records';
import type { Workbench } from '@/core/workbench';
import { text, type Composing } from './blocks';
import { changesPart } from './changes';
import { cautionsPart, compromisesPart, creditsPart, lettersPart, sizeAndTime } from './end';
import { leftOverPart, partsToGet } from './parts';
import { beforeAndAfter, briefPart, tallyPart } from './told';

/** What a sheet is composed from besides the build's books. */
export interface SheetWish {
  readonly sheet: ModSheet;
  readonly planned: boolean;
  /** For hours and waiting. */
  readonly today: string;
}

/**
 * The mod sheet of a build: the chosen parts in their order, with nothing of what is private and was not chosen. Figures are those
 * of the tally; words are the person's own where they stand in quotes of their own fields.
 */
export function composeSheet(workbench: Workbench, { sheet, planned, today }: SheetWish): SheetDocument {
  const tells = (thing: PrivateThing) => sheet.tells.includes(thing);
  const patch = patchOf(workbench, { planned });
  const of: Composing = { workbench, sheet, planned, today, tells, patch };
  const blocks: SheetBlock[] = [
    ...(sheet.lead ? [text(sheet.lead)] : []),
    ...sheet.parts.flatMap((part) => PARTS[part](of)),
  ];
  return {
    title: sheet.title || 'A mod',
    author: sheet.author,
    paper: sheet.paper,
    blocks,
  };
}

/**
 * What stands in a sheet's file as JSON: the mod as a patch, where the sheet tells the changes at all; null where it does not. Why
 * something was done is told on the page alone.
 */
export function sheetData(workbench: Workbench, { sheet, planned }: Omit<SheetWish, 'today'>): Patch | null {
  if (!sheet.parts.includes('changes')) return null;
  const patch = patchOf(workbench, { planned, author: sheet.author });
  return { ...patch, name: sheet.title || patch.name, steps: patch.steps.map((s) => ({ ...s, why: '' })) };
}

const PARTS: Readonly<Record<SheetPart, (of: Composing) => SheetBlock[]>> = {
  'before and after': beforeAndAfter,
  tally: tallyPart,
  brief: briefPart,
  changes: changesPart,
  'parts to get': partsToGet,
  'left over': leftOverPart,
  'size and time': sizeAndTime,
  credits: creditsPart,
  letters: lettersPart,
  compromises: compromisesPart,
  cautions: cautionsPart,
};
