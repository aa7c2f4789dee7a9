import type { Command, Source } from '../ledger';
import type { Workbench } from '../workbench';
import { added, BLANK_ENTRY, changed, joinDiffs, type Diff } from '../ledger';
import { orderAccount, OUTSIDE, type AccountKey, type Grade } from '../places';
import { BLANK_ORDER, type Entry, type Movement } from '../records';
import type { BuyingPlan } from '../sourcing';
import type { ElementKey } from '../parts';
import { asId, type EntryId, type ModificationId, type OrderId } from '../shared/ids';
import { splitByLargestRemainder, type Minor } from '../shared/money';
import { buyBox } from './buy-box';
import type { MarketAnswer } from '../market';
import type { NeedLot } from '../need';
import { addDays, parcelsOf, type Parcel } from '../market';
import { boxId, lotId } from '../market';

/** Pieces of one parcel or box, still to be given to those who need them. */
interface Supply {
  readonly element: ElementKey;
  readonly grade: Grade;
  readonly price: Minor;
  qty: number;
  /** The parcel they come in; null = a box. */
  readonly parcel: Parcel | null;
  /** Where they wait for a build: each has an order of its own in a parcel that several share. */
  readonly at: (workbench: Workbench) => AccountKey;
}

/** Pieces of a parcel that a build has need of, by the modification that has it. */
interface Share {
  readonly supply: Supply;
  readonly workbench: Workbench;
  readonly modification: ModificationId | null;
  readonly qty: number;
}

/**
 * Places a plan: an order for each parcel and each box, and the planned entries take their pieces from there. Filler for
 * a least order counts as postage. Pieces over (sold in multiples) wait at the order; a box waits there sealed, and is
 * a donor once it has come. One command, so it is one undo.
 */
export function placePlan(
  workbench: Workbench,
  lots: readonly NeedLot[],
  plan: BuyingPlan,
  market: MarketAnswer,
  today: string,
  source: Source,
): Command & { readonly orders: readonly OrderId[] } {
  return placeTogether([workbench], lots, plan, market, today, source);
}

/**
 * Places a plan that was made for several builds together: in each parcel every build has an order of its own, with its
 * share of the postage by what its pieces cost; what nobody needs of it is the first one's. Boxes are the first build's,
 * so a plan for several has none. Orders of one parcel have seller and moment in common.
 */
export function placeTogether(
  workbenches: readonly Workbench[],
  lots: readonly NeedLot[],
  plan: BuyingPlan,
  market: MarketAnswer,
  today: string,
  source: Source,
): Command & { readonly orders: readonly OrderId[] } {
  const [first] = workbenches;
  if (!first) return { label: 'order nothing', diff: joinDiffs(), orders: [] };
  const numbers = new Map(workbenches.map((b) => [b, b.nextEntry(null).no]));
  const nextNo = (workbench: Workbench): number => {
    const no = numbers.get(workbench) ?? 0;
    numbers.set(workbench, no + 1);
    return no;
  };
  const diffs: Diff[] = [];
  const orders: OrderId[] = [];
  const parcels = parcelsOf(plan, market);
  const idOf = orderIds(source);
  const supplies = parcels.flatMap((parcel) =>
    parcel.lots.map((l): Supply => ({
      ...l,
      parcel,
      at: (workbench) => orderAccount(idOf(parcel, workbench)),
    })),
  );
  let boxes = 0;
  for (const d of plan.donors)
    for (let n = 0; n < d.copies; n++) {
      const box = market.boxes.find((b) => boxId(b) === d.id);
      if (!box) continue;
      const bought = buyBox(first, box, nextNo(first), today, source);
      boxes++;
      orders.push(bought.order);
      diffs.push(bought.diff);
      supplies.push(...bought.lots.map((l): Supply => ({ ...l, parcel: null, at: () => l.account })));
    }
  const { entries, shares } = allot(workbenches, lots, plan, supplies);
  for (const parcel of parcels) {
    const mine = shares.filter((s) => s.supply.parcel === parcel);
    const takers = workbenches.filter((b) => mine.some((s) => s.workbench === b));
    const over = supplies
      .filter((s) => s.parcel === parcel && s.qty > 0)
      .map((supply): Share => ({
        supply,
        workbench: takers[0] ?? first,
        modification: null,
        qty: supply.qty,
      }));
    const all = [...mine, ...over];
    const owners = takers.length > 0 ? takers : [first];
    const worth = (b: Workbench) =>
      all.reduce((s, x) => s + (x.workbench === b ? x.qty * x.supply.price : 0), 0);
    const postage = splitByLargestRemainder(parcel.postage + parcel.filler, owners.map(worth));
    owners.forEach((workbench, i) => {
      const id = idOf(parcel, workbench);
      orders.push(id);
      diffs.push(
        added('order', {
          id,
          build: workbench.build,
          seller: parcel.name,
          ...BLANK_ORDER,
          simulated: !market.sellers.find((s) => s.id === parcel.seller)?.own,
          postage: postage[i] ?? 0,
          due: addDays(today, parcel.days),
          placedAt: source.now,
        }),
      );
      for (const [modification, movements] of byModification(all.filter((x) => x.workbench === workbench)))
        diffs.push(
          added('entry', {
            ...BLANK_ENTRY,
            id: asId<EntryId>(source.newId()),
            build: workbench.build,
            modification,
            kind: 'order',
            no: nextNo(workbench),
            order: id,
            note: parcel.name,
            loggedAt: source.now,
            movements,
          }),
        );
    });
  }
  for (const [old, next] of entries) diffs.push(changed('entry', old, next));
  const come = parcels.length + boxes;
  return {
    label: `order ${come} ${come === 1 ? 'parcel' : 'parcels'}`,
    diff: joinDiffs(...diffs),
    orders,
  };
}

