import { familyOf } from '../need';
import { sparesAccount } from '../places';
import { splitElementKey, type ElementKey } from '../parts';
import type { Books } from '../ledger';
import type { RareLot } from '../stock';
import type { BuildId } from '../shared/ids';
import type { Minor } from '../shared/money';
import { shippedLots, type Workbench } from '../workbench';

/** A kind that is left over of a build. */
export interface LeftLot {
  readonly element: ElementKey;
  readonly qty: number;
  readonly worth: Minor;
  readonly unpriced: number;
  /** The box it can have come from; empty = several have it, or none. */
  readonly box: string;
  readonly family: string;
  /** Colours that its part is known to be made in, and boxes that have it; null = nobody knows. */
  readonly rarity: Pick<RareLot, 'colours' | 'boxes'> | null;
}

export const LEFT_BY = ['box', 'colour', 'family'] as const;
export type LeftBy = (typeof LEFT_BY)[number];

export interface LeftGroup {
  readonly name: string;
  readonly pieces: number;
  readonly worth: Minor;
  readonly unpriced: number;
  readonly lots: readonly LeftLot[];
}

/**
 * The spares of a build in its books, the rarest first.
 *
 * @param rare  how rare kinds are, the rarest first; what is not among them comes last, most pieces first
 */
export function leftOverOf(workbench: Workbench, books: Books, rare: readonly RareLot[]): LeftLot[] {
  const known = new Map(rare.map((r) => [r.element, r]));
  const boxOf = boxesByElement(workbench);
  const rows = books.balances.rows((a) => a === sparesAccount(workbench.build));
  const lots = new Map<ElementKey, LeftLot>();
  for (const { element, grade, qty } of rows) {
    if (qty <= 0) continue;
    const price = workbench.priceOf(element, grade);
    const old = lots.get(element);
    const r = known.get(element);
    lots.set(element, {
      element,
      qty: (old?.qty ?? 0) + qty,
      worth: (old?.worth ?? 0) + (price ?? 0) * qty,
      unpriced: (old?.unpriced ?? 0) + (price === null ? qty : 0),
      box: boxOf.get(element) ?? '',
      family: familyOf({ element }),
      rarity: r ? { colours: r.colours, boxes: r.boxes } : null,
    });
  }
  const rank = new Map(rare.map((r, i) => [r.element, i]));
  return [...lots.values()].sort(
    (a, b) => (rank.get(a.element) ?? rare.length) - (rank.get(b.element) ?? rare.length) || b.qty - a.qty,
  );
}

/** The set that alone has an element among the build's boxes. */
function boxesByElement(workbench: Workbench): ReadonlyMap<ElementKey, string> {
  const found = new Map<ElementKey, string>();
  for (const { copy, element } of shippedLots(workbench)) {
    const old = found.get(element);
    found.set(element, old === undefined || old === copy.setName ? copy.setName : '');
  }
  return found;
}

/** What is left over, by box, colour or family: the groups with the most pieces first, each in the order of the lots. */
export function leftGroups(lots: readonly LeftLot[], by: LeftBy): LeftGroup[] {
  const nameOf = (l: LeftLot) =>
    by === 'box' ? l.box : by === 'colour' ? (splitElementKey(l.element).colour as string) : l.family;
  const groups = new Map<string, LeftLot[]>();
  for (const l of lots) groups.set(nameOf(l), [...(groups.get(nameOf(l)) ?? []), l]);
  const sum = (list: readonly LeftLot[], of: (l: LeftLot) => number) => list.reduce((n, l) => n + of(l), 0);
  return [...groups]
    .map(([name, list]) => ({
      name,
      pieces: sum(list, (l) => l.qty),
      worth: sum(list, (l) => l.worth),
      unpriced: sum(list, (l) => l.unpriced),
      lots: list,
    }))
    .sort((a, b) => b.pieces - a.pieces);
}

/** A build that what is left over would help: how many of the pieces it lacks, of how many. */
export interface MeetsNeed {
  readonly build: BuildId;
  readonly name: string;
  readonly lacks: number;
  readonly meets: number;
  readonly lots: readonly { readonly element: ElementKey; readonly qty: number }[];
}

/** A build's need as it is asked of the server. */
export interface NeedOfBuild {
  readonly build: BuildId;
  readonly name: string;
  readonly missing: number;
  readonly lots: readonly { readonly element: ElementKey; readonly qty: number }[];
}

/** Which other builds' needs what is left over would meet: those that it helps most first. Each is held against all of it. */
export function needsMet(
  lots: readonly Pick<LeftLot, 'element' | 'qty'>[],
  needs: readonly NeedOfBuild[],
  own: BuildId,
): MeetsNeed[] {
  return needs
    .flatMap((n): MeetsNeed[] => {
      if (n.build === own) return [];
      const left = new Map(lots.map((l) => [l.element, l.qty]));
      const met = new Map<ElementKey, number>();
      for (const { element, qty } of n.lots) {
        const given = Math.min(qty, left.get(element) ?? 0);
        if (given <= 0) continue;
        left.set(element, left.get(element)! - given);
        met.set(element, (met.get(element) ?? 0) + given);
      }
      const meets = [...met.values()].reduce((a, b) => a + b, 0);
      const list = [...met].map(([element, qty]) => ({ element, qty }));
      return meets > 0 ? [{ build: n.build, name: n.name, lacks: n.missing, meets, lots: list }] : [];
    })
    .sort((a, b) => b.meets - a.meets);
}
