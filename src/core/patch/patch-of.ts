import type { Entry, Modification, Movement } from '../records';
import { ENTRY_KINDS, placeOf, zoneOf } from '../places';
import { splitElementKey, type ElementKey } from '../parts';
import { LIMITS } from '../shared/bounds';
import { cutText } from '../shared/text';
import type { ModificationId, ZoneId } from '../shared/ids';
import { byPlace, shippedLots, type Workbench } from '../workbench';
import { firstPieces, piecesIn } from './lots';
import { mergeLines } from './merge-lines';
import { coloursOf, PATCH_SCHEMA, type Patch, type PatchLine, type PatchLot } from './patch';

export interface PatchChoice {
  /** As planned, with what is not done yet; otherwise as built. */
  readonly planned: boolean;
  /** Of these modifications alone; all where it is left out. */
  readonly only?: ReadonlySet<ModificationId>;
  readonly author?: string;
}

/**
 * What a build did to its set, as a patch: step by step in the order of its modifications, what was put on and taken off again
 * left out. What is a matter of the copy is no part of it: missing parts and their replacements, renewals, conditions, prices, notes.
 *
 * @example netOf(patchOf(workbench, { planned: false }))
 */
export function patchOf(workbench: Workbench, { planned, only, author = '' }: PatchChoice): Patch {
  const zones = zonePaths(workbench);
  const entries = workbench.entries
    .filter((e) => e.modification && (only?.has(e.modification) ?? true) && isInPatch(e))
    .filter((e) => (planned ? e.whatIf === null || e.whatIf === workbench.whatIf : e.state === 'done'))
    .sort((a, b) => a.no - b.no || byPlace(a, b));
  const merged = mergeLines(
    entries.flatMap((e) => linesOf(e, zones).map((line) => ({ of: e.modification!, line }))),
  );
  const steps = workbench.modifications.flatMap((m) => {
    const lines = merged.filter((l) => l.of === m.id).map((l) => l.line);
    return lines.length > 0 ? [stepOf(m, lines)] : [];
  });
  const build = workbench.records.build.get(workbench.build);
  const base = [...workbench.records.copy.values()].filter(
    (c) => c.build === workbench.build && c.role === 'base',
  );
  const patch = {
    ...({ schema: PATCH_SCHEMA, name: build?.name ?? 'Mod', author, reversed: false } as const),
    sets: base.map((c) => ({ name: c.setName, code: c.setCode })),
    zones: zones.paths,
    before: beforeOf(workbench, zones),
    steps,
  } as const;
  return { ...patch, colours: ownColours(workbench, patch) };
}

const stepOf = (m: Modification, lines: PatchLine[]): Patch['steps'][number] => ({
  title: cutText(m.title, LIMITS.name),
  why: m.why,
  lines,
});

/** What changes the model, and is no matter of one copy. */
const isInPatch = ({ kind }: Entry): boolean => {
  const { regrades, stays } = ENTRY_KINDS[kind];
  return !regrades && !stays && !['unpack', 'missing', 'replace-missing', 'renew'].includes(kind);
};

/** What a build's log comes to as planned, zone by zone: pieces that it added, below zero took away. */
export function loggedNet(workbench: Workbench): Map<ZoneId, Map<ElementKey, number>> {
  const net = new Map<ZoneId, Map<ElementKey, number>>();
  const add = (zone: ZoneId | undefined, element: ElementKey, n: number) => {
    if (!zone) return;
    const lots = net.get(zone) ?? new Map<ElementKey, number>();
    net.set(zone, lots.set(element, (lots.get(element) ?? 0) + n));
  };
  for (const e of workbench.planned.entries)
    if (isInPatch(e))
      for (const m of e.movements) {
        add(zoneOf(m.from), m.element, -m.qty);
        add(zoneOf(m.to), m.element, m.qty);
      }
  return net;
}

interface Zones {
  readonly paths: string[][];
  readonly at: (zone: ZoneId | undefined) => number;
}

/** Zones by their names from the whole model down; the whole model first. Two of one name in one place count as one. */
export function zonePaths(workbench: Workbench): Zones & { readonly byPath: ReadonlyMap<string, ZoneId> } {
  const { zones } = workbench;
  const known = new Map(zones.map((z) => [z.id, z]));
  const pathOf = (id: ZoneId): string[] => {
    const z = known.get(id);
    return z && z.parent !== null ? [...pathOf(z.parent), z.name] : [];
  };
  const paths: string[][] = [[]];
  const places = new Map<string, number>([[pathKey([]), 0]]);
  const byPath = new Map<string, ZoneId>();
  const byZone = new Map<ZoneId, number>();
  for (const z of zones) {
    const path = pathOf(z.id);
    const key = pathKey(path);
    if (!places.has(key)) places.set(key, paths.push(path) - 1);
    byZone.set(z.id, places.get(key)!);
    if (!byPath.has(key)) byPath.set(key, z.id);
  }
  return { paths, byPath, at: (zone) => (zone && byZone.get(zone)) || 0 };
}