/** The id of each build's order in each parcel, the same whenever it is asked for. */
function orderIds(source: Source): (parcel: Parcel, workbench: Workbench) => OrderId {
  const ids = new Map<Parcel, Map<Workbench, OrderId>>();
  return (parcel, workbench) => {
    const ofParcel = ids.get(parcel) ?? new Map<Workbench, OrderId>();
    ids.set(parcel, ofParcel);
    const id = ofParcel.get(workbench) ?? asId<OrderId>(source.newId());
    ofParcel.set(workbench, id);
    return id;
  };
}

/** What is bought for each modification, as movements from outside to where it waits. */
function byModification(shares: readonly Share[]): Map<ModificationId | null, Movement[]> {
  const found = new Map<ModificationId | null, Movement[]>();
  for (const { supply, workbench, modification, qty } of shares) {
    const { element, grade, price } = supply;
    const bought: Movement = { element, grade, qty, from: OUTSIDE, to: supply.at(workbench), worth: price };
    found.set(modification, [...(found.get(modification) ?? []), bought]);
  }
  return found;
}

/** Gives supplies to the needs, and rewrites the planned entries to take them from where they will be. */
function allot(
  workbenches: readonly Workbench[],
  lots: readonly NeedLot[],
  plan: BuyingPlan,
  supplies: readonly Supply[],
): { entries: [Entry, Entry][]; shares: Share[] } {
  const rewritten = new Map<Entry, Map<number, { take: Movement[]; qty: number }>>();
  const shares: Share[] = [];
  const unmet = new Map(plan.unmet.map((u) => [u.lot, u.qty]));
  // Lots with one thing that serves them go first: a hidden one takes what is left.
  const ranked = [...lots].sort((a, b) => Number(a.hidden) - Number(b.hidden));
  for (const lot of ranked) {
    let lack = unmet.get(lotId(lot)) ?? 0;
    for (const s of [...lot.sources].reverse()) {
      const without = Math.min(lack, s.qty);
      lack -= without;
      let want = s.qty - without;
      const workbench = workbenches.find((b) => b.records.entry.has(s.entry));
      const entry = workbench?.records.entry.get(s.entry);
      if (!workbench || !entry) continue;
      // What a placeholder stands for waits at its build's order: no plan takes it yet.
      const movement = s.movement === null ? null : entry.movements[s.movement];
      if (movement === undefined) continue;
      for (const supply of supplies) {
        if (want === 0) break;
        if (supply.qty === 0 || !serves(supply.element, lot)) continue;
        // Of another shape only whole places are filled.
        const per = s.per ?? 1;
        const n = Math.floor(Math.min(want, supply.qty) / per) * per;
        if (n === 0) continue;
        supply.qty -= n;
        want -= n;
        shares.push({ supply, workbench, modification: movement && entry.modification, qty: n });
        if (!movement || s.movement === null) continue;
        const rows = rewritten.get(entry) ?? new Map<number, { take: Movement[]; qty: number }>();
        const row = rows.get(s.movement) ?? { take: [], qty: 0 };
        const { element, grade, price } = supply;
        row.take.push({ ...movement, element, grade, qty: n, from: supply.at(workbench), worth: price });
        row.qty += n / per;
        rows.set(s.movement, row);
        rewritten.set(entry, rows);
      }
    }
  }
  const entries = [...rewritten].map(([old, rows]): [Entry, Entry] => {
    const movements = old.movements.flatMap((m, i) => {
      const row = rows.get(i);
      if (!row) return [m];
      const rest = m.qty - row.qty;
      return rest > 0 ? [...row.take, { ...m, qty: rest }] : row.take;
    });
    const from = [...rows.values()][0]?.take[0]?.from;
    const order = from?.startsWith('order:') ? asId<OrderId>(from.slice(6)) : old.order;
    return [old, { ...old, movements, order }];
  });
  return { entries, shares };
}

/** Whether an element serves a lot: the same, or for a hidden lot the same shape. */
const serves = (element: ElementKey, lot: NeedLot): boolean =>
  element === lot.element || (lot.hidden && element.split('|')[0] === lot.element.split('|')[0]);
