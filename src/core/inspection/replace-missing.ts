import { planWork, type PlannedWork, type Workbench } from '../workbench';
import type { Command, Source } from '../ledger';
import {
  BLANK_INTENT,
  countLineId,
  joinDiffs,
  removed,
  zoneOf,
  written,
  type CountLine,
  type Entry,
  type Intent,
} from '../ledger';
import { completeness, type MissingLot } from './completeness';

export const GOOD_TITLE = 'Replace what is missing';

/** Plans to replace all that is missing or broken, wanted, and not planned yet, in one modification. */
export function planReplacement(workbench: Workbench, source: Source): PlannedWork {
  const open = completeness(workbench).missing.filter((m) => m.wanted && m.missing + m.broken > m.planned);
  const intents = open.map((m): Intent => ({
    ...BLANK_INTENT,
    kind: 'replace-missing',
    on: [{ element: m.lot.element, qty: m.missing + m.broken - m.planned }],
    zone: m.lot.zone,
    why: 'missing',
  }));
  const plan = { title: GOOD_TITLE, zone: workbench.rootZone.id, why: 'What was not in the box.', intents };
  return planWork(workbench, [plan], 'plan to replace what is missing', source);
}

/**
 * Marks a missing lot wanted or not. What is not wanted leaves the need list: planned entries that would make it good
 * are taken out.
 */
export function markWanted(
  workbench: Workbench,
  missing: MissingLot,
  wanted: boolean,
  source: Source,
): Command {
  const { lot } = missing;
  const old = lot.line;
  const line: CountLine = old
    ? { ...old, wanted }
    : {
        id: countLineId(lot),
        build: workbench.build,
        copy: lot.copy,
        zone: lot.zone,
        element: lot.element,
        expected: lot.expected,
        there: lot.expected - missing.missing - missing.broken,
        broken: missing.broken,
        faded: 0,
        bare: 0,
        wanted,
        at: source.now,
      };
  const kept = written('countLine', old ?? undefined, line);
  const needless = wanted ? [] : workbench.entries.filter((e) => isPlannedFor(e, missing));
  return {
    label: `${lot.element.split('|').slice(0, 2).join(' ')} ${wanted ? 'is wanted' : 'is not wanted'}`,
    diff: joinDiffs(kept, removed('entry', ...needless)),
  };
}

/** Marks several missing lots not wanted, as one step that one undo takes back. */
export function agreeNotWanted(workbench: Workbench, lots: readonly MissingLot[], source: Source): Command {
  const commands = lots.map((m) => markWanted(workbench, m, false, source));
  const pieces = lots.reduce((n, m) => n + m.missing + m.broken, 0);
  return {
    label: `${pieces} missing ${pieces === 1 ? 'piece is' : 'pieces are'} not wanted`,
    diff: joinDiffs(...commands.map((c) => c.diff)),
  };
}

const isPlannedFor = (e: Entry, { lot }: MissingLot): boolean =>
  e.kind === 'replace-missing' &&
  e.state === 'planned' &&
  e.movements.every((m) => m.element === lot.element && zoneOf(m.to) === lot.zone);
