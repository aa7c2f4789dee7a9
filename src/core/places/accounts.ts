import type { BuildId, CopyId, OrderId, TrayId, ZoneId } from '../shared/ids';
import { asId } from '../shared/ids';
import { assert } from '../shared/assert';
import { LIMITS } from '../shared/bounds';

export const GONE_HOWS = ['missing', 'broken', 'binned', 'sold', 'lent'] as const;
export type GoneHow = (typeof GONE_HOWS)[number];

/** A place where pieces can be. */
export type Account =
  | { readonly at: 'shipped'; readonly copy: CopyId }
  | { readonly at: 'model'; readonly zone: ZoneId }
  | { readonly at: 'spares'; readonly build: BuildId }
  | { readonly at: 'stock'; readonly tray: TrayId }
  | { readonly at: 'donor'; readonly copy: CopyId }
  | { readonly at: 'order'; readonly order: OrderId }
  | { readonly at: 'outside' }
  /** Parts of one's own that nobody has counted; `from` names an old set, a friend, a find, or is empty. */
  | { readonly at: 'own'; readonly from: string }
  | { readonly at: 'gone'; readonly how: GoneHow };

export type Place = Account['at'];

/** An account as text: "model:zone-3", "outside". The key of every balance. */
export type AccountKey = string & { readonly __kind: 'account' };

export const accountKey = (a: Account): AccountKey => {
  const id = 'copy' in a ? a.copy : 'zone' in a ? a.zone : 'build' in a ? a.build : undefined;
  const named = 'how' in a ? a.how : 'from' in a ? a.from : '';
  const rest = id ?? ('tray' in a ? a.tray : 'order' in a ? a.order : named);
  return (rest ? `${a.at}:${rest}` : a.at) as AccountKey;
};

export const modelAccount = (zone: ZoneId): AccountKey => accountKey({ at: 'model', zone });
export const sparesAccount = (build: BuildId): AccountKey => accountKey({ at: 'spares', build });
export const stockAccount = (tray: TrayId): AccountKey => accountKey({ at: 'stock', tray });
export const shippedAccount = (copy: CopyId): AccountKey => accountKey({ at: 'shipped', copy });
export const donorAccount = (copy: CopyId): AccountKey => accountKey({ at: 'donor', copy });
export const orderAccount = (order: OrderId): AccountKey => accountKey({ at: 'order', order });
export const goneAccount = (how: GoneHow): AccountKey => accountKey({ at: 'gone', how });
export const OUTSIDE: AccountKey = accountKey({ at: 'outside' });
/** Own parts that are not counted, or with a name what they came out of: ownAccount('night tram, 1998'). */
export const ownAccount = (from = ''): AccountKey => accountKey({ at: 'own', from });

const PLACES: readonly string[] = [
  'shipped',
  'model',
  'spares',
  'stock',
  'donor',
  'order',
  'outside',
  'own',
  'gone',
] satisfies Place[];

const places = new Map<AccountKey, Place>();

/** The kind of place of an account. Remembered, since every movement asks for it twice. */
export function placeOf(key: AccountKey): Place {
  const known = places.get(key);
  if (known) return known;
  const place = readPlace(key);
  if (places.size > 100_000) places.clear();
  places.set(key, place);
  return place;
}

function readPlace(key: AccountKey): Place {
  const cut = key.indexOf(':');
  const place = cut < 0 ? key : key.slice(0, cut);
  assert(PLACES.includes(place), 'an account begins with its place', key);
  return place as Place;
}

/** What stands behind the colon: a zone's, tray's, build's, copy's or order's id, or how it went. */
export const accountOwner = <T extends string>(key: AccountKey): T => key.slice(key.indexOf(':') + 1) as T;

/** Places that never run out, and so hold no balance: the box as it was shipped, what can be bought, what nobody counted. */
const ENDLESS: ReadonlySet<Place> = new Set<Place>(['shipped', 'outside', 'own']);

/** True of a place that never runs out. */
export const isEndless = (key: AccountKey): boolean => ENDLESS.has(placeOf(key));

/** True of a place where pieces lie that can be counted and taken: not endless, and not gone. */
export const holdsPieces = (key: AccountKey): boolean => !isEndless(key) && placeOf(key) !== 'gone';

/** What own parts came out of, where that was said: sourceName('own:found') = 'found'. */
export const sourceName = (key: AccountKey): string =>
  placeOf(key) === 'own' && key.includes(':') ? accountOwner(key) : '';

export const zoneOf = (key: AccountKey): ZoneId | undefined =>
  placeOf(key) === 'model' ? asId<ZoneId>(accountOwner(key)) : undefined;

/** True for text that could be an account: used at the door. */
export const isAccountKey = (text: string): text is AccountKey => {
  const [place = '', owner] = text.split(/:(.*)/s);
  if (place === 'outside') return text === 'outside';
  if (place === 'own')
    return (
      text === 'own' || (owner !== undefined && owner.trim() !== '' && owner.length <= LIMITS.sourceName)
    );
  if (place === 'gone') return (GONE_HOWS as readonly string[]).includes(owner ?? '');
  return PLACES.includes(place) && !!owner;
};
