import type { Command, Source } from '../ledger';
import {
  added,
  BLANK_ENTRY,
  changed,
  goneAccount,
  joinDiffs,
  OUTSIDE,
  removed,
  stockAccount,
  type AccountKey,
  type Entry,
  type GoneHow,
  type Grade,
  type Movement,
  type Tray,
} from '../ledger';
import type { ElementKey } from '../parts';
import { asId, type EntryId, type TrayId } from '../shared/ids';
import type { Minor } from '../shared/money';

/** Pieces of one element and grade at one place. */
export interface StockLot {
  readonly account: AccountKey;
  readonly element: ElementKey;
  readonly grade: Grade;
  readonly qty: number;
}

const many = (lots: readonly StockLot[]): string => {
  const n = lots.reduce((s, l) => s + l.qty, 0);
  return `${n} ${n === 1 ? 'piece' : 'pieces'}`;
};

function entryOf(kind: Entry['kind'], movements: readonly Movement[], note: string, source: Source): Entry {
  return {
    ...BLANK_ENTRY,
    id: asId<EntryId>(source.newId()),
    build: null,
    kind,
    note,
    loggedAt: source.now,
    movements,
  };
}

/**
 * Plans that take pieces from where they no longer are, taking them from where they went. `moved` says how many pieces of
 * a lot went; plans follow in the order given until those are used up.
 */
function follow(plans: readonly Entry[], moved: readonly StockLot[], to: AccountKey) {
  const key = (a: string, e: string, g: string) => `${a}|${e}|${g}`;
  const left = new Map(moved.map((l) => [key(l.account, l.element, l.grade), l.qty]));
  return plans.flatMap((plan) => {
    let touched = false;
    const movements = plan.movements.flatMap((m): Movement[] => {
      const k = key(m.from, m.element, m.grade);
      const n = Math.min(m.qty, left.get(k) ?? 0);
      if (n === 0) return [m];
      touched = true;
      left.set(k, (left.get(k) ?? 0) - n);
      const gone = { ...m, qty: n, from: to };
      return n < m.qty ? [gone, { ...m, qty: m.qty - n }] : [gone];
    });
    return touched ? [changed('entry', plan, { movements })] : [];
  });
}

/** Moves lots to a tray. Plans that take them follow, so that nobody's need grows by tidying. */
export function moveStock(
  lots: readonly StockLot[],
  tray: Tray,
  plans: readonly Entry[],
  source: Source,
): Command {
  const to = stockAccount(tray.id);
  const going = lots.filter((l) => l.account !== to && l.qty > 0);
  const movements = going.map((l): Movement => ({
    element: l.element,
    grade: l.grade,
    qty: l.qty,
    from: l.account,
    to,
    worth: null,
  }));
  return {
    label: `move ${many(going)} to ${tray.name}`,
    diff:
      movements.length === 0
        ? joinDiffs()
        : joinDiffs(added('entry', entryOf('transfer', movements, '', source)), ...follow(plans, going, to)),
  };
}

/** Puts all of one tray into another and does away with the first. */
export function mergeTrays(
  from: Tray,
  into: Tray,
  rows: readonly StockLot[],
  plans: readonly Entry[],
  source: Source,
): Command {
  const [at, to] = [stockAccount(from.id), stockAccount(into.id)];
  // Whatever is planned there is planned at the other tray, what it never held too: that is needed from there then.
  const turned = (m: Movement): Movement => ({
    ...m,
    from: m.from === at ? to : m.from,
    to: m.to === at ? to : m.to,
  });
  const touched = plans.filter((p) => p.movements.some((m) => m.from === at || m.to === at));
  const moved = moveStock(
    rows.filter((r) => r.account === at),
    into,
    [],
    source,
  );
  return {
    label: `merge ${from.name} into ${into.name}`,
    diff: joinDiffs(
      moved.diff,
      ...touched.map((p) => changed('entry', p, { movements: p.movements.map(turned) })),
      removed('tray', from),
    ),
  };
}

/** Counts pieces in that come from nowhere in the books, at what was paid for each, or null where it is not known. */
export function addStock(
  lot: {
    readonly element: ElementKey;
    readonly grade: Grade;
    readonly qty: number;
    readonly worth: Minor | null;
  },
  tray: TrayId,
  source: Source,
): Command {
  const movement = { ...lot, from: OUTSIDE, to: stockAccount(tray) };
  return {
    label: `add ${lot.qty} to own parts`,
    diff: added('entry', entryOf('add-stock', [movement], 'counted in', source)),
  };
}

const WENT: Readonly<Record<GoneHow, string>> = {
  lent: 'lend',
  sold: 'sell',
  binned: 'bin',
  missing: 'write off',
  broken: 'write off as broken',
};

/**
 * Takes lots out of own parts: lent, sold, binned, missing or broken. `note` says to whom or why; `each` is what was got for a
 * piece when it was sold.
 */
export function takeFrom(
  lots: readonly StockLot[],
  how: GoneHow,
  note: string,
  each: Minor | null,
  source: Source,
): Command {
  const movements = lots
    .filter((l) => l.qty > 0)
    .map((l): Movement => ({
      element: l.element,
      grade: l.grade,
      qty: l.qty,
      from: l.account,
      to: goneAccount(how),
      worth: how === 'sold' ? each : null,
    }));
  return {
    label: `${WENT[how]} ${many(lots)}${note ? `: ${note}` : ''}`,
    diff: movements.length === 0 ? joinDiffs() : added('entry', entryOf('transfer', movements, note, source)),
  };
}

/** What was lent comes back to a tray: as many of a loan's pieces as `came`, the first of its lots first. */
export function giveBack(loan: Entry, came: number, tray: Tray, source: Source): Command {
  let left = came;
  const lent = loan.movements.filter((m) => m.to === goneAccount('lent'));
  const movements = lent.flatMap((m): Movement[] => {
    const n = Math.min(left, m.qty);
    left -= n;
    return n > 0 ? [{ ...m, qty: n, from: goneAccount('lent'), to: stockAccount(tray.id) }] : [];
  });
  return {
    label: `have back ${came} lent${loan.note ? ` to ${loan.note}` : ''}`,
    diff: added('entry', { ...entryOf('transfer', movements, loan.note, source), loan: loan.id }),
  };
}

/** Loans of which some is still out, each with the movements that are: `entries` lent pieces or had them back. */
export function openLoans(entries: readonly Entry[]): Entry[] {
  const lent = goneAccount('lent');
  const back = new Map<string, number>();
  const key = (loan: string, m: Movement) => `${loan}|${m.element}|${m.grade}`;
  for (const e of entries)
    for (const m of e.movements)
      if (m.from === lent && e.loan) back.set(key(e.loan, m), (back.get(key(e.loan, m)) ?? 0) + m.qty);
  return entries.flatMap((e) => {
    const movements = e.movements.flatMap((m): Movement[] => {
      if (m.to !== lent) return [];
      const n = Math.min(m.qty, back.get(key(e.id, m)) ?? 0);
      back.set(key(e.id, m), (back.get(key(e.id, m)) ?? 0) - n);
      return n < m.qty ? [{ ...m, qty: m.qty - n }] : [];
    });
    return movements.length > 0 ? [{ ...e, movements }] : [];
  });
}
