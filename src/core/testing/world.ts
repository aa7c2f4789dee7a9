import { PALETTE } from '../colour';
import { elementKey, readPartName, type ElementKey } from '../parts';
import {
  Books,
  BLANK_ENTRY,
  BLANK_INTENT,
  BLANK_ORDER,
  CONDITIONS,
  donorAccount,
  draftEntry,
  grade,
  LOGGED_KINDS,
  modelAccount,
  NOTHING_KEPT,
  OUTSIDE,
  orderAccount,
  priceLookup,
  shippedAccount,
  sparesAccount,
  stockAccount,
  WHYS,
  type BooksContext,
  type Copy,
  type DraftContext,
  type Entry,
  type EntryKind,
  type Intent,
  type Modification,
  type Movement,
  type Order,
  type Price,
  type View,
  type Zone,
} from '../ledger';
import {
  asId,
  type BuildId,
  type ColourId,
  type CopyId,
  type EntryId,
  type ModificationId,
  type OrderId,
  type PhaseId,
  type TrayId,
  type ZoneId,
} from '../shared/ids';
import { between, pick, seededRandom, type Random } from '../shared/random';

/** An element by its typed name, for tests: el("plate 2x3", "chalk"). */
export const el = (part: string, colour: string, print = ''): ElementKey =>
  elementKey(readPartName(part).part.id, asId<ColourId>(colour), print);

const PARTS = [
  'plate 2x3',
  'brick 1x2',
  'slope 45 2x1',
  'window 1x2x2',
  'tile 2x2',
  'round brick 1x1',
  'arch 1x4',
];
const COLOURS = ['chalk', 'ash', 'slate', 'bark', 'amber'];
export const ELEMENTS: readonly ElementKey[] = PARTS.flatMap((p) => COLOURS.map((c) => el(p, c)));

export const BUILD = asId<BuildId>('b1');
export const COPY = asId<CopyId>('c1');
export const DONOR = asId<CopyId>('c2');
export const ORDER = asId<OrderId>('o1');
export const TRAYS = [asId<TrayId>('t1'), asId<TrayId>('t2')];
export const ZONES: readonly Zone[] = ['Whole model', 'Porch', 'Lamp room', 'Gallery'].map((name, i) => ({
  id: asId<ZoneId>(`z${i}`),
  build: BUILD,
  parent: i === 0 ? null : asId<ZoneId>(i === 3 ? 'z2' : 'z0'),
  name,
  position: i,
}));
export const MODIFICATIONS: readonly Modification[] = [1, 2, 3, 4].map((no) => ({
  id: asId<ModificationId>(`m${no}`),
  build: BUILD,
  no,
  title: `Modification ${no}`,
  zone: ZONES[no - 1]?.id ?? asId<ZoneId>('z0'),
  phase: no > 2 ? asId<PhaseId>('p1') : null,
  why: '',
  note: '',
  position: no,
  purpose: null,
}));
export const COPIES = new Map<string, Copy>(
  [COPY, DONOR].map((id) => [
    id,
    {
      id,
      build: BUILD,
      setName: 'Test house',
      setCode: 'T1',
      condition: 'second-hand',
      role: id === DONOR ? 'donor' : 'base',
      price: id === DONOR ? 1999 : 4500,
    },
  ]),
);
export const ORDERS = new Map<string, Order>([
  [
    ORDER,
    { id: ORDER, build: BUILD, ...BLANK_ORDER, seller: 'Someone', postage: 345, placedAt: '2026-01-01' },
  ],
]);
export const PRICES: readonly Price[] = ELEMENTS.slice(0, 30).map((element, i) => ({
  id: element,
  element,
  newPrice: 5 + i,
  usedPrice: i % 3 === 0 ? null : 3 + i,
}));
export const priceOf = priceLookup(PRICES);
export const CONTEXT: BooksContext = {
  build: BUILD,
  zones: ZONES,
  modifications: MODIFICATIONS,
  copies: COPIES,
  orders: ORDERS,
  surroundings: [],
};

export function entry(
  id: string,
  kind: EntryKind,
  movements: readonly Movement[],
  more: Partial<Entry> = {},
): Entry {
  const loggedAt = '2026-01-01T00:00:00Z';
  return { ...BLANK_ENTRY, id: asId<EntryId>(id), build: BUILD, kind, loggedAt, movements, ...more };
}

