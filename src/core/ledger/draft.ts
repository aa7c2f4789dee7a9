import { freeAt, freeGrades, NOTHING_KEPT, type Kept } from './free-pieces';
import { splitElementKey, type ElementKey } from '../parts';
import type { CopyId, EntryId, OrderId, TrayId, WhatIfId, ZoneId } from '../shared/ids';
import { asId } from '../shared/ids';
import { fail, ok, type Result } from '../shared/result';
import {
  accountOwner,
  donorAccount,
  goneAccount,
  modelAccount,
  holdsPieces,
  orderAccount,
  OUTSIDE,
  ownAccount,
  placeOf,
  sparesAccount,
  stockAccount,
  type AccountKey,
} from '../places';
import type { Books } from './books';
import { byGrade, conditionOf, grade, gradeRank, isWorn, type Grade } from '../places';
import type { Intent, Pieces, SourceChoice } from './intent';
import { settleKind } from './same-act';
import type { Elsewhere, Entry, Modification, Movement } from '../records';
import type { PriceOf } from './tally';

/** What drafting an entry needs to know. */
export interface DraftContext {
  /** As built for what is done, as planned for what is planned. */
  readonly built: Books;
  readonly planned: Books;
  readonly rootZone: ZoneId;
  readonly trays: readonly TrayId[];
  /** The build's boxes to break up, in the order in which they are taken from. */
  readonly donors: readonly CopyId[];
  /** True where the build takes from its own boxes and spares, and from nowhere else unless that is said. */
  readonly boxesOnly: boolean;
  /** What a piece that is put in and is in no books counts as. */
  readonly elsewhere: Elsewhere;
  readonly orders: readonly OrderId[];
  readonly priceOf: PriceOf;
  /** What is kept together, and so is not there to be taken. */
  readonly kept: Kept;
  readonly whatIf: WhatIfId | null;
}

/** Where pieces of an element are, for saying so when they are not where they were looked for. */
export interface Whereabouts {
  readonly account: AccountKey;
  readonly qty: number;
}

/** Why an intent cannot become an entry. */
export type DraftProblem =
  | {
      readonly reason: 'not on the model' | 'not at hand';
      readonly element: ElementKey;
      readonly wanted: number;
      readonly there: number;
      readonly elsewhere: readonly Whereabouts[];
      readonly zone: ZoneId;
      readonly source: SourceChoice | null;
      /** Pieces that are there and show their age or a flaw: they are taken where that is said, or where nobody sees them. */
      readonly worn: number;
      /** True where it was looked for in the build's boxes and spares, to which the build is bound. */
      readonly boxesOnly: boolean;
    }
  | { readonly reason: 'nothing to do' }
  | { readonly reason: 'same zone' }
  | { readonly reason: 'same colour'; readonly element: ElementKey }
  | { readonly reason: 'no own parts' }
  | { readonly reason: 'no such placeholder'; readonly element: ElementKey };

/** Makes the movements of an intent: which pieces from where, in which condition, at what worth. */
export function draftMovements(
  intent: Intent,
  zone: ZoneId,
  context: DraftContext,
): Result<Movement[], DraftProblem> {
  const job = new Drafting(intent, zone, context);
  return job.run();
}

/** One drafting. Pieces already taken by earlier movements of the same entry are not taken twice. */
class Drafting {
  private readonly made: Movement[] = [];
  private readonly books: Books;
  /** Whether worn pieces of an element fit where they go: every place is asked for, and the answer is the same. */
  private readonly wornFits = new Map<ElementKey, boolean>();

  constructor(
    private readonly intent: Intent,
    private readonly zone: ZoneId,
    private readonly context: DraftContext,
  ) {
    this.books = intent.planned ? context.planned : context.built;
  }

  run(): Result<Movement[], DraftProblem> {
    const { off, on, kind } = this.intent;
    if ([...off, ...on].every((p) => p.qty <= 0)) return fail({ reason: 'nothing to do' });
    const same = kind === 'recolour' && off[0] && on[0] && off[0].element === on[0].element;
    if (same && off[0]) return fail({ reason: 'same colour', element: off[0].element });
    for (const pieces of off) {
      const problem = this.takeOff(pieces);
      if (problem) return fail(problem);
    }
    for (const pieces of on) {
      const problem = this.putOn(pieces);
      if (problem) return fail(problem);
    }
    return ok(this.made);
  }

