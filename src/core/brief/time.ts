import { added, changed, removed, written, type Command, type Source } from '../ledger';
import { daysBetween } from '../market';
import type { PutAside, SpentTime } from '../records';
import { asId, type ModificationId, type PutAsideId, type SpentTimeId } from '../shared/ids';
import type { Workbench } from '../workbench';
import { stillToCome } from './still-to-come';

/** Time of one modification, or of what belongs to none. */
export interface TimeOf {
  readonly modification: ModificationId | null;
  /** Days on which something of it was logged as done. */
  readonly days: number;
  readonly first: string;
  readonly last: string;
  readonly minutes: number;
  /** Days on which it waited for parts: from the first order of it to the last that came, or until today. */
  readonly waited: number;
}

const dayOf = (at: string): string => at.slice(0, 10);

/**
 * Days from the log by themselves, minutes as they were typed or timed, days of waiting for parts beside them: by
 * modification in their order, and what belongs to none last. Those of which nothing is known are left out.
 */
export function timeByModification(workbench: Workbench, today: string): TimeOf[] {
  const ids = [...workbench.modifications.map((m) => m.id), null];
  return ids.flatMap((modification): TimeOf[] => {
    const mine = workbench.entries.filter(
      (e) =>
        e.modification === modification && e.state === 'done' && !['unpack', 'add-stock'].includes(e.kind),
    );
    const worked = mine.filter((e) => e.kind !== 'order');
    const days = [...new Set(worked.map((e) => dayOf(e.loggedAt)))].sort();
    const minutes = [...workbench.records.spentTime.values()]
      .filter(
        (t) =>
          (workbench.records.modification.has(t.modification ?? '') ? t.modification : null) === modification,
      )
      .reduce((s, t) => s + t.minutes, 0);
    const waited = waitedFor(workbench, modification, today);
    if (days.length === 0 && minutes === 0 && waited === 0) return [];
    return [
      { modification, days: days.length, first: days[0] ?? '', last: days.at(-1) ?? '', minutes, waited },
    ];
  });
}

function waitedFor(workbench: Workbench, modification: ModificationId | null, today: string): number {
  const ordered = workbench.entries.filter((e) => e.kind === 'order' && e.modification === modification);
  if (ordered.length === 0) return 0;
  const orders = new Set(ordered.map((e) => e.order));
  const { open, last } = stillToCome(workbench.entries, orders);
  const first = ordered.map((e) => e.loggedAt).sort()[0]!;
  return Math.max(0, daysBetween(dayOf(first), open > 0 || !last ? dayOf(today) : dayOf(last)));
}

/** Notes time that was spent, typed afterwards or timed. */
export const spendTime = (
  workbench: Workbench,
  spent: Pick<SpentTime, 'modification' | 'minutes' | 'note'>,
  source: Source,
): Command => ({
  label: `${spent.minutes} minutes`,
  diff: added('spentTime', {
    ...spent,
    id: asId<SpentTimeId>(source.newId()),
    build: workbench.build,
    on: source.now,
  }),
});

export const deleteSpentTime = (spent: SpentTime): Command => ({
  label: `delete ${spent.minutes} minutes`,
  diff: removed('spentTime', spent),
});

/** Puts a build aside until a day. */
export const putAsideUntil = (workbench: Workbench, until: string, why: string, source: Source): Command => ({
  label: `put aside until ${until}`,
  diff: added('putAside', {
    id: asId<PutAsideId>(source.newId()),
    build: workbench.build,
    since: source.now,
    until,
    why,
    lookedOn: '',
    answers: [],
    photo: null,
  }),
});

/** What a build is put aside for now: the last that was not looked at again; null = none. */
export const asideNow = (workbench: Workbench): PutAside | null =>
  [...workbench.records.putAside.values()]
    .filter((p) => p.build === workbench.build && p.lookedOn === '')
    .sort((a, b) => (a.since < b.since ? 1 : -1))[0] ?? null;

/** Whether the day has come on which a build is to be looked at again. */
export const isAsideOver = (aside: PutAside, today: string): boolean =>
  aside.until.slice(0, 10) <= today.slice(0, 10);

export const keepAside = (workbench: Workbench, aside: PutAside): Command => ({
  label: 'what was seen with fresh eyes',
  diff: written('putAside', workbench.records.putAside.get(aside.id), aside),
});

/** The build was looked at again: what was answered stays. */
export const lookedAgain = (aside: PutAside, source: Source): Command => ({
  label: 'looked at it with fresh eyes',
  diff: changed('putAside', aside, { lookedOn: source.now }),
});
