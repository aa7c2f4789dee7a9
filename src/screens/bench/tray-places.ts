import { count } from '@/ui/numbers';
import {
  conditionOf,
  donorAccount,
  modelAccount,
  placeOf,
  sparesAccount,
  stockAccount,
  zoneOf,
  type AccountKey,
  type Books,
  type SourceChoice,
} from '@/core/ledger';
import type { ElementKey } from '@/core/parts';
import type { CopyId, ZoneId } from '@/core/shared/ids';
import type { Workbench } from '@/core/workbench';
import type { TrayLot } from './tray-rows';

/** Where a part was taken up: what the line calls its source. */
export interface PickedFrom {
  readonly source: SourceChoice;
  readonly boxes: readonly CopyId[];
}

/** A place whose parts the tray shows: the model, or one that a build takes from. */
export interface TrayPlace {
  readonly id: string;
  readonly name: string;
  readonly accounts: readonly AccountKey[];
  /** Null = on the model. */
  readonly from: PickedFrom | null;
}

/** The places of a build in the order in which it takes from them, the model first. A box shows under its name. */
export function trayPlaces(workbench: Workbench, books: Books, zone: ZoneId | null): TrayPlace[] {
  const { trays } = workbench.draftContext();
  const boxes = workbench.boxes.map((b): TrayPlace => ({
    id: b.id,
    name: b.setName,
    accounts: [donorAccount(b.id)],
    from: { source: 'donor', boxes: [b.id] },
  }));
  return [
    { id: 'model', name: 'On the model', accounts: modelAccounts(books, zone), from: null },
    {
      id: 'spares',
      name: 'Spares',
      accounts: [sparesAccount(workbench.build)],
      from: { source: 'spares', boxes: [] },
    },
    ...boxes,
    {
      id: 'stock',
      name: 'Own parts',
      accounts: trays.map(stockAccount),
      from: { source: 'stock', boxes: [] },
    },
  ];
}

function modelAccounts(books: Books, zone: ZoneId | null): AccountKey[] {
  const accounts = zone ? [...books.nested(zone)].map(modelAccount) : books.balances.accountKeys('model');
  return accounts.filter((a) => placeOf(a) === 'model' && zoneOf(a));
}

/** How many pieces lie at some places, as `lotsAt` adds them up, without looking at their conditions. */
export function piecesAt(books: Books, accounts: readonly AccountKey[]): number {
  const sums = new Map<ElementKey, number>();
  for (const account of accounts)
    for (const [element, qty] of books.balances.elements(account))
      sums.set(element, (sums.get(element) ?? 0) + qty);
  let pieces = 0;
  for (const qty of sums.values()) pieces += Math.max(0, qty);
  return pieces;
}

/** What lies at some places, each element once, with how many pieces are of which condition, the most of them first. */
export function lotsAt(books: Books, accounts: readonly AccountKey[]): TrayLot[] {
  const sums = new Map<ElementKey, Map<string, number>>();
  for (const account of accounts)
    for (const [element] of books.balances.elements(account))
      for (const [grade, qty] of books.balances.grades(account, element)) {
        const of = sums.get(element) ?? new Map<string, number>();
        const condition = conditionOf(grade);
        of.set(condition, (of.get(condition) ?? 0) + qty);
        sums.set(element, of);
      }
  return [...sums].flatMap(([element, of]): TrayLot[] => {
    const conditions = [...of].filter(([, n]) => n !== 0).sort(([a, m], [b, n]) => n - m || (a < b ? -1 : 1));
    const qty = conditions.reduce((s, [, n]) => s + n, 0);
    // A plan may leave a place with less than nothing: that is needed, and no part that lies there.
    return qty <= 0 ? [] : [{ element, qty, conditions }];
  });
}

/** "used", or "6 new, 2 yellowed" where they differ. */
export const conditionWords = ({ conditions }: Pick<TrayLot, 'conditions'>): string =>
  conditions.length === 1
    ? (conditions[0]?.[0] ?? '')
    : conditions.map(([condition, n]) => `${count(n)} ${condition}`).join(', ');
