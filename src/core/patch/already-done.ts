import type { ElementKey } from '../parts';
import type { ZoneId } from '../shared/ids';
import type { Patch, PatchLot } from './patch';

export type Place = ZoneId | number;
type Lots = Map<ElementKey, number>;

/** A line as it would be done here; null = it can't be, or is not to be. */
export interface AskedLine {
  readonly from: Place;
  readonly zone: Place;
  readonly off: readonly PatchLot[];
  readonly on: readonly PatchLot[];
}

/** Share of what a zone should hold that must lie in it, for the zone to tell anything by itself. */
const KNOWN = 0.5;

/**
 * Which lines of a patch have been done to a build already, told by what is there beyond what the patch expects to find, and by
 * what lacks of it: the most lines that what is seen bears out together. Each piece is evidence once, and what one line takes and
 * another puts back is evidence for neither. A zone tells by itself where at least half of what is expected lies in it; what lies
 * elsewhere tells together, as in a build that was never sorted into zones. What the build has logged tells first: parts that
 * its copy lacks hide nothing of it.
 *
 * @param asked   the lines in their order
 * @param logged  what the build's own log comes to, by zone
 * @returns the numbers of those that are done
 */
export function alreadyDone(
  patch: Patch,
  asked: readonly (AskedLine | null)[],
  zoneAt: (at: number) => Place | null,
  model: ReadonlyMap<Place, ReadonlyMap<ElementKey, number>>,
  logged: ReadonlyMap<Place, ReadonlyMap<ElementKey, number>>,
): ReadonlySet<number> {
  const expected = new Map<Place | null, Lots>();
  for (const { zone, element, qty } of patch.before) add(expected, zoneAt(zone), element, qty);
  const isSorted = [...expected].every(([zone, lots]) => zone !== null && holdsItsOwn(model.get(zone), lots));
  const known = new Map<Place, boolean>();
  const isKnown = (zone: Place): boolean => {
    const own = expected.get(zone);
    // Where nothing is expected, pieces may lie that belong elsewhere.
    const found =
      known.get(zone) ?? (own ? holdsItsOwn(model.get(zone), own) : isSorted || isEmpty(model.get(zone)));
    known.set(zone, found);
    return found;
  };
  const poolOf = (zone: Place | null) => (zone !== null && isKnown(zone) ? zone : null);
  const seen = new Map<string, number>();
  const see = (zone: Place | null, lots: ReadonlyMap<ElementKey, number>, sign: 1 | -1) => {
    const pool = poolOf(zone);
    for (const [element, n] of lots) bump(seen, `${pool} ${element}`, sign * n);
  };
  for (const [zone, lots] of model) see(zone, lots, 1);
  for (const [zone, lots] of expected) see(zone, lots, -1);
  const byLog = doneByLog(asked, logged, (zone, element) => seen.get(`${poolOf(zone)} ${element}`) ?? 0);
  // What the log explains is no evidence for anything else.
  for (const i of byLog) for (const [key, n] of effectOf(asked[i]!, poolOf)) bump(seen, key, -n);
  const rest = asked.map((line, i) => (byLog.has(i) ? null : line));
  return new Set([...byLog, ...doneOf(rest, poolOf, seen)]);
}

/**
 * Lines that the build has logged itself, in the very zones. A log that only brought about what the patch expects to find, as where
 * a mod is taken back, tells nothing.
 */
function doneByLog(
  asked: readonly (AskedLine | null)[],
  logged: ReadonlyMap<Place, ReadonlyMap<ElementKey, number>>,
  beyond: (zone: Place, element: ElementKey) => number,
): ReadonlySet<number> {
  const seen = new Map<string, number>();
  for (const [zone, lots] of logged)
    for (const [element, n] of lots) if (n * beyond(zone, element) > 0) bump(seen, `${zone} ${element}`, n);
  return seen.size === 0 ? new Set() : doneOf(asked, (zone) => zone, seen);
}

/** The lines that what is seen bears out. */
function doneOf(
  asked: readonly (AskedLine | null)[],
  poolOf: (zone: Place) => Place | null,
  seen: ReadonlyMap<string, number>,
): ReadonlySet<number> {
  const effects = asked.map((line) => (line ? effectOf(line, poolOf) : new Map<string, number>()));
  const possible = new Set(effects.flatMap((e, i) => (e.size > 0 ? [i] : [])));
  const found = borneOut(effects, possible, seen);
  // Who works along a patch has done its first lines: where these explain more of what is seen, they are what was done.
  const first = firstLines(effects, possible, seen);
  return unexplained(effects, first, seen) < unexplained(effects, found, seen) ? first : found;
}

