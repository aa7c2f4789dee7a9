import type { Command, Source, Workbench } from '../bench';
import {
  added,
  BLANK_ENTRY,
  changed,
  joinDiffs,
  orderAccount,
  OUTSIDE,
  shippedAccount,
  type AccountKey,
  type Copy,
  type Diff,
  type Entry,
  type Grade,
  type Movement,
  type Order,
} from '../ledger';
import type { ElementKey } from '../parts';
import { asId, type CopyId, type EntryId, type ModificationId, type OrderId } from '../shared/ids';
import type { Minor } from '../shared/money';
import type { MakeUpPlan } from '../make-up';
import type { MarketAnswer, MarketBox } from './market';
import type { NeedLot } from './need';
import { boxGrade, boxId, lotId, readOfferId } from './pose';

/** Pieces of one parcel or box, still to be given to those who need them. */
interface Supply {
  readonly account: AccountKey;
  readonly element: ElementKey;
  readonly grade: Grade;
  readonly price: Minor;
  qty: number;
}

/** One parcel of a plan, for showing it. */
export interface Parcel {
  readonly seller: string;
  readonly name: string;
  readonly lots: readonly {
    readonly element: ElementKey;
    readonly grade: Grade;
    readonly qty: number;
    readonly price: Minor;
  }[];
  readonly value: Minor;
  /** Paid to reach the least order. */
  readonly filler: Minor;
  readonly postage: Minor;
  readonly days: number;
}

/** The parcels of a plan, dearest first. */
export function parcelsOf(
  plan: MakeUpPlan,
  market: MarketAnswer,
  gramsOf: (element: ElementKey) => number,
): Parcel[] {
  const names = new Map(market.sellers.map((s) => [s.id, s]));
  return [...new Set(plan.buys.map((b) => String(b.seller)))]
    .flatMap((id): Parcel[] => {
      const seller = names.get(id);
      if (!seller) return [];
      const lots = plan.buys
        .filter((b) => b.seller === id)
        .map((b) => {
          const { element, grade } = readOfferId(String(b.element));
          const offer = seller.offers.find((o) => o.element === element && o.grade === grade);
          return { element, grade, qty: b.qty, price: offer?.price ?? 0 };
        });
      const value = lots.reduce((s, l) => s + l.qty * l.price, 0);
      const grams = lots.reduce((s, l) => s + l.qty * gramsOf(l.element), 0);
      const postage = seller.postage.find((b) => grams <= b.maxGrams + 1e-9)?.pence ?? 0;
      const filler = Math.max(0, seller.minOrder - value);
      return [{ seller: id, name: seller.name, lots, value, filler, postage, days: seller.days }];
    })
    .sort((a, b) => b.value + b.postage - a.value - a.postage);
}

/**
 * Places a plan: an order for each parcel and each box, and the planned entries take their pieces from there. Filler for
 * a least order counts as postage. Pieces over (sold in multiples) wait at the order; a box waits there sealed, and is
 * a donor once it has come. One command, so it is one undo.
 */
export function placePlan(
  bench: Workbench,
  lots: readonly NeedLot[],
  plan: MakeUpPlan,
  market: MarketAnswer,
  gramsOf: (element: ElementKey) => number,
  today: string,
  source: Source,
): Command & { readonly orders: readonly OrderId[] } {
  const supplies: Supply[] = [];
  const diffs: Diff[] = [];
  const orders: { id: OrderId; parcel: Parcel }[] = parcelsOf(plan, market, gramsOf).map((parcel) => ({
    id: asId<OrderId>(source.newId()),
    parcel,
  }));
  for (const { id, parcel } of orders) {
    const order: Order = {
      id,
      build: bench.build,
      seller: parcel.name,
      postage: parcel.postage + parcel.filler,
      due: addDays(today, parcel.days),
      placedAt: source.now,
    };
    diffs.push(added('order', order));
    for (const l of parcel.lots) supplies.push({ account: orderAccount(id), ...l });
  }
  let no = bench.nextEntry(null).no;
  const boxOrders: OrderId[] = [];
  for (const d of plan.donors)
    for (let n = 0; n < d.copies; n++) {
      const box = market.boxes.find((b) => boxId(b) === d.id);
      if (!box) continue;
      const bought = buyBox(bench, box, no++, today, source);
      boxOrders.push(bought.order);
      diffs.push(bought.diff);
      supplies.push(...bought.supplies);
    }
  const { entries, ordered } = allot(bench, lots, plan, supplies);
  for (const { id, parcel } of orders) {
    const mods = new Map<ModificationId | null, Movement[]>();
    const put = (modification: ModificationId | null, m: Movement) =>
      mods.set(modification, [...(mods.get(modification) ?? []), m]);
    const at = orderAccount(id);
    const bought = (element: ElementKey, g: Grade, qty: number, price: Minor): Movement => ({
      element,
      grade: g,
      qty,
      from: OUTSIDE,
      to: at,
      worth: price,
    });
    for (const o of ordered.filter((x) => x.account === at))
      put(o.modification, bought(o.element, o.grade, o.qty, o.price));
    for (const s of supplies.filter((x) => x.account === at && x.qty > 0))
      put(null, bought(s.element, s.grade, s.qty, s.price));
    for (const [modification, movements] of mods)
      diffs.push(
        added('entry', {
          ...BLANK_ENTRY,
          id: asId<EntryId>(source.newId()),
          build: bench.build,
          modification,
          kind: 'order',
          no: no++,
          order: id,
          note: parcel.name,
          loggedAt: source.now,
          movements,
        }),
      );
  }
  for (const [old, next] of entries) diffs.push(changed('entry', old, next));
  const parcels = orders.length + boxOrders.length;
  return {
    label: `order ${parcels} ${parcels === 1 ? 'parcel' : 'parcels'}`,
    diff: joinDiffs(...diffs),
    orders: [...orders.map((o) => o.id), ...boxOrders],
  };
}

