import {
  accountOwner,
  placeOf,
  sourceName,
  type AccountKey,
  type Place,
  type RecordSet,
} from '@/core/ledger';

/** Names of places, looked up in the records at hand. */
export function placeName(
  account: AccountKey,
  records: Pick<RecordSet, 'zone' | 'tray' | 'order' | 'copy' | 'build'>,
): string {
  const owner = accountOwner<string>(account);
  switch (placeOf(account)) {
    case 'model':
      return records.zone.get(owner)?.name ?? 'the model';
    case 'spares':
      return 'spares';
    case 'stock':
      return `tray ${records.tray.get(owner)?.name ?? 'not known'}`;
    case 'donor':
      return `donor ${records.copy.get(owner)?.setName ?? ''}`.trim();
    case 'order':
      return `order from ${records.order.get(owner)?.seller ?? 'a seller'}`;
    case 'shipped':
      return 'the box';
    case 'outside':
      return 'outside';
    case 'own':
      return sourceName(account) || 'own parts, uncounted';
    case 'gone':
      return owner;
  }
}

/** "12 in House front, 4 in tray C4" */
export const list = (parts: readonly string[]): string =>
  parts.length < 2 ? parts.join('') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`;

/** Where pieces came from that were put onto a model. */
export const ORIGIN_WORDS: Readonly<Record<Place, string>> = {
  shipped: 'its own boxes',
  spares: 'its spares',
  stock: 'own parts in trays',
  donor: 'boxes broken up for it',
  order: 'parcels',
  outside: 'bought',
  own: 'own parts, uncounted',
  gone: 'what was gone',
  model: 'the model',
};
