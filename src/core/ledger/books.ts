import type { BuildId, EntryId, ModificationId, PhaseId, ZoneId } from '../shared/ids';
import { Balances, type BalanceRow } from './balances';
import { zoneOf } from '../places';
import { countEntry, noFigures, type Figure, type Figures } from './figures';
import type { Copy, Entry, Modification, Order, Zone } from '../records';
import { sharedCosts, sharedUnknowns, takesShare } from './shared-costs';
import { inView, type View } from './views';

/** What the books need to know besides the entries. */
export interface BooksContext {
  readonly build: BuildId;
  readonly zones: readonly Zone[];
  readonly modifications: readonly Modification[];
  readonly copies: ReadonlyMap<string, Copy>;
  readonly orders: ReadonlyMap<string, Order>;
  /** Balances that the entries of other builds and of own parts leave. */
  readonly surroundings: readonly BalanceRow[];
}

/** What a tally is taken of. A zone counts with the zones nested in it. */
export type Scope =
  | { readonly of: 'build' }
  | { readonly of: 'zone'; readonly zone: ZoneId }
  | { readonly of: 'phase'; readonly phase: PhaseId | null }
  | { readonly of: 'modification'; readonly modification: ModificationId | null };

type Bucket = ModificationId | 'none';

/**
 * One build's books in one view: balances, and figures for every modification, kept up to date entry by entry.
 * `post(e)` then `unpost(e)` leaves everything as it was, so a line can be tried before it is logged.
 */
export class Books {
  readonly balances: Balances;
  private readonly posted: Map<EntryId, Entry>;
  private readonly buckets: Map<Bucket, Figures>;
  private readonly sharing: Map<EntryId, Entry>;
  private shares: Map<EntryId, number> | null = null;
  private unknowns: Map<EntryId, number> | null = null;
  /** Entries of each modification, sorted out when they are first asked for after one was posted or taken back. */
  private byBucket: Map<Bucket, Entry[]> | null = null;
  /** The same for the zones that entries touch: of, from or to which they move something. */
  private byZone: Map<ZoneId, Set<Entry>> | null = null;

  /** What others have left in trays and boxes, as it is counted now. */
  private around: BooksContext['surroundings'];

  /**
   * `like` are the same build's books in another view, of the same entries: what the two have in common, which in a long
   * log is nearly all, is copied and not counted again.
   */
  constructor(
    readonly context: BooksContext,
    entries: readonly Entry[],
    readonly view: View,
    like?: Books,
  ) {
    this.balances = like?.balances.copy() ?? new Balances();
    this.posted = new Map(like?.posted);
    this.buckets = new Map([...(like?.buckets ?? [])].map(([bucket, sums]) => [bucket, { ...sums }]));
    this.sharing = new Map(like?.sharing);
    this.around = like?.around ?? [];
    this.surround(context.surroundings);
    this.take(entries);
  }

  /** Counts those of some entries that are in the view, each once, and none that is not. */
  take(entries: readonly Entry[]): void {
    for (const entry of entries) {
      const isIn = inView(entry, this.view);
      if (isIn === this.posted.has(entry.id)) continue;
      if (isIn) this.post(entry);
      else this.unpost(entry);
    }
  }

  /** Counts what other builds and own parts leave now, in place of what they left before. */
  surround(now: BooksContext['surroundings']): void {
    // Two views have most of them in common, the very same rows: these stay counted.
    let same = 0;
    while (same < now.length && now[same] === this.around[same]) same++;
    for (const r of this.around.slice(same)) this.balances.put(r.account, r.element, r.grade, -r.qty);
    for (const r of now.slice(same)) this.balances.put(r.account, r.element, r.grade, r.qty);
    this.around = now;
  }

  get entries(): Iterable<Entry> {
    return this.posted.values();
  }

  has(id: EntryId): boolean {
    return this.posted.has(id);
  }

  /** Counts an entry, whether or not it is in the view: the caller decides. */
  post(entry: Entry): void {
    this.posted.set(entry.id, entry);
    this.carry(entry, 1);
  }

  unpost(entry: Entry): void {
    if (!this.posted.delete(entry.id)) return;
    this.carry(entry, -1);
  }

  /** Runs `look` with some entries counted as well (and others not), then puts everything back. */
  trying<T>(extra: readonly Entry[], without: readonly Entry[], look: () => T): T {
    const taken = without.filter((e) => this.posted.has(e.id));
    taken.forEach((e) => this.unpost(e));
    extra.forEach((e) => this.post(e));
    try {
      return look();
    } finally {
      extra.forEach((e) => this.unpost(e));
      taken.forEach((e) => this.post(e));
    }
  }

  private carry(entry: Entry, times: 1 | -1): void {
    for (const m of entry.movements) this.balances.add(m, times);
    this.byBucket = null;
    this.byZone = null;
    const bucket = entry.modification ?? 'none';
    let sums = this.buckets.get(bucket);
    if (!sums) this.buckets.set(bucket, (sums = noFigures()));
    countEntry(sums, entry, times);
    if (!takesShare(entry)) return;
    this.shares = null;
    this.unknowns = null;
    if (times > 0) this.sharing.set(entry.id, entry);
    else this.sharing.delete(entry.id);
  }