interface Ordered extends Omit<Supply, 'qty'> {
  readonly qty: number;
  readonly modification: ModificationId | null;
}

/** Gives supplies to the needs, and rewrites the planned entries to take them from where they will be. */
function allot(bench: Workbench, lots: readonly NeedLot[], plan: MakeUpPlan, supplies: readonly Supply[]) {
  const pieces = new Map<EntryId, Map<number, { take: Movement[]; qty: number }>>();
  const ordered: Ordered[] = [];
  const unmet = new Map(plan.unmet.map((u) => [u.lot, u.qty]));
  // Lots with one thing that serves them go first: a hidden one takes what is left.
  const ranked = [...lots].sort((a, b) => Number(a.hidden) - Number(b.hidden));
  for (const lot of ranked) {
    let lack = unmet.get(lotId(lot)) ?? 0;
    for (const s of [...lot.sources].reverse()) {
      const without = Math.min(lack, s.qty);
      lack -= without;
      let want = s.qty - without;
      const entry = bench.records.entry.get(s.entry);
      // What a stand-in stands for waits at its order: no plan takes it yet.
      const movement = s.movement === null ? undefined : entry?.movements[s.movement];
      if (!entry || !movement || s.movement === null) continue;
      for (const x of supplies) {
        if (want === 0) break;
        if (x.qty === 0 || !serves(x.element, lot)) continue;
        // Of another shape only whole places are filled.
        const per = s.per ?? 1;
        const n = Math.floor(Math.min(want, x.qty) / per) * per;
        if (n === 0) continue;
        x.qty -= n;
        want -= n;
        ordered.push({ ...x, qty: n, modification: entry.modification });
        const rows = pieces.get(entry.id) ?? new Map<number, { take: Movement[]; qty: number }>();
        const row = rows.get(s.movement) ?? { take: [], qty: 0 };
        row.take.push({
          ...movement,
          element: x.element,
          grade: x.grade,
          qty: n,
          from: x.account,
          worth: x.price,
        });
        row.qty += n / per;
        rows.set(s.movement, row);
        pieces.set(entry.id, rows);
      }
    }
  }
  const entries = [...pieces].flatMap(([id, rows]): [Entry, Entry][] => {
    const old = bench.records.entry.get(id);
    if (!old) return [];
    const movements = old.movements.flatMap((m, i) => {
      const row = rows.get(i);
      if (!row) return [m];
      const rest = m.qty - row.qty;
      return rest > 0 ? [...row.take, { ...m, qty: rest }] : row.take;
    });
    const first = [...rows.values()][0]?.take[0]?.from;
    const order = first?.startsWith('order:') ? asId<OrderId>(first.slice(6)) : old.order;
    return [[old, { ...old, movements, order }]];
  });
  return { entries, ordered };
}

/** Whether an element serves a lot: the same, or for a hidden lot the same shape. */
const serves = (element: ElementKey, lot: NeedLot): boolean =>
  element === lot.element || (lot.hidden && element.split('|')[0] === lot.element.split('|')[0]);

/** Buys a box: it waits sealed at an order of its own. */
function buyBox(
  bench: Workbench,
  box: MarketBox,
  no: number,
  today: string,
  source: Source,
): { order: OrderId; diff: Diff; supplies: Supply[] } {
  const order: Order = {
    id: asId<OrderId>(source.newId()),
    build: bench.build,
    seller: box.seller,
    postage: 0,
    due: addDays(today, box.days),
    placedAt: source.now,
  };
  const at = orderAccount(order.id);
  const copy: Copy = {
    id: asId<CopyId>(source.newId()),
    build: bench.build,
    setName: box.name,
    setCode: box.code,
    condition: box.condition,
    role: 'donor',
    price: box.price,
  };
  const g = boxGrade(box);
  const entry: Entry = {
    ...BLANK_ENTRY,
    id: asId<EntryId>(source.newId()),
    build: bench.build,
    kind: 'unpack',
    no,
    order: order.id,
    note: box.name,
    loggedAt: source.now,
    movements: box.lots.map((l) => ({
      element: l.element,
      grade: g,
      qty: l.qty,
      from: shippedAccount(copy.id),
      to: at,
      worth: bench.priceOf(l.element, g),
    })),
  };
  const supplies = box.lots.map((l) => ({
    account: at,
    element: l.element,
    grade: g,
    price: bench.priceOf(l.element, g) ?? 0,
    qty: l.qty,
  }));
  return {
    order: order.id,
    diff: joinDiffs(added('copy', copy), added('order', order), added('entry', entry)),
    supplies,
  };
}

/** "2026-11-24" and five days: "2026-11-29". */
export function addDays(day: string, days: number): string {
  const at = new Date(`${day.slice(0, 10)}T12:00:00Z`);
  at.setUTCDate(at.getUTCDate() + days);
  return at.toISOString().slice(0, 10);
}
