import type { PoolModel } from '../records';
import { ModelBuilder, type LinearModel } from '../sourcing';
import { elementKey, splitElementKey, type ElementKey } from '../parts';
import type { ColourId, PoolModelId } from '../shared/ids';
import type { Minor } from '../shared/money';

/** A kind of box that may be bought for a pool, and how many of it are owned already. */
export interface CoverBox {
  readonly code: string;
  readonly name: string;
  readonly price: Minor;
  readonly owned: number;
  /** Most copies that can be bought besides. */
  readonly most: number;
  readonly lots: readonly { readonly element: ElementKey; readonly qty: number }[];
}

export type CoverModel = Pick<PoolModel, 'id' | 'name' | 'musts' | 'colours' | 'shares'>;

/** Fewest boxes by cost that cover some models together, and the main colour each gets. */
export interface Cover {
  readonly cost: Minor;
  /** Copies to buy of each box, besides those owned. */
  readonly copies: readonly { readonly code: string; readonly name: string; readonly copies: number }[];
  readonly models: readonly {
    readonly id: PoolModelId;
    readonly name: string;
    readonly colour: ColourId | null;
  }[];
  /** What no number of boxes gives: empty when the models are covered. */
  readonly short: readonly { readonly element: ElementKey; readonly qty: number }[];
  /** Pieces that would be left over, of the boxes owned and bought. */
  readonly left: number;
}

/** What a lacking piece weighs beside pence: more than any box. */
const LACKING = 1e6;

/** The parts of a model with its main colour put in. */
export const mustsIn = (m: CoverModel, main: ColourId | null): { element: ElementKey; qty: number }[] => {
  const sums = new Map<ElementKey, number>();
  for (const p of m.musts) {
    const colour = p.colour ?? main;
    if (!colour) continue;
    const e = elementKey(p.part, colour);
    sums.set(e, (sums.get(e) ?? 0) + p.qty);
  }
  return [...sums].map(([element, qty]) => ({ element, qty }));
};

/**
 * Main colours that a model may be in: those it names, or all in which the boxes have at least one of the parts that take
 * the main colour. None when it has no such part.
 */
export function mainColours(m: CoverModel, boxes: readonly CoverBox[]): ColourId[] {
  const parts = new Set(m.musts.filter((p) => p.colour === null).map((p) => p.part));
  if (parts.size === 0) return [];
  if (m.colours.length > 0) return [...m.colours];
  const found = new Set<ColourId>();
  for (const b of boxes)
    for (const l of b.lots) {
      const { part, colour, print } = splitElementKey(l.element);
      if (parts.has(part) && !print) found.add(colour);
    }
  return [...found].sort();
}

/**
 * Which boxes, at least cost, cover several models together, as a mixed-integer linear model: copies of each box, a main
 * colour for each model, no two models in the same unless they share. What cannot be covered is lacking at a price above
 * all boxes, so that there is always an answer and it lacks as little as can be; with a `lackingPrice` of one's own a box is
 * bought only where it gives its pieces for less than that, and not for two of them.
 */
export function coverModel(
  boxes: readonly CoverBox[],
  models: readonly CoverModel[],
  lackingPrice: (element: ElementKey) => Minor = () => LACKING,
): { linearModel: LinearModel; decode: (values: ArrayLike<number>) => Cover } {
  const builder = new ModelBuilder();
  const bought = boxes.map((b) => builder.column(b.price, b.most, true));
  const choices = models.map((m) =>
    mainColours(m, boxes).map((c) => ({ c, column: builder.column(0, 1, true) })),
  );
  for (const list of choices)
    if (list.length > 0)
      builder.row(
        1,
        1,
        list.map((x) => [x.column, 1] as const),
      );
  addApart(builder, models, choices);
  const demand = demandOf(models, choices);
  const lacking = new Map<ElementKey, number>();
  for (const [element, { fixed, terms }] of demand) {
    const lack = builder.column(lackingPrice(element), Infinity, true);
    lacking.set(element, lack);
    const owned = boxes.reduce((s, b) => s + b.owned * yieldOf(b, element), 0);
    const supply = boxes.flatMap((b, i) => {
      const n = yieldOf(b, element);
      return n > 0 ? [[bought[i]!, n] as const] : [];
    });
    builder.row(fixed - owned, Infinity, [
      ...supply,
      [lack, 1] as const,
      ...terms.map(([column, n]) => [column, -n] as const),
    ]);
  }
  return {
    linearModel: builder.build(),
    decode: (values) => {
      const at = (column: number) => Math.round(values[column] ?? 0);
      const copies = boxes.map((b, i) => ({ code: b.code, name: b.name, copies: at(bought[i]!) }));
      const chosen = models.map((m, i) => ({
        id: m.id,
        name: m.name,
        colour: choices[i]!.find((x) => at(x.column) === 1)?.c ?? null,
      }));
      const used = models.flatMap((m, i) => mustsIn(m, chosen[i]!.colour)).reduce((s, l) => s + l.qty, 0);
      const short = [...lacking].flatMap(([element, column]) =>
        at(column) > 0 ? [{ element, qty: at(column) }] : [],
      );
      const held = boxes.reduce((s, b, i) => s + (b.owned + at(bought[i]!)) * sizeOf(b), 0);
      return {
        cost: boxes.reduce((s, b, i) => s + b.price * at(bought[i]!), 0),
        copies: copies.filter((c) => c.copies > 0),
        models: chosen,
        short,
        left: held - (used - short.reduce((s, l) => s + l.qty, 0)),
      };
    },
  };
}

type Choice = { readonly c: ColourId; readonly column: number };

/** No two models in the same main colour, but for those that share theirs. */
function addApart(
  builder: ModelBuilder,
  models: readonly CoverModel[],
  choices: readonly (readonly Choice[])[],
): void {
  const alone = new Map<ColourId, number[]>();
  models.forEach((m, i) => {
    if (!m.shares) for (const { c, column } of choices[i]!) alone.set(c, [...(alone.get(c) ?? []), column]);
  });
  for (const columns of alone.values())
    if (columns.length > 1)
      builder.row(
        -Infinity,
        1,
        columns.map((k) => [k, 1] as const),
      );
}

interface Demand {
  fixed: number;
  readonly terms: [column: number, qty: number][];
}

/** Pieces wanted of each element: those wanted whatever the colours are, and those that come with a choice. */
function demandOf(
  models: readonly CoverModel[],
  choices: readonly (readonly Choice[])[],
): Map<ElementKey, Demand> {
  const demand = new Map<ElementKey, Demand>();
  const of = (element: ElementKey): Demand => {
    const found = demand.get(element) ?? { fixed: 0, terms: [] };
    demand.set(element, found);
    return found;
  };
  models.forEach((m, i) => {
    for (const { element, qty } of mustsIn(m, null)) of(element).fixed += qty;
    const main = { ...m, musts: m.musts.filter((p) => p.colour === null) };
    for (const { c, column } of choices[i]!)
      for (const { element, qty } of mustsIn(main, c)) of(element).terms.push([column, qty]);
  });
  return demand;
}

const yieldOf = (b: CoverBox, element: ElementKey): number =>
  b.lots.reduce((s, l) => s + (l.element === element ? l.qty : 0), 0);
const sizeOf = (b: CoverBox): number => b.lots.reduce((s, l) => s + l.qty, 0);