  /** Pieces that earlier movements of the same entry take already. */
  private taken(account: AccountKey, element: ElementKey, g: Grade): number {
    return this.made.reduce(
      (sum, m) => sum + (m.from === account && m.element === element && m.grade === g ? m.qty : 0),
      0,
    );
  }

  private free(account: AccountKey, element: ElementKey, g: Grade): number {
    return Math.max(0, this.books.balances.at(account, element, g) - this.taken(account, element, g));
  }

  private move(m: Omit<Movement, 'worth'>, worth: Movement['worth']): void {
    this.made.push({ ...m, worth });
  }

  /** The zone itself, then the zones nested in it, then what was not placed in any zone. */
  private zonesToTakeFrom(): ZoneId[] {
    if (this.intent.offZone) return [this.intent.offZone];
    const nested = [...this.books.nested(this.zone)];
    return nested.includes(this.context.rootZone) ? nested : [...nested, this.context.rootZone];
  }

  /** Pieces leave the model: for a renew the worst first, else the commonest condition first. */
  private takeOff({ element, qty }: Pieces): DraftProblem | undefined {
    const to = this.destination();
    if (!to) return { reason: this.intent.kind === 'move' ? 'same zone' : 'no own parts' };
    let left = qty;
    for (const zone of this.zonesToTakeFrom()) {
      const from = modelAccount(zone);
      if (from === to) continue;
      for (const [g, there] of this.order(from, element)) {
        const n = Math.min(left, this.free(from, element, g), there);
        if (n > 0) this.move({ element, grade: g, qty: n, from, to }, this.context.priceOf(element, g));
        left -= n > 0 ? n : 0;
      }
    }
    return left > 0 ? this.shortage('not on the model', element, qty, qty - left) : undefined;
  }

  private order(account: AccountKey, element: ElementKey): [Grade, number][] {
    const grades = this.books.balances.grades(account, element);
    const asked = this.intent.on.length === 0 ? this.intent.condition : null;
    const wanted = asked ? grades.filter(([g]) => conditionOf(g) === asked) : grades;
    if (this.intent.kind === 'renew') return wanted.toReversed();
    return wanted.toSorted(([a, m], [b, n]) => n - m || byGrade(a, b));
  }

  private destination(): AccountKey | undefined {
    const { kind, toZone, destination } = this.intent;
    if (kind === 'move') return toZone && toZone !== this.zone ? modelAccount(toZone) : undefined;
    if (kind === 'missing') return goneAccount('missing');
    if (destination === 'bin') return goneAccount('binned');
    if (destination === 'own') return ownAccount();
    const tray = this.context.trays[0];
    if (destination === 'stock') return tray ? stockAccount(tray) : ownAccount();
    return sparesAccount(this.books.context.build);
  }

  /**
   * Pieces join the model from the named source; or from spares, then the build's boxes, then own parts, and the rest is
   * what the build says of pieces in no books. A build that is bound to its boxes takes from there and says what they lack.
   */
  private putOn({ element, qty }: Pieces): DraftProblem | undefined {
    const { source } = this.intent;
    const to = modelAccount(this.zone);
    let left = qty;
    for (const from of this.sourceAccounts()) {
      for (const [g, there] of this.gradesToTake(from, element)) {
        if (!this.goodEnough(g, element)) continue;
        const n = Math.min(left, there - this.taken(from, element, g));
        if (n > 0) this.move({ element, grade: g, qty: n, from, to }, this.context.priceOf(element, g));
        left -= n > 0 ? n : 0;
      }
    }
    if (left === 0) return undefined;
    if (this.source() === 'own') return this.fromOwn(element, left, to);
    if (this.source() === 'outside') return this.buy(element, left, to);
    if (this.intent.planned && (source === 'spares' || source === 'stock' || source === 'order'))
      return this.overdraw(element, left, to);
    return this.shortage('not at hand', element, qty, qty - left);
  }