/** The zones of a build by their paths, as `pathKey` writes them. */
export const zonesByPath = (workbench: Workbench): ReadonlyMap<string, ZoneId> => zonePaths(workbench).byPath;

/** Names are the same however they are cased and spaced. */
export const pathKey = (path: readonly string[]): string =>
  path.map((n) => n.normalize('NFKC').trim().toLowerCase().replace(/\s+/g, ' ')).join('\u0000');

/** The lines of an entry: one for each pair of zones that its pieces leave and join. */
function linesOf(entry: Entry, zones: Zones): PatchLine[] {
  const { movements, hidden, kind } = entry;
  const leaves = sums(movements, (m) => (placeOf(m.from) === 'model' ? zones.at(zoneOf(m.from)) : null));
  if (kind === 'move') return movesOf(movements, zones, hidden);
  const joins = sums(movements, (m) => (placeOf(m.to) === 'model' ? zones.at(zoneOf(m.to)) : null));
  const lines: PatchLine[] = [];
  for (const [zone, on] of joins) {
    // What goes on here came, as far as it goes, for what left this zone, then what left others.
    const from = leaves.has(zone) ? zone : ([...leaves.keys()][0] ?? zone);
    const off = leaves.get(from) ?? new Map<ElementKey, number>();
    if (ENTRY_KINDS[kind].even && leaves.size > 1) {
      lines.push(...evenly(leaves, on, zone, hidden));
      leaves.clear();
      continue;
    }
    leaves.delete(from);
    lines.push({
      zone,
      from: off.size > 0 ? from : zone,
      off: lotsOf(off),
      on: lotsOf(on),
      moves: false,
      hidden,
    });
  }
  for (const [from, off] of leaves)
    lines.push({ zone: from, from, off: lotsOf(off), on: [], moves: false, hidden });
  return lines;
}

/** One for one, out of several zones: from each as many as it gave. */
function evenly(
  leaves: ReadonlyMap<number, ReadonlyMap<ElementKey, number>>,
  on: ReadonlyMap<ElementKey, number>,
  zone: number,
  hidden: boolean,
): PatchLine[] {
  let left = lotsOf(on);
  return [...leaves].map(([from, lots]) => {
    const off = lotsOf(lots);
    const first = firstPieces(left, piecesIn(off));
    left = first.left;
    return { zone, from, off, on: first.taken, moves: false, hidden };
  });
}

function movesOf(movements: readonly Movement[], zones: Zones, hidden: boolean): PatchLine[] {
  const pairs = new Map<string, { from: number; zone: number; lots: Map<ElementKey, number> }>();
  for (const m of movements) {
    const [from, zone] = [zones.at(zoneOf(m.from)), zones.at(zoneOf(m.to))];
    if (from === zone) continue;
    const pair = pairs.get(`${from} ${zone}`) ?? { from, zone, lots: new Map<ElementKey, number>() };
    pair.lots.set(m.element, (pair.lots.get(m.element) ?? 0) + m.qty);
    pairs.set(`${from} ${zone}`, pair);
  }
  return [...pairs.values()].map(({ from, zone, lots }) => ({
    ...{ zone, from, off: lotsOf(lots), on: [] as PatchLot[], moves: true, hidden },
  }));
}

const lotsOf = (lots: ReadonlyMap<ElementKey, number>): PatchLot[] =>
  [...lots].map(([element, qty]) => ({ element, qty }));

/** Pieces by zone and element of the movements that `zoneIn` gives a zone for. */
function sums(movements: readonly Movement[], zoneIn: (m: Movement) => number | null) {
  const found = new Map<number, Map<ElementKey, number>>();
  for (const m of movements) {
    const zone = zoneIn(m);
    if (zone === null) continue;
    const lots = found.get(zone) ?? new Map<ElementKey, number>();
    found.set(zone, lots.set(m.element, (lots.get(m.element) ?? 0) + m.qty));
  }
  return found;
}

/** The model as it came out of its boxes. */
function beforeOf(workbench: Workbench, zones: Zones): Patch['before'] {
  const found = new Map<number, Map<ElementKey, number>>();
  for (const { zone, element, qty } of shippedLots(workbench)) {
    if (zone === null) continue;
    const at = zones.at(zone);
    const lots = found.get(at) ?? new Map<ElementKey, number>();
    found.set(at, lots.set(element, (lots.get(element) ?? 0) + qty));
  }
  return [...found].flatMap(([zone, lots]) => lotsOf(lots).map((l) => ({ zone, ...l })));
}

/** Colours of the workspace's own that the patch uses: another workspace can't know them. */
function ownColours(workbench: Workbench, patch: Pick<Patch, 'steps'>): Patch['colours'] {
  const used = coloursOf(patch);
  return [...workbench.records.customColour.values()]
    .filter((c) => used.has(c.id))
    .map(({ id, name, family, finish, hex }) => ({ id, name, family, finish, hex }));
}

/** True where two elements differ in colour alone. */
export const sameShape = (a: ElementKey, b: ElementKey): boolean => {
  const [x, y] = [splitElementKey(a), splitElementKey(b)];
  return x.part === y.part && x.print === y.print;
};