/** The first lines, as many as explain most of what is seen without going beyond it. */
function firstLines(
  effects: readonly ReadonlyMap<string, number>[],
  possible: ReadonlySet<number>,
  seen: ReadonlyMap<string, number>,
): ReadonlySet<number> {
  const left = new Map(seen);
  /** Elements of which more was done than is seen. */
  const beyond = new Set<string>();
  let [off, best, upTo] = [0, 0, -1];
  for (const i of possible) {
    for (const [key, n] of effects[i]!) {
      const [was, is] = [left.get(key) ?? 0, (left.get(key) ?? 0) - n];
      off += Math.abs(is) - Math.abs(was);
      left.set(key, is);
      if (excess((seen.get(key) ?? 0) - is, seen.get(key) ?? 0) === 0) beyond.delete(key);
      else beyond.add(key);
    }
    if (beyond.size === 0 && off < best) [best, upTo] = [off, i];
  }
  return new Set([...possible].filter((i) => i <= upTo));
}

/** Pieces that are seen to be more or fewer, and that some lines together do not explain. */
function unexplained(
  effects: readonly ReadonlyMap<string, number>[],
  done: ReadonlySet<number>,
  seen: ReadonlyMap<string, number>,
): number {
  const left = new Map(seen);
  for (const i of done) for (const [key, n] of effects[i]!) bump(left, key, -n);
  return [...left.values()].reduce((s, n) => s + Math.abs(n), 0);
}

/** What a line changes, by pool and element. */
function effectOf(
  { from, zone, off, on }: AskedLine,
  poolOf: (zone: Place) => Place | null,
): Map<string, number> {
  const effect = new Map<string, number>();
  for (const { element, qty } of off) bump(effect, `${poolOf(from)} ${element}`, -qty);
  for (const { element, qty } of on) bump(effect, `${poolOf(zone)} ${element}`, qty);
  return effect;
}

/**
 * Lets lines go, the last first, until no element changed by more than what is seen; then takes back what fits after all.
 */
function borneOut(
  effects: readonly ReadonlyMap<string, number>[],
  possible: ReadonlySet<number>,
  seen: ReadonlyMap<string, number>,
): ReadonlySet<number> {
  const done = new Set(possible);
  const net = new Map<string, number>();
  for (const i of done) for (const [key, n] of effects[i]!) bump(net, key, n);
  const beyond = (key: string) => excess(net.get(key) ?? 0, seen.get(key) ?? 0);
  const letGo = (i: number) => {
    done.delete(i);
    for (const [key, n] of effects[i]!) bump(net, key, -n);
  };
  for (let found = true; found;) {
    found = false;
    for (const i of [...done].reverse())
      if ([...effects[i]!].some(([key, n]) => n * beyond(key) > 0)) {
        letGo(i);
        found = true;
      }
  }
  for (const i of possible) {
    if (done.has(i)) continue;
    for (const [key, n] of effects[i]!) bump(net, key, n);
    if ([...effects[i]!.keys()].every((key) => beyond(key) === 0)) done.add(i);
    else for (const [key, n] of effects[i]!) bump(net, key, -n);
  }
  return done;
}

/** By how much a change goes beyond what is seen of it, in its own direction. */
function excess(net: number, seen: number): number {
  if (net > 0) return Math.max(0, net - Math.max(0, seen));
  return Math.min(0, net - Math.min(0, seen));
}

function bump(sums: Map<string, number>, key: string, n: number): void {
  sums.set(key, (sums.get(key) ?? 0) + n);
}

function add(to: Map<Place | null, Lots>, pool: Place | null, element: ElementKey, n: number): void {
  const lots = to.get(pool) ?? new Map<ElementKey, number>();
  to.set(pool, lots.set(element, (lots.get(element) ?? 0) + n));
}

const isEmpty = (lots: ReadonlyMap<ElementKey, number> | undefined): boolean =>
  [...(lots?.values() ?? [])].every((n) => n <= 0);

function holdsItsOwn(lots: ReadonlyMap<ElementKey, number> | undefined, expected: Lots): boolean {
  let [all, met] = [0, 0];
  for (const [element, qty] of expected) {
    all += qty;
    met += Math.min(qty, lots?.get(element) ?? 0);
  }
  return met >= KNOWN * all;
}
