import { boughtFor, type Compiled } from './compile';
import { ModelBuilder, type LinearModel } from './linear-model';
import { savedFrom } from './plan';
import type { Saved } from './state';

/** A buying plan problem as a linear model, with the ways there and back. */
export interface SourcingModel {
  readonly linearModel: LinearModel;
  /** A plan as values of the columns: where the solver begins. Null when the plan uses a seller that is left out. */
  encode(saved: Saved): Float64Array | null;
  decode(values: ArrayLike<number>): Saved;
}

interface ModelOptions {
  /** False leaves the boxes out. */
  readonly donors?: boolean;
  /** Parcels allowed. */
  readonly parcels?: number;
  /** Copies of each box that are bought in any case. */
  readonly leastCopies?: Int32Array | null;
  /** Pieces that may be lacking, of whichever lots. */
  readonly lacking?: number;
}

interface Copies {
  readonly least: number;
  readonly most: number;
}

interface Columns {
  readonly offer: ReadonlyMap<number, number>;
  readonly least: ReadonlyMap<number, number>;
  readonly open: ReadonlyMap<number, number>;
  readonly value: ReadonlyMap<number, number>;
  readonly bands: ReadonlyMap<number, readonly number[]>;
  readonly donor: readonly number[];
  readonly share: ReadonlyMap<string, number>;
  /** Of each lot what is lacking, where anything may be. */
  readonly lacking: number[];
}

const shareKey = (element: number, lot: number): string => `${element} ${lot}`;

/** Most pieces that it can pay to buy of an offer: the need of all lots that take it, in the quantities it is sold in. */
function mostOf(c: Compiled, o: number, need: Int32Array): number {
  const wanted = c.acceptedBy[c.offerElement[o]!]!.reduce((s, l) => s + need[l]!, 0);
  return Math.min(c.offerCap[o]!, boughtFor(wanted, c.offerMin[o]!, c.offerMultiple[o]!));
}

/**
 * Writes a buying plan problem as a mixed-integer linear model over some sellers. Postage bands are binaries of which one is
 * chosen for an open parcel; every offer, and every lot with several, is linked to its seller being open, which keeps the
 * relaxation close; pieces are integer, in multiples. Elements that several lots share are given out by columns of their
 * own. `need` is what is to be met of each lot.
 */
export function modelOf(
  c: Compiled,
  sellers: readonly number[],
  need: Int32Array,
  { donors = true, parcels = c.maxSellers, leastCopies = null, lacking = 0 }: ModelOptions = {},
): SourcingModel {
  const builder = new ModelBuilder();
  const copies = (d: number): Copies => ({ least: leastCopies?.[d] ?? 0, most: donors ? c.donorMax[d]! : 0 });
  const columns = addColumns(c, builder, sellers, need, copies);
  addLacking(builder, columns, need, lacking);
  const taken = offersIn(c, columns);
  addDemand(c, builder, columns, need, taken);
  for (const s of sellers) addSeller(c, builder, columns, s, need);
  if (parcels < sellers.length)
    builder.row(
      -Infinity,
      parcels,
      [...columns.open.values()].map((y) => [y, 1] as const),
    );
  const linearModel = builder.build();
  return {
    linearModel,
    encode: (saved) => encode(c, columns, linearModel.columns, need, saved),
    decode: (values) =>
      savedFrom(
        c,
        (o) => Math.round(values[columns.offer.get(o) ?? -1] ?? 0) * c.offerMultiple[o]!,
        Int32Array.from(columns.donor, (k) => Math.round(values[k] ?? 0)),
        (lot, e) => {
          const column = columns.share.get(shareKey(e, lot));
          return column === undefined ? Infinity : Math.round(values[column] ?? 0);
        },
      ),
  };
}