/** A build with a copy unpacked, own parts, a donor and an order, ready to be worked on. */
export function opening(random: Random): Entry[] {
  const some = (from: Movement['from'], to: Movement['to'], count: number, most: number): Movement[] =>
    ELEMENTS.filter(() => random() < count / ELEMENTS.length).map((element) => {
      const g = grade(pick(random, ['new', 'used', 'used', 'faded'] as const));
      return { element, grade: g, qty: between(random, 1, most), from, to, worth: priceOf(element, g) };
    });
  const zoned = some(shippedAccount(COPY), modelAccount(asId('z0')), 30, 30).map((m) => ({
    ...m,
    to: modelAccount(pick(random, ZONES).id),
  }));
  const all = [
    entry('e-unpack', 'unpack', [...zoned, ...some(shippedAccount(COPY), sparesAccount(BUILD), 3, 2)]),
    entry('e-donor', 'unpack', some(shippedAccount(DONOR), donorAccount(DONOR), 20, 12)),
    entry('e-stock', 'add-stock', some(OUTSIDE, stockAccount(pick(random, TRAYS)), 20, 20), { build: null }),
    entry('e-order', 'order', some(OUTSIDE, orderAccount(ORDER), 10, 10), {
      order: ORDER,
      modification: asId<ModificationId>('m2'),
    }),
  ];
  return all.filter((e) => e.movements.length > 0);
}

/** Any intent that the log line can say. */
export function randomIntent(random: Random): Intent {
  const kind = pick(random, LOGGED_KINDS);
  const qty = between(random, 1, 9);
  const [a, b] = [pick(random, ELEMENTS), pick(random, ELEMENTS)];
  const maybe = <T>(value: T, chance = 0.25): T | null => (random() < chance ? value : null);
  const joins = !['remove', 'move', 'missing'].includes(kind);
  const leaves = !['add', 'replace-missing', 'placeholder'].includes(kind);
  const off = leaves ? [{ element: a, qty }] : [];
  const onElement = kind === 'renew' || !leaves ? a : b;
  const on = joins ? [{ element: onElement, qty: kind === 'swap' ? between(random, 1, 9) : qty }] : [];
  return {
    ...BLANK_INTENT,
    kind,
    off,
    on,
    zone: maybe(pick(random, ZONES).id, kind === 'move' ? 0.6 : 0.25),
    toZone: kind === 'move' ? pick(random, ZONES).id : null,
    source: joins
      ? maybe(pick(random, ['spares', 'stock', 'donor', 'order', 'outside', 'own'] as const))
      : null,
    destination:
      leaves && kind !== 'move' && kind !== 'missing'
        ? maybe(pick(random, ['spares', 'stock', 'bin'] as const))
        : null,
    condition: joins ? maybe(pick(random, CONDITIONS), 0.1) : null,
    price: joins ? maybe(between(random, 0, 250), 0.1) : null,
    why: maybe(pick(random, WHYS)),
    note: maybe(pick(random, ['why not', 'a "quoted" one', 'slash \\ and, comma; > : @', 'ünï 🧱'])) ?? '',
    hidden: random() < 0.1,
    planned: random() < 0.3,
    standsFor: kind === 'placeholder' ? b : kind === 'replacement' ? onElement : null,
    assembly: null,
  };
}

export const BUILT: View = { kind: 'built' };
export const PLANNED: View = { kind: 'planned' };

export function draftContext(built: Books, planned: Books): DraftContext {
  return {
    built,
    planned,
    rootZone: asId<ZoneId>('z0'),
    trays: TRAYS,
    donors: [DONOR],
    boxesOnly: false,
    elsewhere: 'own',
    orders: [ORDER],
    priceOf,
    kept: NOTHING_KEPT,
    whatIf: null,
  };
}

/** A log of up to `length` random entries that the ledger accepted, on top of an opening. */
export function randomLog(seed: number, length: number): { entries: Entry[]; built: Books; planned: Books } {
  const random = seededRandom(seed);
  const entries = opening(random);
  const built = new Books(CONTEXT, entries, BUILT);
  const planned = new Books(CONTEXT, entries, PLANNED);
  const context = draftContext(built, planned);
  for (let n = 1; n <= length; n++) {
    const modification = pick(random, MODIFICATIONS);
    const stamp = { id: asId<EntryId>(`e${n}`), no: n, position: n, loggedAt: '', modification };
    const drafted = draftEntry(randomIntent(random), stamp, context);
    if (!drafted.ok) continue;
    entries.push(drafted.value);
    planned.post(drafted.value);
    if (drafted.value.state === 'done') built.post(drafted.value);
  }
  return { entries, built, planned };
}

export const palette = PALETTE;