  /**
   * Where what is in no books comes from: as it was said, a price says that it is bought, and what is planned is to be
   * bought. Undefined where a build is bound to its boxes, or the place that was named lacks it.
   */
  private source(): 'own' | 'outside' | undefined {
    const { source, price, planned } = this.intent;
    if (source !== null) return source === 'own' || source === 'outside' ? source : undefined;
    if (price !== null) return 'outside';
    if (this.context.boxesOnly) return undefined;
    return planned || this.context.elsewhere !== 'own' ? 'outside' : 'own';
  }

  /** Own parts that nobody counted: nothing is paid for them, and they are worth what the price book says. */
  private fromOwn(element: ElementKey, qty: number, to: AccountKey): undefined {
    // A renew is with something better: who renews from a heap has picked the good ones.
    const g = grade(this.intent.condition ?? (this.intent.kind === 'renew' ? 'new' : 'used'));
    const from = ownAccount(this.intent.ownFrom);
    this.move({ element, grade: g, qty, from, to }, this.context.priceOf(element, g));
    return undefined;
  }

  /** What is bought costs what was said; a plan counts with the price book, and what is done without a price is not known. */
  private buy(element: ElementKey, qty: number, to: AccountKey): undefined {
    const g = grade(this.intent.condition ?? 'new');
    const { price, planned } = this.intent;
    const each = price ?? (planned ? this.context.priceOf(element, g) : null);
    this.move({ element, grade: g, qty, from: OUTSIDE, to }, each);
    return undefined;
  }

  /** A plan may call for more than a place has: that is what the need list is made of. A box never holds more. */
  private overdraw(element: ElementKey, qty: number, to: AccountKey): DraftProblem | undefined {
    const from = this.sourceAccounts()[0];
    if (!from) return this.shortage('not at hand', element, qty, 0);
    const g = grade(this.intent.condition ?? 'used');
    this.move({ element, grade: g, qty, from, to }, this.context.priceOf(element, g));
    return undefined;
  }

  private sourceAccounts(): AccountKey[] {
    const spares = sparesAccount(this.books.context.build);
    const stock = this.context.trays.map(stockAccount);
    const boxes = this.context.donors.map(donorAccount);
    switch (this.intent.source) {
      case null:
        if (this.intent.price !== null) return [];
        return this.context.boxesOnly ? [spares, ...boxes] : [spares, ...boxes, ...stock];
      case 'spares':
        return [spares];
      case 'stock':
        return stock;
      case 'donor':
        return this.intent.boxes.length > 0 ? this.intent.boxes.map(donorAccount) : boxes;
      case 'order':
        return this.context.orders.map(orderAccount);
      case 'outside':
      case 'own':
        return [];
    }
  }

  /** What may be taken of a place, best first; among pieces that have aged alike, the aged ones first. */
  private gradesToTake(from: AccountKey, element: ElementKey): [Grade, number][] {
    const free = freeGrades(this.books.balances, from, element, this.context.kept);
    if (!free.some(([g]) => isWorn(g))) return free;
    return this.takesWorn(element) && !this.intent.hidden
      ? free.toSorted(([a], [b]) => Number(isWorn(b)) - Number(isWorn(a)))
      : free;
  }

  /**
   * Whether worn pieces fit where these go: where it is said, where nobody sees them, and among pieces of their colour of
   * which most have aged too. A yellowed piece is no white one.
   */
  private takesWorn(element: ElementKey): boolean {
    const known = this.wornFits.get(element) ?? this.lookForWorn(element);
    this.wornFits.set(element, known);
    return known;
  }

  private lookForWorn(element: ElementKey): boolean {
    if (this.intent.condition) return isWorn(grade(this.intent.condition));
    if (this.intent.hidden) return true;
    const { colour } = splitElementKey(element);
    let [worn, good] = [0, 0];
    for (const r of this.books.balances.rows((a) => a === modelAccount(this.zone))) {
      if (r.qty <= 0 || splitElementKey(r.element).colour !== colour) continue;
      if (isWorn(r.grade)) worn += r.qty;
      else good += r.qty;
    }
    return worn > good;
  }

