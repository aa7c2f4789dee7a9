import { added, changed, removed, type Command, type Source } from '../ledger';
import { modelAccount } from '../places';
import { netOf, pathKey, zonesByPath, type Patch } from '../patch';
import type { ElementKey } from '../parts';
import type { Pattern } from '../records';
import { asId, type PatternId } from '../shared/ids';
import { withAtHand } from '../stock';
import type { Workbench } from '../workbench';

/** The patterns of a build: the newest of each name first. */
export const patternsOf = (workbench: Workbench): Pattern[] =>
  [...workbench.records.pattern.values()]
    .filter((p) => p.build === workbench.build)
    .sort((a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : b.revision - a.revision));

interface Given {
  readonly name: string;
  readonly author: string;
  readonly kind: Pattern['kind'];
  readonly zones: Pattern['zones'];
  readonly lots: Pattern['lots'];
}

/** Keeps what another builder gave as what this build is to become; of a name that is known it is the next revision. */
export function keepPattern(workbench: Workbench, given: Given, source: Source): Command {
  const same = patternsOf(workbench).filter((p) => p.name === given.name);
  const revision = same.reduce((most, p) => Math.max(most, p.revision), 0) + 1;
  const id = asId<PatternId>(source.newId());
  return {
    label: `keep ${given.name}, revision ${revision}`,
    diff: added('pattern', { ...given, id, build: workbench.build, revision, at: source.now, faults: [] }),
  };
}

const SEPARATOR = ' / ';

/** What a patch leaves: the model as it is after it, zone by zone in the patch's order. */
export function patternOfPatch(patch: Patch): Given {
  const sums = new Map<string, { zone: number; element: ElementKey; qty: number }>();
  const add = (zone: number, element: ElementKey, n: number) => {
    const key = `${zone} ${element}`;
    sums.set(key, { zone, element, qty: (sums.get(key)?.qty ?? 0) + n });
  };
  for (const b of patch.before) add(b.zone, b.element, b.qty);
  for (const [zone, lots] of netOf(patch)) for (const [element, n] of lots) add(zone, element, n);
  return {
    ...{ name: patch.name, author: patch.author, kind: 'patch' },
    zones: patch.zones.map((path) => path.join(SEPARATOR).slice(0, 200)),
    lots: [...sums.values()].filter((l) => l.qty > 0).slice(0, 20_000),
  };
}

/** A list of parts, in no zones. */
export const patternOfList = (
  name: string,
  author: string,
  lots: readonly { readonly element: ElementKey; readonly qty: number }[],
): Given => ({ name, author, kind: 'list', zones: [''], lots: lots.map((l) => ({ ...l, zone: 0 })) });

/** A zone of a pattern beside what stands here. Pieces. */
export interface PatternZone {
  readonly name: string;
  readonly wants: number;
  readonly there: number;
  /** What lacks on the model, and how much of it is at hand. */
  readonly lacks: readonly { readonly element: ElementKey; readonly qty: number; readonly atHand: number }[];
}

/**
 * What of a pattern is on the model as planned, zone by zone in the order in which they go, and what lacks. Zones are the same by
 * their names; a list, and a zone that is not here, is held against all that stands in no zone of the pattern. A piece counts once.
 */
export function patternNow(workbench: Workbench, pattern: Pattern): PatternZone[] {
  const byPath = zonesByPath(workbench);
  const here = pattern.zones.map((z) => byPath.get(pathKey(z === '' ? [] : z.split(SEPARATOR))));
  const named = new Set(here.filter((z) => z !== undefined));
  const at = (zone: string) => new Map(workbench.planned.balances.elements(modelAccount(zone as never)));
  const rest = new Map<ElementKey, number>();
  for (const z of workbench.zones)
    if (pattern.kind === 'list' || !named.has(z.id) || z.parent === null)
      for (const [e, n] of at(z.id)) rest.set(e, (rest.get(e) ?? 0) + Math.max(0, n));
  return withAtHand(workbench, (hand) =>
    pattern.zones.flatMap((name, i): PatternZone[] => {
      const lots = pattern.lots.filter((l) => l.zone === i);
      if (lots.length === 0) return [];
      const zone = here[i];
      const own = zone && pattern.kind === 'patch' && name !== '' ? at(zone) : rest;
      let there = 0;
      const lacks = lots.flatMap(({ element, qty }) => {
        let n = takeFrom(own, element, qty);
        if (own !== rest) n += takeFrom(rest, element, qty - n);
        there += n;
        const missing = qty - n;
        if (missing <= 0) return [];
        return [{ element, qty: missing, atHand: missing - hand.take(element, missing).short }];
      });
      return [{ name, wants: lots.reduce((s, l) => s + l.qty, 0), there, lacks }];
    }),
  );
}

function takeFrom(lots: Map<ElementKey, number>, element: ElementKey, most: number): number {
  const n = Math.min(most, Math.max(0, lots.get(element) ?? 0));
  if (n > 0) lots.set(element, lots.get(element)! - n);
  return n;
}

/** Notes a fault of a pattern by its step, to be told to its author. */
export const notePatternFault = (pattern: Pattern, step: string, says: string, source: Source): Command => ({
  label: `note a fault of ${pattern.name}`,
  diff: changed('pattern', pattern, { faults: [...pattern.faults, { step, says, at: source.now }] }),
});

export const forgetPatternFault = (pattern: Pattern, at: number): Command => ({
  label: `delete a fault of ${pattern.name}`,
  diff: changed('pattern', pattern, { faults: pattern.faults.filter((_, i) => i !== at) }),
});

export const deletePattern = (pattern: Pattern): Command => ({
  label: `delete ${pattern.name}, revision ${pattern.revision}`,
  diff: removed('pattern', pattern),
});

/** What changed from one revision of a pattern to the next: pieces by element, below zero fewer. */
export function betweenRevisions(older: Pattern, newer: Pattern): { element: ElementKey; qty: number }[] {
  const sums = new Map<ElementKey, number>();
  for (const l of newer.lots) sums.set(l.element, (sums.get(l.element) ?? 0) + l.qty);
  for (const l of older.lots) sums.set(l.element, (sums.get(l.element) ?? 0) - l.qty);
  return [...sums].flatMap(([element, qty]) => (qty === 0 ? [] : [{ element, qty }]));
}
