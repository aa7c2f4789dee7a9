import {
  byGrade,
  conditionOf,
  donorAccount,
  goneAccount,
  grade,
  gradeRank,
  isWorn,
  modelAccount,
  orderAccount,
  OUTSIDE,
  ownAccount,
  placeOf,
  sparesAccount,
  stockAccount,
  type AccountKey,
  type Grade,
} from '../places';
import type { ElementKey } from '../parts';
import type { Movement } from '../records';
import type { ZoneId } from '../shared/ids';
import { fail, ok, type Result } from '../shared/result';
import type { Books } from './books';
import type { DraftContext, DraftProblem } from './draft-context';
import { freeGrades } from './free-pieces';
import type { Intent, Pieces } from './intent';
import { whereabouts } from './whereabouts';
import { WornFits } from './worn-fits';

/** One drafting. Pieces already taken by earlier movements of the same entry are not taken twice. */
export class Drafting {
  private readonly made: Movement[] = [];
  private readonly books: Books;
  private readonly worn: WornFits;

  constructor(
    private readonly intent: Intent,
    private readonly zone: ZoneId,
    private readonly context: DraftContext,
  ) {
    this.books = intent.planned ? context.planned : context.built;
    this.worn = new WornFits(this.books, zone, intent);
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
    return this.worn.fits(element) && !this.intent.hidden
      ? free.toSorted(([a], [b]) => Number(isWorn(b)) - Number(isWorn(a)))
      : free;
  }

  /** A renew takes only what is better than the worst piece it replaces; the rest take what was asked for. */
  private goodEnough(g: Grade, element: ElementKey): boolean {
    if (this.intent.condition) return conditionOf(g) === this.intent.condition && this.isBetter(g, element);
    if (isWorn(g) && !this.worn.fits(element)) return false;
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
