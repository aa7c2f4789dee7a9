import type { Colour } from '../colour';
import type { CallContext, Lexicon, PrintContext } from '../log-line';
import type { TypedRecord, Claim } from '../ledger';
import {
  applyDiff,
  Books,
  keptAt,
  priceLookup,
  type BooksContext,
  type Copy,
  type Diff,
  type DraftContext,
  type Entry,
  type Kept,
  type Modification,
  type PriceOf,
  type RecordSet,
  type View,
  type Zone,
} from '../ledger';
import type { ElementKey } from '../parts';
import { assert } from '../shared/assert';
import type { BuildId, ColourId, ModificationId, WhatIfId } from '../shared/ids';
import { boxesOf, callContextOf, draftContextOf, printContextOf } from './contexts';
import { diffOfBuild } from './diff-of-build';
import { byPlace, byPosition } from './list-places';
import { listsOf, type EntryLists } from './entry-lists';
import { Ordered } from './ordered';
import { paletteOf } from './palette-of';
import { reachOf, type Reach } from './reach';
import { recordSetOf, recordsOf, type Surroundings, type BuildSnapshot, type Knowledge } from './snapshot';
import { aliasesOf, Vocabulary } from './vocabulary';

/**
 * One build on the bench: its records, its books as built and as planned, and the lexicon of the log line. The same
 * object serves the screen and the server. `apply` carries a diff into it; entries cost only their own movements.
 */
export class Workbench {
  readonly build: BuildId;
  records: RecordSet;
  built: Books;
  planned: Books;
  palette: readonly Colour[];
  priceOf: PriceOf;
  private readonly vocabulary = new Vocabulary();
  /** Lists that are asked for many times between two changes; made anew at the first asking after one. */
  private lists: EntryLists | null = null;
  private reach: Reach | null = null;
  private readonly zonesInOrder = new Ordered<string, Zone>((z) => z.build === this.build, byPosition);
  private readonly modificationsInOrder = new Ordered<string, Modification>(
    (m) => m.build === this.build,
    byPlace,
  );

  constructor(
    private snapshot: BuildSnapshot,
    readonly whatIf: WhatIfId | null = null,
  ) {
    this.build = snapshot.build;
    this.records = recordSetOf(snapshot.records);
    this.palette = paletteOf(this.records);
    this.priceOf = priceLookup(this.records.price.values());
    this.built = this.open({ kind: 'built' });
    this.planned = this.open(this.plannedView, this.built);
    this.vocabulary.learnEntries(this.records.entry.values());
    this.learn();
  }

  /**
   * Takes in some more entries of a log that comes in slices, as built; `allTakenIn` counts what is planned from there.
   * Until then nothing is to be asked of it: `openInSlices` does both.
   */
  takeIn(slice: readonly Entry[]): void {
    const held = this.records.entry as Map<string, Entry>;
    for (const e of slice) held.set(e.id, e);
    this.vocabulary.learnEntries(slice);
    this.built.take(slice);
  }

  /** All entries are in: counts what others leave, and what is planned. */
  allTakenIn(now: Surroundings): void {
    this.snapshot = { ...this.snapshot, ...now };
    this.lists = null;
    this.reach = null;
    this.built.surround(this.surroundingsIn(this.built.view));
    this.planned = this.open(this.plannedView, this.built);
    this.learn();
  }

  private get plannedView(): View {
    return this.whatIf ? { kind: 'planned', whatIf: this.whatIf } : { kind: 'planned' };
  }

  /** Opens the books in a view: from nothing, or from those of another view. */
  open(view: View, like?: Books): Books {
    return new Books(this.context(this.surroundingsIn(view)), this.entries, view, like);
  }

  private surroundingsIn(view: View): BooksContext['surroundings'] {
    const { surroundings: done, plannedElsewhere } = this.snapshot;
    return view.kind === 'planned' ? [...done, ...plannedElsewhere] : done;
  }

  private context(surroundings: BooksContext['surroundings']): BooksContext {
    const { copy, order } = this.records;
    return {
      build: this.build,
      zones: this.zones,
      modifications: this.modifications,
      copies: copy,
      orders: order,
      surroundings,
    };
  }

  private learn(): void {
    this.vocabulary.learnRest(this.records, this.snapshot.surroundings);
  }

  /** Carries a diff into the records and the books. */
  apply(whole: Diff): void {
    const diff = diffOfBuild(whole, this.build);
    this.records = applyDiff(this.records, diff);
    this.lists = null;
    this.reach = null;
    const all = [...diff.added, ...diff.removed, ...diff.changed];
    if (all.every((r) => r.type === 'entry')) this.carryEntries(diff);
    else this.reopen();
  }

  private reopen(): void {
    this.palette = paletteOf(this.records);
    this.priceOf = priceLookup(this.records.price.values());
    this.built = this.open({ kind: 'built' });
    this.planned = this.open(this.plannedView, this.built);
    this.vocabulary.learnEntries(this.records.entry.values());
    this.learn();
  }

  /** What it was opened with, as far as that is not in its records. */
  get snapshotNow(): BuildSnapshot {
    return this.snapshot;
  }

  /** True when it knows the whole workspace's prices, years and own parts, and not only those of its own elements. */
  get isComplete(): boolean {
    return this.snapshot.complete;
  }