  /** Shares of postage and donor prices, per entry. */
  sharedCosts(): ReadonlyMap<EntryId, number> {
    this.shares ??= sharedCosts([...this.sharing.values()], this.context.copies, this.context.orders);
    return this.shares;
  }

  /** Pieces out of donors whose price nobody knows, per entry. */
  sharedUnknowns(): ReadonlyMap<EntryId, number> {
    this.unknowns ??= sharedUnknowns([...this.sharing.values()], this.context.copies);
    return this.unknowns;
  }

  /** An entry's part of what was paid for many together. */
  private shareOf({ id }: Entry): Share {
    return { cost: this.sharedCosts().get(id) ?? 0, unpriced: this.sharedUnknowns().get(id) ?? 0 };
  }

  /** The figures of a scope. The build's are the sum of its modifications' and of what belongs to none. */
  figures(scope: Scope): Figures {
    if (scope.of === 'zone') return this.zoneFigures(scope.zone);
    const wanted = this.bucketsOf(scope);
    const sums = noFigures();
    for (const [bucket, figures] of this.buckets)
      if (wanted(bucket)) for (const f of Object.keys(figures) as Figure[]) sums[f] += figures[f];
    for (const entry of this.sharing.values())
      if (wanted(entry.modification ?? 'none')) addShare(sums, entry, this.shareOf(entry));
    return sums;
  }

  /** Entries in view that a scope takes in: of a zone, those that touch it. */
  entriesOf(scope: Scope): Entry[] {
    if (scope.of === 'modification') return [...(this.sorted().get(scope.modification ?? 'none') ?? [])];
    const all = [...this.posted.values()];
    if (scope.of === 'zone') {
      const touching = this.touching(this.nested(scope.zone));
      return all.filter((e) => touching.has(e));
    }
    const wanted = this.bucketsOf(scope);
    return all.filter((e) => wanted(e.modification ?? 'none'));
  }

  private sorted(): ReadonlyMap<Bucket, Entry[]> {
    if (this.byBucket) return this.byBucket;
    const sorted = new Map<Bucket, Entry[]>();
    for (const e of this.posted.values()) {
      const bucket = e.modification ?? 'none';
      const list = sorted.get(bucket);
      if (list) list.push(e);
      else sorted.set(bucket, [e]);
    }
    return (this.byBucket = sorted);
  }

  /** One entry's part in the figures of a scope, its share of postage and donor prices included. */
  partOf(entry: Entry, scope: Scope): Figures {
    const sums = noFigures();
    if (scope.of === 'zone') countEntry(sums, entry, 1, this.nested(scope.zone));
    else {
      countEntry(sums, entry);
      addShare(sums, entry, this.shareOf(entry));
    }
    return sums;
  }

  private bucketsOf(scope: Exclude<Scope, { of: 'zone' }>): (bucket: Bucket) => boolean {
    if (scope.of === 'build') return () => true;
    if (scope.of === 'modification') return (b) => b === (scope.modification ?? 'none');
    const inPhase = new Set(
      this.context.modifications.filter((m) => m.phase === scope.phase).map((m) => m.id),
    );
    return (b) => (b === 'none' ? scope.phase === null : inPhase.has(b));
  }

  private zoneFigures(zone: ZoneId): Figures {
    const sums = noFigures();
    const zones = this.nested(zone);
    for (const entry of this.touching(zones)) countEntry(sums, entry, 1, zones);
    return sums;
  }

  /** Entries in view that touch one of some zones; all others count for nothing there. */
  private touching(zones: ReadonlySet<ZoneId>): ReadonlySet<Entry> {
    const byZone = (this.byZone ??= sortByZone(this.posted.values()));
    const found = new Set<Entry>();
    for (const zone of zones) for (const entry of byZone.get(zone) ?? []) found.add(entry);
    return found;
  }

  /** A zone and all zones nested in it. */
  nested(zone: ZoneId): ReadonlySet<ZoneId> {
    const found = new Set([zone]);
    for (let grew = true; grew;) {
      const before = found.size;
      for (const z of this.context.zones) if (z.parent && found.has(z.parent)) found.add(z.id);
      grew = found.size > before;
    }
    return found;
  }
}

function sortByZone(entries: Iterable<Entry>): Map<ZoneId, Set<Entry>> {
  const sorted = new Map<ZoneId, Set<Entry>>();
  const touch = (zone: ZoneId | null | undefined, entry: Entry) => {
    if (!zone) return;
    const held = sorted.get(zone);
    if (held) held.add(entry);
    else sorted.set(zone, new Set([entry]));
  };
  for (const entry of entries) {
    touch(entry.zone, entry);
    for (const m of entry.movements) {
      touch(zoneOf(m.from), entry);
      touch(zoneOf(m.to), entry);
    }
  }
  return sorted;
}

interface Share {
  readonly cost: number;
  readonly unpriced: number;
}

function addShare(sums: Figures, entry: Entry, { cost, unpriced }: Share): void {
  sums.boughtUnpriced += unpriced;
  sums.sharedUnpriced += unpriced;
  sums.outOfPocket += cost;
  sums.sharedCost += cost;
  if (entry.kind === 'order') sums.worthIn += cost;
}
