import {
  added,
  BLANK_ENTRY,
  draftEntry,
  joinDiffs,
  type DraftProblem,
  type Entry,
  type Intent,
  type Modification,
} from '../ledger';
import { placeOf } from '../places';
import type { Minor } from '../shared/money';
import { asId, type EntryId, type ModificationId, type PhaseId, type ZoneId } from '../shared/ids';
import type { Command, Source } from '../ledger';
import type { Workbench } from './workbench';

/** What some entries spend: minor units, and pieces that are bought without a known price. */
export interface WorkCost {
  readonly cost: Minor;
  readonly unpriced: number;
}

/**
 * What planned entries will cost: all they buy, at the prices that they are booked with. What a screen shows before a plan
 * is made is asked here with the entries that would be made.
 */
export function costOfWork(entries: readonly Entry[]): WorkCost {
  let [cost, unpriced] = [0, 0];
  for (const e of entries)
    for (const m of e.movements) {
      if (placeOf(m.from) !== 'outside' || placeOf(m.to) !== 'model') continue;
      if (m.worth === null) unpriced += m.qty;
      else cost += m.worth * m.qty;
    }
  return { cost, unpriced };
}

/** A modification to be made with its entries prepared. */
export interface Plan {
  readonly title: string;
  readonly zone: ZoneId;
  readonly phase?: PhaseId | null;
  readonly why?: string;
  readonly note?: string;
  readonly intents: readonly Intent[];
  /** Entries whose pieces are chosen one by one, as movements; they are drafted before the intents. */
  readonly chosen?: readonly Pick<Entry, 'kind' | 'movements' | 'why' | 'note'>[];
}

export interface PlannedWork extends Command {
  readonly modifications: readonly ModificationId[];
  readonly entries: readonly Entry[];
  /** Intents that could not be planned, and why. */
  readonly problems: readonly { readonly intent: Intent; readonly problem: DraftProblem }[];
}

/**
 * Makes modifications with planned entries, each drafted on top of those before it, as one command. What cannot be
 * drafted is told and left out. Leaves the bench as it was.
 */
export function planWork(
  workbench: Workbench,
  plans: readonly Plan[],
  label: string,
  source: Source,
): PlannedWork {
  const made: Entry[] = [];
  const modifications: Modification[] = [];
  const problems: PlannedWork['problems'][number][] = [];
  const context = workbench.draftContext();
  let { no } = workbench.nextEntry(null);
  let top = Math.max(0, ...workbench.modifications.map((m) => m.no));
  let place = Math.max(0, ...workbench.modifications.map((m) => m.position));
  const keep = (entry: Entry): void => {
    made.push(entry);
    workbench.planned.post(entry);
    no++;
  };
  for (const plan of plans) {
    const modification: Modification = {
      id: asId<ModificationId>(source.newId()),
      build: workbench.build,
      no: ++top,
      title: plan.title,
      zone: plan.zone,
      phase: plan.phase ?? null,
      why: plan.why ?? '',
      note: plan.note ?? '',
      position: ++place,
      purpose: null,
    };
    modifications.push(modification);
    let position = 1;
    const stamp = () => ({
      id: asId<EntryId>(source.newId()),
      no,
      position: position++,
      loggedAt: source.now,
      modification,
    });
    for (const { kind, movements, why, note } of plan.chosen ?? []) {
      const { modification: of, ...stamped } = stamp();
      const { build, id } = of;
      const planned = { build, modification: id, state: 'planned' as const, whatIf: context.whatIf };
      keep({ ...BLANK_ENTRY, ...planned, ...stamped, kind, movements, why, note });
    }
    for (const intent of plan.intents) {
      const drafted = draftEntry({ ...intent, planned: true }, stamp(), context);
      if (drafted.ok) keep(drafted.value);
      else problems.push({ intent, problem: drafted.reason });
    }
  }
  made.forEach((e) => workbench.planned.unpost(e));
  return {
    label,
    diff: joinDiffs(added('modification', ...modifications), added('entry', ...made)),
    modifications: modifications.map((m) => m.id),
    entries: made,
    problems,
  };
}
