import type { Command, Source } from '../ledger';
import type { Workbench } from '../workbench';
import { fadingGrade, splitDifference, type LabD65 } from '../colour';
import { added, BLANK_ENTRY, changed, joinDiffs } from '../ledger';
import { conditionOf, grade, OUTSIDE, type AccountKey, type Condition, type Grade } from '../places';
import type { Entry, Movement, Reading } from '../records';
import { elementName, splitElementKey, type ElementKey } from '../parts';
import { asId, type EntryId, type ReadingId } from '../shared/ids';
import { fail, ok, type Result } from '../shared/result';
import { thresholdsOf } from './fading';

/** A colour measured on some pieces of a lot. */
export interface Measured {
  readonly account: AccountKey;
  readonly element: ElementKey;
  /** The grade the pieces have in the books now. */
  readonly grade: Grade;
  readonly qty: number;
  readonly lab: LabD65;
  /** Standard error, ΔE00. */
  readonly spread: number;
  readonly count: number;
  readonly how: Reading['how'];
  /** What the eye called it; left out where the colour says what it is. */
  readonly condition?: Condition;
  readonly made: string;
  readonly trusted: boolean;
  readonly doubt: string;
}

export type ReadingProblem = { readonly problem: 'too few there'; readonly there: number };

/** The next batch name: "R1", "R2", ... over the whole workspace. */
export const nextBatch = (workbench: Workbench): string => {
  const top = [...workbench.records.reading.values()].reduce(
    (n, r) => Math.max(n, Number(/^R(\d+)$/.exec(r.batch)?.[1] ?? 0)),
    0,
  );
  return `R${top + 1}`;
};

/** The condition a measured colour shows: still used, yellowed, or faded. Worse conditions are kept. */
export function conditionShown(
  workbench: Workbench,
  element: ElementKey,
  was: Grade,
  lab: LabD65,
): Condition {
  const old = conditionOf(was);
  if (old === 'crazed' || old === 'bare' || old === 'cracked') return old;
  const fresh = workbench.colour(splitElementKey(element).colour)?.lab;
  if (!fresh) return old;
  const parts = splitDifference(fresh, lab);
  if (fadingGrade(parts.deltaE, thresholdsOf(workbench)) === 'cannot be seen')
    return old === 'new' ? 'new' : 'used';
  return parts.yellowShare > 0.5 ? 'yellowed' : 'faded';
}

/**
 * Keeps a reading, and notes it in the books: the pieces go into a grade that names its batch, so that what is known of
 * them goes with them wherever they are put. A reading that is not trusted is kept and regrades nothing.
 */
export function keepReading(
  workbench: Workbench,
  measured: Measured,
  source: Source,
): Result<Command & { readonly batch: string }, ReadingProblem> {
  const { account, element, qty, lab } = measured;
  const there = workbench.built.balances.at(account, element, measured.grade);
  if (qty < 1 || qty > there) return fail({ problem: 'too few there', there });
  const batch = nextBatch(workbench);
  const reading: Reading = {
    id: asId<ReadingId>(source.newId()),
    account,
    element,
    batch,
    qty,
    l: lab.l,
    a: lab.a,
    b: lab.b,
    white: 'D65',
    spread: Math.min(1000, measured.spread),
    count: measured.count,
    how: measured.how,
    made: measured.made,
    measure: 'CIEDE2000',
    trusted: measured.trusted,
    doubt: measured.doubt,
    at: source.now,
  };
  const label = `read ${qty} ${elementName(element)}`;
  if (!reading.trusted) return ok({ label, batch, diff: added('reading', reading) });
  const to = grade(measured.condition ?? conditionShown(workbench, element, measured.grade, lab), batch);
  const entry = regradeEntry(workbench, measured, to, `reading ${batch}`, source);
  return ok({ label, batch, diff: joinDiffs(added('reading', reading), added('entry', entry)) });
}

/** An entry that notes another grade for pieces that stay where they are. */
export function regradeEntry(
  workbench: Workbench,
  lot: Pick<Measured, 'account' | 'element' | 'grade' | 'qty'>,
  to: Grade,
  note: string,
  source: Source,
): Entry {
  const { account, element, qty } = lot;
  const movement = (g: Grade, from: AccountKey, at: AccountKey): Movement => ({
    element,
    grade: g,
    qty,
    from,
    to: at,
    worth: null,
  });
  const stock = account.startsWith('stock:');
  return {
    ...BLANK_ENTRY,
    id: asId<EntryId>(source.newId()),
    build: stock ? null : workbench.build,
    kind: 'regrade',
    no: stock ? 0 : workbench.nextEntry(null).no,
    why: 'faded',
    note,
    loggedAt: source.now,
    movements: [movement(lot.grade, account, OUTSIDE), movement(to, OUTSIDE, account)],
  };
}

/** Stops trusting a reading, or trusts it again. Its pieces keep their batch; nothing is worked out from it meanwhile. */
export const trustReading = (reading: Reading, trusted: boolean, doubt: string): Command => ({
  label: `${trusted ? 'trust' : 'doubt'} reading ${reading.batch}`,
  diff: changed('reading', reading, { trusted, doubt }),
});
