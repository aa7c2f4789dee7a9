import { wouldBreak, type Rule } from '../brief';
import {
  added,
  BLANK_INTENT,
  invertDiff,
  joinDiffs,
  takeTally,
  type Command,
  type Entry,
  type GoneHow,
  type Intent,
  type Source,
} from '../ledger';
import { GONE_HOWS, goneAccount, placeOf } from '../places';
import type { Zone } from '../records';
import type { ElementKey } from '../parts';
import { LIMITS } from '../shared/bounds';
import type { ZoneId } from '../shared/ids';
import { cutText } from '../shared/text';
import { addZone, costOfWork, planWork, type Plan, type PlannedWork, type WorkCost } from '../workbench';
import type { Workbench } from '../workbench';
import { fitPatch, type Fitted, type FittedLine, type PatchChoices, type Taken } from './dry-run';
import { firstPieces, piecesIn } from './lots';
import type { Patch, PatchLot } from './patch';
import { pathKey, zonePaths } from './patch-of';

/** Pieces that would have to be got for a patch, and where as many have gone. */
export interface ToGet extends PatchLot {
  readonly went: readonly { readonly how: GoneHow; readonly qty: number }[];
}

/** A dry run of a patch: what fits, and what carrying it out would plan, need, cost and break. */
export interface DryRun extends WorkCost {
  readonly fitted: Fitted;
  /** Plans all that fits, with the zones that it makes, as one command. */
  readonly command: Command;
  readonly entries: readonly Entry[];
  /** Lines that fit, and could not be planned all the same: a build that keeps to its boxes lacks their parts. */
  readonly problems: PlannedWork['problems'];
  readonly toGet: readonly ToGet[];
  readonly breaks: readonly Rule[];
}

/**
 * Tries a patch on a build: its lines held against what is there, those that fit planned from spares, boxes and own parts as any
 * plan is. Nothing is changed; the command carries it out.
 *
 * @example dryRun(workbench, patch, {}, source).toGet // what would have to be bought for this copy
 */
export function dryRun(workbench: Workbench, patch: Patch, choices: PatchChoices, source: Source): DryRun {
  const fitted = fitPatch(workbench, patch, choices);
  const lines = fitted.lines.filter((l) => l.state === 'fits');
  const { zones, idOf } = zonesToMake(workbench, patch, lines, source);
  const making = added('zone', ...zones);
  if (zones.length > 0) workbench.apply(making);
  try {
    const label = cutText(`apply patch ${patch.name}`, LIMITS.label);
    const work = planWork(workbench, plansOf(patch, lines, idOf), label, source);
    const { entries, problems } = work;
    const tally = workbench.planned.trying(entries, [], () =>
      takeTally(workbench.planned, { of: 'build' }, workbench.priceOf),
    );
    return {
      ...costOfWork(entries),
      ...{ fitted, entries, problems },
      command: { label, diff: joinDiffs(making, work.diff) },
      toGet: toGetOf(workbench, entries),
      breaks: entries.length > 0 ? wouldBreak(workbench, tally, entries) : [],
    };
  } finally {
    if (zones.length > 0) workbench.apply(invertDiff(making));
  }
}

/** The zones that lines go to and that are not there, each below the ones its path names. */
function zonesToMake(
  workbench: Workbench,
  patch: Patch,
  lines: readonly FittedLine[],
  source: Source,
): { readonly zones: Zone[]; readonly idOf: (at: ZoneId | number) => ZoneId } {
  const ids = new Map<string, ZoneId>(zonePaths(workbench).byPath);
  const zones: Zone[] = [];
  const make = (path: readonly string[]): ZoneId => {
    const key = pathKey(path);
    const known = path.length === 0 ? workbench.rootZone.id : ids.get(key);
    if (known) return known;
    const parent = make(path.slice(0, -1));
    const { id, diff } = addZone(workbench, cutText(path.at(-1)!, LIMITS.name), parent, source);
    const record = diff.added[0]!.record as Zone;
    zones.push({ ...record, position: record.position + zones.length });
    ids.set(key, id);
    return id;
  };
  const made = new Map<number, ZoneId>();
  for (const { zone } of lines)
    if (typeof zone === 'number' && !made.has(zone)) made.set(zone, make(patch.zones[zone] ?? []));
  return { zones, idOf: (at) => (typeof at === 'number' ? made.get(at)! : at) };
}

/** A modification for every step of which a line fits. */
function plansOf(patch: Patch, lines: readonly FittedLine[], idOf: (at: ZoneId | number) => ZoneId): Plan[] {
  return patch.steps.flatMap(({ title, why }, step): Plan[] => {
    const own = lines.filter((l) => l.step === step);
    const [first] = own;
    if (!first) return [];
    return [{ title, why, zone: idOf(first.zone), intents: own.flatMap((l) => intentsOf(l, idOf)) }];
  });
}

/** A line as wishes: one for each zone that its pieces are taken from. */
function intentsOf(fitted: FittedLine, idOf: (at: ZoneId | number) => ZoneId): Intent[] {
  const { line, off, on } = fitted;
  const zone = idOf(fitted.zone);
  const base = { ...BLANK_INTENT, planned: true, hidden: line.hidden, zone };
  if (off.length === 0) return [{ ...base, kind: 'add', on }];
  const froms = byZone(off);
  if (line.moves)
    return froms.map(([from, lots]) => ({
      ...base,
      kind: 'move',
      zone: from,
      toZone: zone,
      offZone: from,
      off: lots,
    }));
  const isEven = piecesIn(off) === piecesIn(on);
  let left: PatchLot[] = [...on];
  return froms.map(([from, lots], i): Intent => {
    // One for one where the line is; else all that goes on goes on for what comes from the first zone.
    const first = firstPieces(left, isEven ? piecesIn(lots) : i === 0 ? Infinity : 0);
    left = first.left;
    const share = first.taken;
    const kind = share.length > 0 ? 'swap' : 'remove';
    return {
      ...base,
      kind,
      zone: share.length > 0 ? zone : from,
      offZone: from,
      off: lots,
      on: share,
    };
  });
}

function byZone(off: readonly Taken[]): [ZoneId, PatchLot[]][] {
  const zones = new Map<ZoneId, PatchLot[]>();
  for (const { zone, element, qty } of off) zones.set(zone, [...(zones.get(zone) ?? []), { element, qty }]);
  return [...zones];
}

/** What entries buy, and how much of the like has been binned, sold, lent or lost. */
function toGetOf(workbench: Workbench, entries: readonly Entry[]): ToGet[] {
  const sums = new Map<ElementKey, number>();
  for (const e of entries)
    for (const m of e.movements)
      if (placeOf(m.from) === 'outside' && placeOf(m.to) === 'model')
        sums.set(m.element, (sums.get(m.element) ?? 0) + m.qty);
  return [...sums].map(([element, qty]) => ({
    element,
    qty,
    went: GONE_HOWS.flatMap((how) => {
      const n = workbench.built.balances.at(goneAccount(how), element);
      return n > 0 ? [{ how, qty: n }] : [];
    }),
  }));
}