function addColumns(
  c: Compiled,
  builder: ModelBuilder,
  sellers: readonly number[],
  need: Int32Array,
  copies: (donor: number) => Copies,
): Columns {
  const [offer, least, open, value] = [0, 0, 0, 0].map(() => new Map<number, number>()) as [
    Map<number, number>,
    Map<number, number>,
    Map<number, number>,
    Map<number, number>,
  ];
  const bands = new Map<number, readonly number[]>();
  for (const s of sellers) {
    let grams = 0;
    const priced = c.minOrder[s]! === 0;
    for (const o of c.offersOfSeller[s]!) {
      const most = mostOf(c, o, need);
      const multiple = c.offerMultiple[o]!;
      grams += most * c.grams[c.offerElement[o]!]!;
      offer.set(o, builder.column(priced ? c.offerPrice[o]! * multiple : 0, most / multiple, true));
      if (c.offerMin[o]! > multiple) least.set(o, builder.column(0, 1, true));
    }
    open.set(s, builder.column(0, 1, true));
    if (!priced) value.set(s, builder.column(1, Infinity, false));
    const limits = c.bandGrams[s]!;
    const last = limits.findIndex((max) => max >= grams);
    const used = last < 0 ? limits.length : last + 1;
    bands.set(
      s,
      Array.from({ length: used }, (_, b) => builder.column(c.bandPence[s]![b]!, 1, true)),
    );
  }
  const donor = Array.from(c.donorPrice, (price, d) => {
    const { least, most } = copies(d);
    return builder.column(price, most, true, least);
  });
  const share = new Map<string, number>();
  c.acceptedBy.forEach((lots, e) => {
    if (lots.length > 1)
      for (const lot of lots) share.set(shareKey(e, lot), builder.column(0, need[lot]!, false));
  });
  return { offer, least, open, value, bands, donor, share, lacking: [] };
}

function addLacking(builder: ModelBuilder, { lacking }: Columns, need: Int32Array, most: number): void {
  if (most === 0) return;
  for (const n of need) lacking.push(builder.column(0, Math.min(n, most), false));
  builder.row(
    0,
    most,
    lacking.map((column) => [column, 1] as const),
  );
}

/** The offers among the columns, by element. */
function offersIn(c: Compiled, columns: Columns): number[][] {
  const byElement: number[][] = Array.from({ length: c.elements }, () => []);
  for (const o of columns.offer.keys()) byElement[c.offerElement[o]!]!.push(o);
  return byElement;
}

function addDemand(
  c: Compiled,
  builder: ModelBuilder,
  columns: Columns,
  need: Int32Array,
  byElement: readonly (readonly number[])[],
): void {
  const supply = (e: number): (readonly [number, number])[] => [
    ...byElement[e]!.map((o) => [columns.offer.get(o)!, c.offerMultiple[o]!] as const),
    ...c.donorYields.flatMap((ys, d) =>
      ys.filter(([x]) => x === e).map(([, qty]) => [columns.donor[d]!, qty] as const),
    ),
  ];
  for (let lot = 0; lot < c.lots; lot++) {
    const terms = c.accepts[lot]!.flatMap((e) => {
      const column = columns.share.get(shareKey(e, lot));
      return column === undefined ? supply(e) : [[column, 1] as const];
    });
    const lacking = columns.lacking[lot];
    if (lacking !== undefined) terms.push([lacking, 1]);
    builder.row(need[lot]!, Infinity, joined(terms));
  }
  c.acceptedBy.forEach((lots, e) => {
    if (lots.length < 2) return;
    const given = lots.map((lot) => [columns.share.get(shareKey(e, lot))!, 1] as const);
    const had = joined(supply(e)).map(([column, n]) => [column, -n] as const);
    builder.row(-Infinity, 0, [...given, ...had]);
  });
}

/** Terms of the same column added up: a donor may give several elements to one lot. */
function joined(terms: readonly (readonly [number, number])[]): (readonly [number, number])[] {
  const sums = new Map<number, number>();
  for (const [column, n] of terms) sums.set(column, (sums.get(column) ?? 0) + n);
  return [...sums];
}

