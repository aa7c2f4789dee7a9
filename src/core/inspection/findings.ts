import { planWork, type PlannedWork, type Workbench } from '../workbench';
import type { Command, Source } from '../ledger';
import {
  added,
  BLANK_INTENT,
  changed,
  joinDiffs,
  type Entry,
  type Finding,
  type FindingKind,
  type Intent,
  type Why,
} from '../ledger';
import { asId, type FindingId, type ModificationId } from '../shared/ids';

/** `kept` is for what must stay; the others go from open to planned to closed, or are dropped. */
export type FindingState = 'open' | 'planned' | 'closed' | 'dropped' | 'kept';

/** Kinds that must stay and are asked for again at the end. */
export const MUST_STAY: readonly FindingKind[] = ['keep', 'function'];

/**
 * Where a finding stands. It is planned once it has a modification, and closed when nothing of that is planned any more
 * and something was done; taking the work back opens it again.
 */
export function findingState(finding: Finding, entries: readonly Entry[]): FindingState {
  if (MUST_STAY.includes(finding.kind)) return 'kept';
  if (finding.dropped) return 'dropped';
  if (!finding.modification) return 'open';
  const work = entries.filter((e) => e.modification === finding.modification && e.whatIf === null);
  const waiting = work.some((e) => e.state === 'planned');
  return work.length > 0 && !waiting ? 'closed' : 'planned';
}

const WHY: Partial<Record<FindingKind, Why>> = {
  missing: 'missing',
  broken: 'missing',
  faded: 'faded',
  mismatch: 'mismatch',
  gap: 'gap',
  weak: 'weak',
  open: 'gap',
  wish: 'style',
};

const TITLES: Readonly<Record<FindingKind, string>> = {
  missing: 'Replace what is missing',
  broken: 'Replace what is broken',
  faded: 'Renew what is faded',
  mismatch: 'Put the colour right',
  gap: 'Close the gap',
  weak: 'Strengthen the joint',
  open: 'Close the open side',
  wish: 'A wish',
  keep: '',
  function: '',
};

/** What the entries of a finding would be: one intent for each of its lots, and what belongs there instead. */
export function intentsOf(finding: Finding): Intent[] {
  const base = { ...BLANK_INTENT, zone: finding.zone, why: WHY[finding.kind] ?? null, planned: true };
  return finding.lots.flatMap((lot): Intent[] => {
    switch (finding.kind) {
      case 'missing':
        return [{ ...base, kind: 'replace-missing', on: [lot] }];
      case 'broken':
      case 'faded':
        return [{ ...base, kind: 'renew', off: [lot], on: [lot] }];
      case 'mismatch':
        return finding.to
          ? [{ ...base, kind: 'recolour', off: [lot], on: [{ element: finding.to, qty: lot.qty }] }]
          : [];
      case 'weak':
        return finding.to
          ? [{ ...base, kind: 'swap', off: [lot], on: [{ element: finding.to, qty: lot.qty }] }]
          : [{ ...base, kind: 'add', on: [lot] }];
      case 'gap':
      case 'open':
      case 'wish':
        return [{ ...base, kind: 'add', on: [lot] }];
      default:
        return [];
    }
  });
}

/** Turns a finding into a modification with its entries prepared, and ties the two together. */
export function workOnFinding(workbench: Workbench, finding: Finding, source: Source): PlannedWork {
  const title = finding.note.split('\n')[0]?.slice(0, 120).trim() || TITLES[finding.kind];
  const work = planWork(
    workbench,
    [
      {
        title,
        zone: finding.zone,
        why: TITLES[finding.kind],
        note: finding.note,
        intents: intentsOf(finding),
      },
    ],
    `work on: ${title}`,
    source,
  );
  const modification = work.modifications[0] as ModificationId;
  return { ...work, diff: joinDiffs(work.diff, changed('finding', finding, { modification })) };
}

/** What a person says of a finding. */
export type FindingFields = Pick<Finding, 'kind' | 'zone' | 'note' | 'matters' | 'lots' | 'to' | 'photo'>;

/** Keeps something found, or changes what was said of it. */
export function keepFinding(
  workbench: Workbench,
  old: Finding | null,
  fields: FindingFields,
  source: Source,
): Command {
  if (old) return { label: 'change a finding', diff: changed('finding', old, fields) };
  const finding: Finding = {
    id: asId<FindingId>(source.newId()),
    build: workbench.build,
    modification: null,
    answer: null,
    how: '',
    dropped: false,
    at: source.now,
    ...fields,
  };
  return { label: `note: ${fields.note.slice(0, 60) || fields.kind}`, diff: added('finding', finding) };
}

/** Closes a finding by hand, with nothing done, or takes it up again. It stays to be read. */
export const closeFinding = (finding: Finding, closed: boolean): Command => ({
  label: closed ? 'delete a finding' : 'take a finding up again',
  diff: changed('finding', finding, { dropped: closed }),
});

/** Answers, at the end, whether something that must stay is still there; asking again takes the answer back. */
export const answerFinding = (finding: Finding, answer: Finding['answer'], how = ''): Command => ({
  label: answer ? `${finding.note.slice(0, 60) || finding.kind}: ${answer}` : 'ask again',
  diff: changed('finding', finding, { answer, how: answer ? how : '' }),
});