  /** Takes in what the whole workspace knows and has, beside what it was opened with. */
  takeKnowledge({ prices, madeIn }: Knowledge, surroundings: Surroundings): void {
    this.records = {
      ...this.records,
      price: new Map(prices.map((p) => [p.id, p])),
      madeIn: new Map(madeIn.map((m) => [m.id, m])),
    };
    this.snapshot = { ...this.snapshot, complete: true };
    this.priceOf = priceLookup(this.records.price.values());
    this.takeSurroundings(surroundings);
  }

  /** Takes what other builds and own parts leave it now. */
  takeSurroundings(now: Surroundings): void {
    this.snapshot = { ...this.snapshot, ...now };
    this.reach = null;
    // Only these change: entries, of which there may be many, stay counted as they are.
    for (const books of [this.built, this.planned]) books.surround(this.surroundingsIn(books.view));
    this.learn();
  }

  /**
   * What would be seen here with some entries logged: the records and both books have them while it is asked, and have
   * lost them afterwards. For what a person tries, before Enter.
   *
   * @example workbench.asIf([entry], () => rule.ofBooks(workbench, setting))
   */
  asIf<T>(entries: readonly Entry[], ask: () => T): T {
    const { records, lists, reach } = this;
    const more = entries.map((e) => [e.id, e] as const);
    this.records = { ...records, entry: new Map([...records.entry, ...more]) };
    this.lists = null;
    this.reach = null;
    const done = entries.filter((e) => e.state === 'done');
    try {
      return this.planned.trying(entries, [], () => this.built.trying(done, [], ask));
    } finally {
      this.records = records;
      this.lists = lists;
      this.reach = reach;
    }
  }

  private carryEntries(diff: Diff): void {
    const out = [...diff.removed.map((r) => r.record), ...diff.changed.map((c) => c.from)] as Entry[];
    const into = [...diff.added.map((r) => r.record), ...diff.changed.map((c) => c.to)] as Entry[];
    for (const books of [this.built, this.planned]) out.forEach((e) => books.unpost(e));
    for (const e of into) {
      if (e.state === 'done') this.built.post(e);
      if (e.whatIf === null || e.whatIf === this.whatIf) this.planned.post(e);
      this.vocabulary.learnEntry(e);
    }
  }

  /** All records as a list, as a snapshot holds them. */
  recordList(): TypedRecord[] {
    return recordsOf(this.records);
  }

  /** What builds that come before this one have planned to take from own parts. */
  get claims(): readonly Claim[] {
    return this.snapshot.claims ?? [];
  }

  /** What is kept together at each place, and so is free for nothing else. */
  get kept(): Kept {
    return keptAt(this.records.keptAssembly.values());
  }

  private get listed(): EntryLists {
    return (this.lists ??= listsOf(this.records.entry.values()));
  }

  get entries(): readonly Entry[] {
    return this.listed.entries;
  }

  /** The entries of a modification, in the order in which they stand in it; those of what-ifs too. */
  entriesIn(modification: ModificationId): readonly Entry[] {
    return this.listed.byModification.get(modification) ?? [];
  }

  /** The same list until a zone changes: what shows it may ask for it as often as it likes. */
  get zones(): readonly Zone[] {
    return this.zonesInOrder.from(this.records.zone);
  }

  get rootZone(): Zone {
    const root = this.zones.find((z) => z.parent === null);
    assert(root, 'every build has a root zone', this.build);
    return root;
  }

  get modifications(): readonly Modification[] {
    return this.modificationsInOrder.from(this.records.modification);
  }

  get lexicon(): Lexicon {
    return this.vocabulary.lexicon(this.palette, this.records);
  }

  /** What colour names of other lists were said to mean, by their words. */
  aliases(): ReadonlyMap<string, ColourId> {
    return aliasesOf(this.records);
  }

  /** Every element that a line may name: the build's own, and what is priced or lies somewhere. */
  get elements(): ReadonlySet<ElementKey> {
    return this.vocabulary.elements;
  }

  /** The elements of its entries and assemblies. */
  get ownElements(): ReadonlySet<ElementKey> {
    return this.vocabulary.own;
  }

  colour(id: ColourId): Colour | undefined {
    return this.palette.find((c) => c.id === id);
  }

  /** What the log line looks things up in. */
  callContext(): CallContext {
    return callContextOf(this, () => (this.reach ??= reachOf(this.built, this.planned)));
  }

  /** The boxes that are broken up for the build, or that it was taken apart into, in the order in which they are taken from. */
  get boxes(): Copy[] {
    return boxesOf(this);
  }

  /** What printing a line needs to name things by. */
  get printContext(): PrintContext {
    return printContextOf(this);
  }

  /** What drafting an entry needs. */
  draftContext(): DraftContext {
    return draftContextOf(this);
  }

  /** The next number for an entry, and the next place in a modification. */
  nextEntry(modification: string | null): { no: number; position: number } {
    const { lastNo, byModification } = this.listed;
    const last = byModification.get(modification as ModificationId)?.at(-1);
    return { no: lastNo + 1, position: Math.max(0, last?.position ?? 0) + 1 };
  }
}
