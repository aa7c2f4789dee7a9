import type { ElementKey } from '../parts';
import type { Workbench } from '../workbench';
import { netOf, type Net, type Patch } from './patch';
import { patchOf, pathKey, sameShape } from './patch-of';

/** How a build stands beside a patch at one place: pieces that each adds there, below zero takes away. */
export interface Compared {
  readonly path: readonly string[];
  readonly element: ElementKey;
  readonly patch: number;
  readonly build: number;
  /** `alike` = as the patch says; `not yet` = nothing of it, or less; `besides` = not in the patch, or more than it. */
  readonly state: 'alike' | 'not yet' | 'besides';
  /** Where the build has the same part in another colour instead. */
  readonly instead: ElementKey | null;
}

/**
 * What a build has done differently from a patch, zone by zone: zones are the same by their names. A piece that the patch takes
 * away and the build puts in counts as besides, and what the patch wants as not yet.
 *
 * @example comparePatch(workbench, patch, false).filter((c) => c.state !== 'alike')
 */
export function comparePatch(workbench: Workbench, patch: Patch, planned: boolean): Compared[] {
  const own = patchOf(workbench, { planned });
  const theirs = byKey(netOf(patch), patch.zones);
  const mine = byKey(netOf(own), own.zones);
  const found: Compared[] = [];
  for (const key of new Set([...theirs.keys(), ...mine.keys()])) {
    const [a, b] = [theirs.get(key), mine.get(key)];
    const path = (a ?? b)!.path;
    const elements = new Set([...(a?.lots.keys() ?? []), ...(b?.lots.keys() ?? [])]);
    for (const element of elements) {
      const [p, n] = [a?.lots.get(element) ?? 0, b?.lots.get(element) ?? 0];
      found.push({ path, element, patch: p, build: n, state: stateOf(p, n), instead: null });
    }
  }
  return found.map((c) => ({ ...c, instead: insteadOf(c, found) }));
}

function stateOf(patch: number, build: number): Compared['state'] {
  if (patch === build) return 'alike';
  const isTowards = patch > 0 ? build < patch : build > patch;
  return patch !== 0 && isTowards ? 'not yet' : 'besides';
}

/** The same shape that the build puts in besides, where the patch wants this one. */
function insteadOf(c: Compared, all: readonly Compared[]): ElementKey | null {
  if (c.state !== 'not yet' || c.patch <= 0) return null;
  const other = all.find(
    (o) =>
      o.path === c.path &&
      o.element !== c.element &&
      o.state === 'besides' &&
      o.build > 0 &&
      sameShape(o.element, c.element),
  );
  return other?.element ?? null;
}

function byKey(net: Net, zones: readonly (readonly string[])[]) {
  const found = new Map<string, { path: readonly string[]; lots: ReadonlyMap<ElementKey, number> }>();
  for (const [at, lots] of net) {
    const path = zones[at] ?? [];
    const old = found.get(pathKey(path));
    found.set(pathKey(path), { path: old?.path ?? path, lots: old ? joined(old.lots, lots) : lots });
  }
  return found;
}

function joined(a: ReadonlyMap<ElementKey, number>, b: ReadonlyMap<ElementKey, number>) {
  const sums = new Map(a);
  for (const [e, n] of b) sums.set(e, (sums.get(e) ?? 0) + n);
  return sums;
}