function addSeller(c: Compiled, builder: ModelBuilder, columns: Columns, s: number, need: Int32Array): void {
  const y = columns.open.get(s)!;
  const v = columns.value.get(s);
  const offers = [...c.offersOfSeller[s]!];
  const byLot = new Map<number, number[]>();
  for (const o of offers) {
    const most = mostOf(c, o, need);
    const column = columns.offer.get(o)!;
    const multiple = c.offerMultiple[o]!;
    const least = columns.least.get(o);
    builder.row(-Infinity, 0, [
      [column, multiple],
      [least ?? y, -most],
    ]);
    if (least !== undefined) {
      builder.row(0, Infinity, [
        [column, multiple],
        [least, -c.offerMin[o]!],
      ]);
      builder.row(-Infinity, 0, [
        [least, 1],
        [y, -1],
      ]);
    }
    const lots = c.acceptedBy[c.offerElement[o]!]!;
    if (lots.length === 1) byLot.set(lots[0]!, [...(byLot.get(lots[0]!) ?? []), o]);
  }
  for (const [lot, os] of byLot) {
    if (os.length < 2 || os.some((o) => c.offerMultiple[o]! > 1 || c.offerMin[o]! > 1)) continue;
    builder.row(-Infinity, 0, [...os.map((o) => [columns.offer.get(o)!, 1] as const), [y, -need[lot]!]]);
  }
  if (v !== undefined) {
    builder.row(0, Infinity, [
      [v, 1],
      ...offers.map((o) => [columns.offer.get(o)!, -c.offerPrice[o]! * c.offerMultiple[o]!] as const),
    ]);
    builder.row(0, Infinity, [
      [v, 1],
      [y, -c.minOrder[s]!],
    ]);
  }
  const bands = columns.bands.get(s)!;
  builder.row(0, 0, [...bands.map((z) => [z, 1] as const), [y, -1]]);
  builder.row(-Infinity, 0, [
    ...offers.map(
      (o) => [columns.offer.get(o)!, c.grams[c.offerElement[o]!]! * c.offerMultiple[o]!] as const,
    ),
    ...bands.map((z, b) => [z, -c.bandGrams[s]![b]!] as const),
  ]);
}

function encode(
  c: Compiled,
  columns: Columns,
  size: number,
  need: Int32Array,
  saved: Saved,
): Float64Array | null {
  const values = new Float64Array(size);
  columns.lacking.forEach((column, lot) => {
    const met = saved.from[lot]!.reduce((n, [, pieces]) => n + pieces, 0);
    values[column] = Math.max(0, need[lot]! - met);
  });
  const used = new Map<number, number>();
  for (const [lot, rows] of saved.from.entries())
    for (const [source, n] of rows) {
      const e = source < 0 ? -1 - source : c.offerElement[source]!;
      if (source >= 0) used.set(source, (used.get(source) ?? 0) + n);
      const share = columns.share.get(shareKey(e, lot));
      if (share !== undefined) values[share]! += n;
    }
  const parcels = new Map<number, { value: number; grams: number }>();
  for (const [o, n] of used) {
    const column = columns.offer.get(o);
    if (column === undefined) return null;
    const bought = boughtFor(n, c.offerMin[o]!, c.offerMultiple[o]!);
    values[column] = bought / c.offerMultiple[o]!;
    const least = columns.least.get(o);
    if (least !== undefined) values[least] = 1;
    const s = c.offerSeller[o]!;
    const parcel = parcels.get(s) ?? { value: 0, grams: 0 };
    parcel.value += bought * c.offerPrice[o]!;
    parcel.grams += bought * c.grams[c.offerElement[o]!]!;
    parcels.set(s, parcel);
  }
  for (const [s, { value, grams }] of parcels) {
    values[columns.open.get(s)!] = 1;
    const v = columns.value.get(s);
    if (v !== undefined) values[v] = Math.max(value, c.minOrder[s]!);
    const band = c.bandGrams[s]!.findIndex((max) => grams <= max + 1e-9);
    const z = columns.bands.get(s)![band];
    if (z === undefined) return null;
    values[z] = 1;
  }
  saved.copies.forEach((n, d) => (values[columns.donor[d]!] = n));
  return values;
}