  /** A renew takes only what is better than the worst piece it replaces; the rest take what was asked for. */
  private goodEnough(g: Grade, element: ElementKey): boolean {
    if (this.intent.condition) return conditionOf(g) === this.intent.condition && this.isBetter(g, element);
    if (isWorn(g) && !this.takesWorn(element)) return false;
    return this.isBetter(g, element);
  }

  private isBetter(g: Grade, element: ElementKey): boolean {
    if (this.intent.kind !== 'renew') return true;
    const off = this.made.filter((m) => m.element === element && placeOf(m.from) === 'model');
    return off.every((m) => gradeRank(g) < gradeRank(m.grade));
  }

  private shortage(
    reason: 'not on the model' | 'not at hand',
    element: ElementKey,
    wanted: number,
    there: number,
  ): DraftProblem {
    const searched = new Set<AccountKey>(
      reason === 'not on the model' ? this.zonesToTakeFrom().map(modelAccount) : this.sourceAccounts(),
    );
    const all = whereabouts(this.books, element, this.context.kept);
    const elsewhere = all.filter((w) => !searched.has(w.account));
    const { source } = this.intent;
    const boxesOnly = this.context.boxesOnly && source === null;
    const worn =
      reason === 'not on the model'
        ? 0
        : this.sourceAccounts()
            .flatMap((a) => freeGrades(this.books.balances, a, element, this.context.kept))
            .reduce((s, [g, n]) => s + (isWorn(g) && !this.goodEnough(g, element) ? n : 0), 0);
    return { reason, element, wanted, there, elsewhere, zone: this.zone, source, worn, boxesOnly };
  }
}

/** Real places where an element may be taken from, most pieces first. */
export function whereabouts(books: Books, element: ElementKey, kept: Kept = NOTHING_KEPT): Whereabouts[] {
  return books.balances
    .accountKeys()
    .filter(holdsPieces)
    .map((account) => ({ account, qty: freeAt(books.balances, account, element, kept) }))
    .filter((w) => w.qty > 0)
    .sort((a, b) => b.qty - a.qty);
}

/** True where a line that was to be done needs pieces that are in no books, in a build that buys such pieces. */
const waitsForParts = (intent: Intent, movements: readonly Movement[], context: DraftContext): boolean =>
  !intent.planned &&
  intent.source === null &&
  intent.price === null &&
  context.elsewhere === 'buy' &&
  movements.some((m) => placeOf(m.from) === 'outside');

/** What an entry is called by besides its intent. */
export interface EntryStamp {
  readonly id: EntryId;
  readonly no: number;
  readonly position: number;
  readonly loggedAt: string;
  readonly modification: Modification;
}

/** Turns an intent into an entry of a modification, or says why it cannot be one. */
export function draftEntry(
  wish: Intent,
  stamp: EntryStamp,
  context: DraftContext,
): Result<Entry, DraftProblem> {
  const intent = settleKind(wish);
  const zone = intent.zone ?? stamp.modification.zone;
  const drafted = draftMovements(intent, zone, context);
  if (!drafted.ok) return drafted;
  // What the build has yet to buy is no more than a plan until it is there.
  if (waitsForParts(intent, drafted.value, context))
    return draftEntry({ ...intent, planned: true }, stamp, context);
  const movements = drafted;
  const order = movements.value.find((m) => placeOf(m.from) === 'order');
  return ok({
    id: stamp.id,
    build: stamp.modification.build,
    modification: stamp.modification.id,
    kind: intent.kind,
    state: intent.planned ? 'planned' : 'done',
    no: stamp.no,
    position: stamp.position,
    why: intent.why,
    note: intent.note,
    hidden: intent.hidden,
    standsFor: intent.standsFor,
    zone,
    whatIf: intent.planned ? context.whatIf : null,
    assembly: intent.assembly,
    order: order ? asId<OrderId>(accountOwner(order.from)) : null,
    splitFrom: null,
    loan: null,
    counted: null,
    loggedAt: stamp.loggedAt,
    movements: movements.value,
  });
}
