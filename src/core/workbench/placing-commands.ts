import {
  added,
  changed,
  draftEntry,
  intentOf,
  joinDiffs,
  placeOf,
  splitEntry,
  stepsOf,
  type Diff,
  type DraftProblem,
  type Entry,
} from '../ledger';
import { asId, type EntryId } from '../shared/ids';
import { fail, ok, type Result } from '../shared/result';
import type { Command, Source } from '../ledger';
import type { Workbench } from './workbench';

/**
 * Turns planned entries into done ones: `steps` of one entry's `stepsOf`, or all. What was to be bought or overdrawn
 * is drafted again, from what is at hand by now.
 */
export function markDone(
  workbench: Workbench,
  entries: readonly Entry[],
  source: Source,
  steps?: number,
): Result<Command, DraftProblem> {
  const diffs: Diff[] = [];
  const posted: Entry[] = [];
  let { no } = workbench.nextEntry(null);
  let problem: DraftProblem | null = null;
  for (const entry of entries.filter((e) => e.state === 'planned')) {
    const part = steps !== undefined && steps < stepsOf(entry);
    const [now, rest] = part ? splitEntry(entry, steps, asId<EntryId>(source.newId())) : [entry, null];
    const done = drafted(workbench, now);
    if (!done.ok) {
      problem = done.reason;
      break;
    }
    diffs.push(changed('entry', entry, done.value));
    if (rest)
      diffs.push(
        // At the place of the entry, and after it: its number is higher.
        added('entry', { ...rest, no: no++, position: entry.position }),
      );
    workbench.built.post(done.value);
    posted.push(done.value);
  }
  posted.forEach((e) => workbench.built.unpost(e));
  if (problem) return fail(problem);
  const label = entries.length === 1 ? `place entry ${entries[0]?.no}` : `place ${entries.length} entries`;
  return ok({ label, diff: joinDiffs(...diffs) });
}

function drafted(workbench: Workbench, entry: Entry): Result<Entry, DraftProblem> {
  const modification = entry.modification
    ? workbench.records.modification.get(entry.modification)
    : undefined;
  const intent = intentOf(entry);
  const asIs = { ...entry, state: 'done' as const, whatIf: null };
  const buys = entry.movements.some((m) => placeOf(m.from) === 'outside');
  if (!intent || !modification || (!buys && isCovered(workbench, entry))) return ok(asIs);
  const price =
    intent.price !== null &&
    intent.price !== workbench.priceOf(intent.on[0]?.element ?? ('' as never), 'new' as never)
      ? intent.price
      : null;
  const free = { ...intent, planned: false, source: buys && price === null ? null : intent.source, price };
  const context = workbench.draftContext();
  // What is placed is there: where such pieces are bought, it was, and at a price that nobody has said.
  const elsewhere = context.elsewhere === 'buy' ? 'bought' : context.elsewhere;
  const made = draftEntry(free, { ...entry, modification }, { ...context, elsewhere });
  return made.ok ? ok({ ...asIs, movements: made.value.movements }) : made;
}

/** True when every piece is where the plan took it from. */
function isCovered(workbench: Workbench, entry: Entry): boolean {
  const wanted = new Map<string, number>();
  return entry.movements.every((m) => {
    const key = `${m.from}|${m.element}|${m.grade}`;
    const sum = (wanted.get(key) ?? 0) + m.qty;
    wanted.set(key, sum);
    return placeOf(m.from) === 'outside' || workbench.built.balances.at(m.from, m.element, m.grade) >= sum;
  });
}

/** Turns done entries back into planned ones. */
export const markPlanned = (entries: readonly Entry[]): Command => ({
  label: entries.length === 1 ? `plan entry ${entries[0]?.no}` : `plan ${entries.length} entries`,
  diff: joinDiffs(
    ...entries.filter((e) => e.state === 'done').map((e) => changed('entry', e, { state: 'planned' })),
  ),
});
