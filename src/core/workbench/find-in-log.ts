import type { Books, Entry, Modification } from '../ledger';
import { elementName, saysWords } from '../parts';
import type { EntryId, ModificationId } from '../shared/ids';
import type { Workbench } from './workbench';

/** What of a worklog has the words that are looked for. */
export interface FoundInLog {
  readonly modifications: ReadonlySet<ModificationId>;
  /** Entries that have the words themselves. */
  readonly entries: ReadonlySet<EntryId>;
}

/**
 * Looks for words in a worklog: in each modification's number, title, why, note and phase, and in each entry's parts,
 * colours, why and note. All words must be in one of them, in any order; upper and lower case are the same. Null = nothing
 * is looked for.
 *
 * findInLog(workbench, 'bark tile').entries = the entries that move bark tiles
 */
export function findInLog(workbench: Workbench, text: string): FoundInLog | null {
  if (text.trim() === '') return null;
  const has = saysWords(text);
  const entries = new Set<EntryId>();
  const modifications = new Set<ModificationId>();
  for (const m of workbench.modifications) if (has(saidOf(workbench, m))) modifications.add(m.id);
  for (const e of workbench.entries) {
    if (!e.modification || !has(saidOfEntry(e))) continue;
    entries.add(e.id);
    modifications.add(e.modification);
  }
  return { modifications, entries };
}

const saidOf = ({ records }: Workbench, m: Modification): string =>
  [
    `m${String(m.no).padStart(2, '0')}`,
    m.title,
    m.why,
    m.note,
    records.zone.get(m.zone)?.name ?? '',
    m.phase ? (records.phase.get(m.phase)?.name ?? '') : '',
  ].join(' ');

const saidOfEntry = (e: Entry): string =>
  [...e.movements.map((m) => elementName(m.element)), e.why ? `#${e.why}` : '', e.note, e.state].join(' ');

/** How a worklog can be ordered to be looked at. Its own order is the one that is kept. */
export const LOG_ORDERS = [
  'as they stand',
  'last logged',
  'most pieces',
  'dearest',
  'still planned',
] as const;
export type LogOrder = (typeof LOG_ORDERS)[number];

/**
 * A worklog in another order: by the last entry, by pieces that went in or out, by cost, or by what is still planned; the
 * most first, and where they are alike as they stand.
 */
export function sortLog(
  workbench: Workbench,
  modifications: readonly Modification[],
  order: LogOrder,
  books: Books,
): readonly Modification[] {
  if (order === 'as they stand') return modifications;
  const weight = (m: Modification): number => {
    if (order === 'last logged') return Math.max(0, ...workbench.entriesIn(m.id).map((e) => e.no));
    if (order === 'still planned')
      return workbench.entriesIn(m.id).filter((e) => e.state === 'planned' && e.whatIf === null).length;
    const f = books.figures({ of: 'modification', modification: m.id });
    return order === 'dearest' ? f.outOfPocket : f.in + f.out + f.recoloured + f.renewed;
  };
  const weights = new Map(modifications.map((m) => [m.id, weight(m)]));
  return [...modifications].sort((a, b) => (weights.get(b.id) ?? 0) - (weights.get(a.id) ?? 0));
}
