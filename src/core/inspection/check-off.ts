import type { Command, Source } from '../ledger';
import type { Workbench } from '../workbench';
import { addModification } from '../workbench';
import {
  added,
  BLANK_ENTRY,
  countLineId,
  goneAccount,
  grade,
  joinDiffs,
  modelAccount,
  OUTSIDE,
  removed,
  written,
  type CountLine,
  type Diff,
  type Entry,
  type Grade,
  type Movement,
} from '../ledger';
import { asId, type CountLineId, type EntryId, type ModificationId } from '../shared/ids';
import { fail, ok, type Result } from '../shared/result';
import type { BoxLot } from './box-lots';

/** What a person says of a lot. Of `there`, some may be faded and some bare of their sticker. */
export interface Count {
  readonly there: number;
  readonly broken: number;
  readonly faded: number;
  readonly bare: number;
}

export type CountProblem =
  | { readonly problem: 'more than the box holds'; readonly expected: number; readonly counted: number }
  | { readonly problem: 'more worn than there'; readonly there: number; readonly worn: number }
  | { readonly problem: 'not a whole number' }
  /** Pieces of the lot were taken off or moved since: this many are left in the zone. */
  | { readonly problem: 'worked on since'; readonly left: number };

export const COUNT_TITLE = 'Checked off';

/** Everything is there and sound: what Enter says. */
export const allThere = (lot: BoxLot): Count => ({ there: lot.expected, broken: 0, faded: 0, bare: 0 });

export function countProblem(lot: BoxLot, count: Count): CountProblem | undefined {
  const { there, broken, faded, bare } = count;
  if (![there, broken, faded, bare].every((n) => Number.isSafeInteger(n) && n >= 0))
    return { problem: 'not a whole number' };
  if (there + broken > lot.expected)
    return { problem: 'more than the box holds', expected: lot.expected, counted: there + broken };
  if (faded + bare > there) return { problem: 'more worn than there', there, worn: faded + bare };
  return undefined;
}

/**
 * Counts a lot in, or again: keeps the line, and posts what is missing or broken as gone, and the faded and the bare in
 * their grade. Counting again takes back what the first count posted.
 */
export function countLot(
  workbench: Workbench,
  lot: BoxLot,
  count: Count,
  wanted: boolean,
  source: Source,
): Result<Command, CountProblem> {
  const problem = countProblem(lot, count);
  if (problem) return fail(problem);
  const old = lot.line;
  const id = old?.id ?? countLineId(lot);
  const line: CountLine = {
    id,
    build: workbench.build,
    copy: lot.copy,
    zone: lot.zone,
    element: lot.element,
    expected: lot.expected,
    ...count,
    wanted,
    at: source.now,
  };
  const before = old ? postedFor(workbench, old.id) : [];
  const { start, modification } = countModification(workbench, source);
  const movements = countMovements(workbench, lot, count, before);
  if (!movements) return fail({ problem: 'worked on since', left: leftOf(workbench, lot, before) });
  const first = workbench.nextEntry(modification);
  const fresh = movements.map((ms, i): Entry => ({
    ...BLANK_ENTRY,
    id: asId<EntryId>(source.newId()),
    build: workbench.build,
    modification,
    kind: ms.kind,
    no: first.no + i,
    position: first.position + i,
    why: ms.kind === 'missing' ? 'missing' : 'faded',
    counted: id,
    loggedAt: source.now,
    movements: ms.movements,
  }));
  const kept = written('countLine', old ?? undefined, line);
  const needsHome = fresh.length > 0 ? start : joinDiffs();
  return ok({
    label: `count ${lot.element.split('|').slice(0, 2).join(' ')}`,
    diff: joinDiffs(needsHome, kept, removed('entry', ...before), added('entry', ...fresh)),
  });
}

/** Entries that a count line posted. */
export const postedFor = (workbench: Workbench, line: CountLineId): Entry[] =>
  workbench.entries.filter((e) => e.counted === line);

function countModification(
  workbench: Workbench,
  source: Source,
): { start: Diff; modification: ModificationId } {
  const found = workbench.modifications.find((m) => m.purpose === 'count');
  if (found) return { start: joinDiffs(), modification: found.id };
  const made = addModification(workbench, COUNT_TITLE, workbench.rootZone.id, source, 'count');
  return { start: made.diff, modification: made.id };
}

const leftOf = (workbench: Workbench, lot: BoxLot, before: readonly Entry[]): number =>
  workbench.built.trying([], before, () => workbench.built.balances.at(modelAccount(lot.zone), lot.element));

interface Posting {
  readonly kind: 'missing' | 'regrade';
  readonly movements: Movement[];
}

/** Undefined when the zone no longer holds the pieces that would have to go. */
function countMovements(
  workbench: Workbench,
  lot: BoxLot,
  count: Count,
  before: readonly Entry[],
): Posting[] | undefined {
  const at = modelAccount(lot.zone);
  return workbench.built.trying([], before, () => {
    const free = new Map(workbench.built.balances.grades(at, lot.element));
    const take = (qty: number): [Grade, number][] | undefined => {
      const taken: [Grade, number][] = [];
      let left = qty;
      for (const [g, n] of [...free].sort((a, b) => b[1] - a[1])) {
        const some = Math.min(left, n);
        if (some <= 0) continue;
        taken.push([g, some]);
        free.set(g, n - some);
        left -= some;
      }
      return left > 0 ? undefined : taken;
    };
    const gone: Movement[] = [];
    for (const [how, qty] of [
      ['missing', lot.expected - count.there - count.broken],
      ['broken', count.broken],
    ] as const) {
      const taken = take(qty);
      if (!taken) return undefined;
      for (const [g, n] of taken)
        gone.push(moved(lot, g, n, at, goneAccount(how), workbench.priceOf(lot.element, g)));
    }
    const worn: Movement[] = [];
    for (const [to, qty] of [
      [grade('yellowed'), count.faded],
      [grade('bare'), count.bare],
    ] as const) {
      const taken = take(qty);
      if (!taken) return undefined;
      for (const [g, n] of taken) {
        if (g === to) continue;
        worn.push(moved(lot, g, n, at, OUTSIDE, null), moved(lot, to, n, OUTSIDE, at, null));
      }
    }
    return [
      ...(gone.length > 0 ? [{ kind: 'missing' as const, movements: gone }] : []),
      ...(worn.length > 0 ? [{ kind: 'regrade' as const, movements: worn }] : []),
    ];
  });
}

const moved = (
  lot: BoxLot,
  g: Grade,
  qty: number,
  from: Movement['from'],
  to: Movement['to'],
  worth: Movement['worth'],
): Movement => ({ element: lot.element, grade: g, qty, from, to, worth });
