import type { SheetBlock } from '@/core/mod-sheet';
import type { ModSheet, PrivateThing } from '@/core/records';
import type { Patch } from '@/core/patch';
import type { Workbench } from '@/core/workbench';

/** What the parts of a sheet are composed from. */
export interface Composing {
  readonly workbench: Workbench;
  readonly sheet: ModSheet;
  readonly planned: boolean;
  /** For hours and waiting. */
  readonly today: string;
  /** Whether something private was chosen to be told. */
  readonly tells: (thing: PrivateThing) => boolean;
  readonly patch: Patch;
}

type Lots = Extract<SheetBlock, { is: 'parts' }>['lots'];

export const heading = (words: string, level: 2 | 3 = 2): SheetBlock => ({
  is: 'heading',
  text: words,
  level,
});
export const text = (words: string, soft = false): SheetBlock => ({
  is: 'text',
  text: words,
  ...(soft ? { soft } : {}),
});
export const table = (head: string[], rows: string[][]): SheetBlock => ({ is: 'table', head, rows });
export const facts = (rows: [string, string][]): SheetBlock => ({ is: 'facts', rows });
/** Nothing where there is nothing in it. */
export const listed = (items: string[]): SheetBlock[] => (items.length > 0 ? [{ is: 'list', items }] : []);
export const drawn = (lots: Lots): SheetBlock[] => (lots.length > 0 ? [{ is: 'parts', lots }] : []);
export const pictures = (of: { photo: string; says: string }[]): SheetBlock[] =>
  of.length > 0 ? [{ is: 'pictures', pictures: of }] : [];
