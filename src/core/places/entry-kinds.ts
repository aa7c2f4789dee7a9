import type { Place } from './accounts';

export const WHYS = ['mismatch', 'faded', 'gap', 'weak', 'missing', 'style', 'fit'] as const;
export type Why = (typeof WHYS)[number];

/** Kinds that a person logs on a build, each with its own mark. */
export const LOGGED_KINDS = [
  'remove',
  'add',
  'recolour',
  'swap',
  'renew',
  'move',
  'placeholder',
  'replacement',
  'missing',
  'replace-missing',
] as const;
export type LoggedKind = (typeof LOGGED_KINDS)[number];

/** Kinds that bring pieces to the bench or put them away. */
export const STOCK_KINDS = ['unpack', 'add-stock', 'order', 'transfer', 'regrade'] as const;
/** What is done to pieces that stay where they are. */
export const STAYING_KINDS = ['sticker'] as const;
export type EntryKind = LoggedKind | (typeof STOCK_KINDS)[number] | (typeof STAYING_KINDS)[number];

export const ENTRY_KIND_NAMES: readonly EntryKind[] = [...LOGGED_KINDS, ...STOCK_KINDS, ...STAYING_KINDS];

/** Which figures a piece leaving or joining the model counts in; undefined = in none. */
export interface KindRule {
  readonly label: string;
  /** Places a movement of this kind may go from and to. */
  readonly routes: readonly (readonly [from: Place, to: Place])[];
  readonly leaves?: 'out' | 'missing';
  readonly joins?: 'in' | 'recoloured' | 'renewed' | 'replaced' | 'missingReplaced' | 'shipped';
  /** True when as many pieces must join as leave. */
  readonly even: boolean;
  /** True when the same pieces come back in another grade: it counts nowhere, and each element must come back whole. */
  readonly regrades?: boolean;
  /** True when its pieces stay in their place: only the money it cost counts. */
  readonly stays?: boolean;
}

const OFF: KindRule['routes'] = [
  ['model', 'spares'],
  ['model', 'stock'],
  ['model', 'gone'],
  ['model', 'own'],
  // A build that is taken apart goes back into its box.
  ['model', 'donor'],
];
const ON: KindRule['routes'] = [
  ['spares', 'model'],
  ['stock', 'model'],
  ['donor', 'model'],
  ['order', 'model'],
  ['outside', 'model'],
  ['own', 'model'],
];

/** The rule of each kind of entry: what it may move and what it counts as. Change a rule here and nowhere else. */
export const ENTRY_KINDS: Readonly<Record<EntryKind, KindRule>> = {
  remove: { label: 'removed', routes: OFF, leaves: 'out', even: false },
  add: { label: 'added', routes: ON, joins: 'in', even: false },
  recolour: { label: 'recoloured', routes: [...OFF, ...ON], joins: 'recoloured', even: true },
  swap: { label: 'swapped', routes: [...OFF, ...ON], leaves: 'out', joins: 'in', even: false },
  renew: { label: 'renewed', routes: [...OFF, ...ON], joins: 'renewed', even: true },
  move: { label: 'moved', routes: [['model', 'model']], even: false },
  placeholder: { label: 'placeholder', routes: ON, joins: 'in', even: false },
  replacement: { label: 'placeholder replaced', routes: [...OFF, ...ON], joins: 'replaced', even: true },
  missing: { label: 'missing', routes: [['model', 'gone']], leaves: 'missing', even: false },
  'replace-missing': { label: 'replaced', routes: ON, joins: 'missingReplaced', even: false },
  unpack: {
    label: 'unpacked',
    routes: [
      ['shipped', 'model'],
      ['shipped', 'spares'],
      ['shipped', 'donor'],
      // A box that was bought waits sealed at its order.
      ['shipped', 'order'],
    ],
    joins: 'shipped',
    even: false,
  },
  'add-stock': { label: 'put in own parts', routes: [['outside', 'stock']], even: false },
  order: { label: 'ordered', routes: [['outside', 'order']], even: false },
  transfer: {
    label: 'put away',
    routes: [
      ['spares', 'stock'],
      ['stock', 'spares'],
      ['stock', 'stock'],
      ['order', 'stock'],
      ['order', 'spares'],
      ['order', 'donor'],
      ['donor', 'stock'],
      ['donor', 'spares'],
      ['spares', 'own'],
      ['donor', 'own'],
      ['spares', 'gone'],
      ['stock', 'gone'],
      ['order', 'gone'],
      ['donor', 'gone'],
      // What was lent comes back.
      ['gone', 'stock'],
    ],
    even: false,
  },
  regrade: {
    label: 'condition noted',
    routes: (['model', 'spares', 'stock'] as const).flatMap((at) => [
      [at, 'outside'] as const,
      ['outside', at] as const,
    ]),
    even: true,
    regrades: true,
  },
  sticker: { label: 'sticker', routes: [['model', 'model']], even: false, stays: true },
};

/** True when a movement of this kind may go from the one kind of place to the other. */
export const routeAllowed = (kind: EntryKind, from: Place, to: Place): boolean =>
  ENTRY_KINDS[kind].routes.some(([f, t]) => f === from && t === to);
