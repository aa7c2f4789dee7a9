import {
  added,
  BLANK_ENTRY,
  donorAccount,
  freeGrades,
  joinDiffs,
  modelAccount,
  type Command,
  type Entry,
  type Modification,
  type Movement,
  type Source,
} from '../ledger';
import { byElementName, type ElementKey } from '../parts';
import { asId, type EntryId, type ModificationId, type ZoneId } from '../shared/ids';
import type { Workbench } from './workbench';

/** What a build's boxes hold of an element, over all of them. */
export interface InBoxes {
  readonly element: ElementKey;
  readonly there: number;
}

/** Everything that lies in a build's boxes and is not kept together, by name. */
export function inBoxes(workbench: Workbench): InBoxes[] {
  const sums = new Map<ElementKey, number>();
  for (const [, element, qty] of freeInBoxes(workbench)) sums.set(element, (sums.get(element) ?? 0) + qty);
  return [...sums]
    .map(([element, there]) => ({ element, there }))
    .sort((a, b) => byElementName(a.element, b.element));
}

function* freeInBoxes(workbench: Workbench): Iterable<[ReturnType<typeof donorAccount>, ElementKey, number]> {
  const { balances } = workbench.built;
  for (const box of workbench.boxes) {
    const account = donorAccount(box.id);
    for (const [element] of balances.elements(account)) {
      const free = freeGrades(balances, account, element, workbench.kept).reduce((s, [, n]) => s + n, 0);
      if (free > 0) yield [account, element, free];
    }
  }
}

/** What counting what is left comes to. */
export interface LeftCount {
  readonly held: number;
  readonly left: number;
  readonly used: number;
  /** Kinds of which more were counted than the boxes hold: nothing can be logged until these are right. */
  readonly tooMany: readonly {
    readonly element: ElementKey;
    readonly counted: number;
    readonly there: number;
  }[];
}

/**
 * In a build from boxes the model is the boxes less what is left: so it is enough to count that. A kind that was not counted
 * is all used up, or with `restLeft` all still there.
 *
 * @example leftCount(workbench, new Map([[element, 4]]), false).used
 */
export function leftCount(
  workbench: Workbench,
  counted: ReadonlyMap<ElementKey, number>,
  restLeft: boolean,
): LeftCount {
  const held = inBoxes(workbench);
  const there = new Map(held.map((h) => [h.element, h.there]));
  const tooMany = [...counted].flatMap(([element, n]) => {
    const has = there.get(element) ?? 0;
    return n > has ? [{ element, counted: n, there: has }] : [];
  });
  const left = held.reduce(
    (s, h) => s + Math.min(h.there, counted.get(h.element) ?? (restLeft ? h.there : 0)),
    0,
  );
  const all = held.reduce((s, h) => s + h.there, 0);
  return { held: all, left, used: all - left, tooMany };
}

/**
 * Puts on the model what the boxes hold less what was counted as left, as one modification: an entry for each kind, from the
 * boxes in their order. Precondition: nothing is counted that the boxes do not hold.
 */
export function logLeft(
  workbench: Workbench,
  counted: ReadonlyMap<ElementKey, number>,
  restLeft: boolean,
  zone: ZoneId,
  source: Source,
): Command {
  const modification: Modification = {
    id: asId<ModificationId>(source.newId()),
    build: workbench.build,
    no: Math.max(0, ...workbench.modifications.map((m) => m.no)) + 1,
    title: 'Built from its boxes',
    zone,
    phase: null,
    why: 'The boxes less what was counted as left.',
    note: '',
    position: Math.max(0, ...workbench.modifications.map((m) => m.position)) + 1,
    purpose: null,
  };
  let { no } = workbench.nextEntry(null);
  let position = 1;
  const entries: Entry[] = [];
  for (const { element, there } of inBoxes(workbench)) {
    const used = there - Math.min(there, counted.get(element) ?? (restLeft ? there : 0));
    const movements = takeFromBoxes(workbench, element, used, zone);
    if (movements.length === 0) continue;
    entries.push({
      ...BLANK_ENTRY,
      id: asId<EntryId>(source.newId()),
      build: workbench.build,
      modification: modification.id,
      kind: 'add',
      no: no++,
      position: position++,
      zone,
      loggedAt: source.now,
      movements,
    });
  }
  if (entries.length === 0) return { label: 'put nothing on from the boxes', diff: joinDiffs() };
  const n = entries.flatMap((e) => e.movements).reduce((s, m) => s + m.qty, 0);
  return {
    label: `put ${n} on: the boxes less what is left`,
    diff: joinDiffs(added('modification', modification), added('entry', ...entries)),
  };
}

function takeFromBoxes(workbench: Workbench, element: ElementKey, qty: number, zone: ZoneId): Movement[] {
  const { balances } = workbench.built;
  const to = modelAccount(zone);
  const movements: Movement[] = [];
  let left = qty;
  for (const box of workbench.boxes) {
    const from = donorAccount(box.id);
    for (const [grade, there] of freeGrades(balances, from, element, workbench.kept)) {
      const n = Math.min(left, there);
      if (n > 0)
        movements.push({ element, grade, qty: n, from, to, worth: workbench.priceOf(element, grade) });
      left -= n;
    }
  }
  return movements;
}
