import { deltaE00, type LabD65 } from '../colour';
import type { Workbench } from '../workbench';
import type { AccountKey, Grade } from '../places';
import type { ColourId, ZoneId } from '../shared/ids';
import type { Minor } from '../shared/money';
import { gatherFaded, keyOf, type ComesIn, type FadedStock } from './faded-stock';
import { Ages, thresholdsOf } from './fading';
import { matchByAge, spreadOf, type AgeBatch } from './match-by-age';
import { whiteningFor, whiteningShare } from './whitening';

/** Ways to deal with faded parts. */
export const FADING_OPTIONS = ['leave', 'turn', 'same age', 'match by age', 'all new', 'whiten'] as const;
export type FadingOptionName = (typeof FADING_OPTIONS)[number];

/** One option worked out for a zone and colour. */
export interface FadingOption {
  readonly name: FadingOptionName;
  /** Largest and middle ΔE00 between two seen pieces afterwards. */
  readonly largest: number;
  readonly typical: number;
  /** Seen places whose piece changes. For whitening: pieces treated. */
  readonly touched: number;
  readonly cost: Minor;
  readonly unpriced: number;
  /** Hours that it takes, for whitening where that was said. */
  readonly hours?: number;
  /** Mean ΔE00 from the fresh colour afterwards. */
  readonly fromNew: number;
  readonly goesOut: readonly ComesIn[];
  readonly comesIn: readonly ComesIn[];
  /** For match by age: true when nothing can be better with the pieces at hand. */
  readonly proven?: boolean;
}

export type Because = 'not seen' | 'cheapest that is not seen' | 'least spread';

export interface OptionsReport {
  readonly zone: ZoneId;
  readonly colour: ColourId;
  readonly seenPlaces: number;
  readonly hiddenPlaces: number;
  /** Seen places whose pieces nobody has read: they are left out. */
  readonly unread: number;
  readonly options: readonly FadingOption[];
  readonly recommended: FadingOptionName;
  readonly because: Because;
  /** Seen pieces whose colour was only noted by eye. */
  readonly byEye: number;
  /** Below this ΔE00 a difference side by side is not noticed at a glance. */
  readonly limit: number;
}

/**
 * Works out the options for the pieces of one colour in a zone. Which pieces lie in the hidden places is not known
 * piece by piece: the least aged are taken to, since light did not reach them. Undefined when no piece was read.
 */
export function compareOptions(
  workbench: Workbench,
  zone: ZoneId,
  colour: ColourId,
  ages = new Ages(workbench),
): OptionsReport | undefined {
  const stock = gatherFaded(workbench, zone, colour, ages);
  if (stock.now.length === 0) return undefined;
  const limit = thresholdsOf(workbench)[1];
  const options = [
    settle('leave', stock, stock.now),
    turn(stock),
    sameAge(stock),
    byAge(stock),
    allNew(stock, workbench),
    whiten(stock, whiteningShare(workbench, ages), workbench),
  ];
  return {
    zone,
    colour,
    seenPlaces: stock.now.reduce((s, p) => s + p.qty, 0),
    hiddenPlaces: stock.hidden.reduce((s, p) => s + p.qty, 0),
    unread: stock.unread,
    byEye: stock.byEye,
    options,
    limit,
    ...recommend(options, limit),
  };
}

/** Leaves a zone alone that looks right; else the cheapest option that makes it look right; else the least spread. */
function recommend(
  options: readonly FadingOption[],
  limit: number,
): { recommended: FadingOptionName; because: Because } {
  const leave = options.find((s) => s.name === 'leave');
  if (leave && leave.largest < limit) return { recommended: 'leave', because: 'not seen' };
  const good = options.filter((s) => s.largest < limit);
  const price = (s: FadingOption) => s.cost + (s.unpriced > 0 ? 1e6 : 0);
  const effort = (s: FadingOption) => (s.name === 'whiten' ? 3 : 1) * s.touched;
  const [cheapest] = [...good].sort(
    (a, b) => price(a) - price(b) || effort(a) - effort(b) || a.largest - b.largest,
  );
  if (cheapest) return { recommended: cheapest.name, because: 'cheapest that is not seen' };
  const [least] = [...options].sort((a, b) => a.largest - b.largest || price(a) - price(b));
  return { recommended: least?.name ?? 'leave', because: 'least spread' };
}

/** An option's figures from what is seen afterwards. */
function settle(
  name: FadingOptionName,
  stock: FadedStock,
  after: readonly ComesIn[],
  more: Partial<FadingOption> = {},
): FadingOption {
  const { goesOut, comesIn } = exchange(stock, after);
  const pieces = after.reduce((s, p) => s + p.qty, 0);
  return {
    name,
    ...spreadOf(after),
    touched: comesIn.reduce((s, p) => s + p.qty, 0),
    cost: 0,
    unpriced: 0,
    fromNew: after.reduce((s, p) => s + deltaE00(stock.fresh, p.lab) * p.qty, 0) / Math.max(1, pieces),
    goesOut,
    comesIn,
    ...more,
  };
}

/** What leaves the seen places and what takes its place. */
function exchange(stock: FadedStock, after: readonly ComesIn[]) {
  const before = new Map(stock.now.map((p) => [keyOf(p), p]));
  const then = new Map<string, ComesIn>();
  for (const p of after) then.set(keyOf(p), { ...p, qty: p.qty + (then.get(keyOf(p))?.qty ?? 0) });
  const less = (a: ReadonlyMap<string, ComesIn>, b: ReadonlyMap<string, ComesIn>): ComesIn[] =>
    [...a].flatMap(([k, p]) => {
      const qty = p.qty - (b.get(k)?.qty ?? 0);
      return qty > 0 ? [{ ...p, qty }] : [];
    });
  return { goesOut: less(before, then), comesIn: less(then, before) };
}

/** The seen colour that most others are near to. */
function middle(pieces: readonly ComesIn[]): LabD65 {
  const sum = (at: LabD65) => pieces.reduce((s, p) => s + p.qty * deltaE00(at, p.lab), 0);
  return [...pieces].sort((a, b) => sum(a.lab) - sum(b.lab))[0]!.lab;
}

/** Puts, one after another, the piece farthest from the middle where `others` have a nearer one of its shape. */
function exchangeWorst(stock: FadedStock, others: readonly ComesIn[]): ComesIn[] {
  const centre = middle(stock.now);
  const held = stock.now.map((p) => ({ ...p }));
  const free = others.map((p) => ({ ...p }));
  const far = (p: ComesIn) => deltaE00(centre, p.lab);
  for (;;) {
    const before = spreadOf(held).largest;
    const worst = held.filter((p) => p.qty > 0).sort((a, b) => far(b) - far(a))[0];
    const better =
      worst &&
      free.filter((p) => p.qty > 0 && p.element === worst.element).sort((a, b) => far(a) - far(b))[0];
    if (!worst || !better || far(better) >= far(worst)) return held.filter((p) => p.qty > 0);
    const n = Math.min(worst.qty, better.qty);
    worst.qty -= n;
    better.qty -= n;
    held.push({ ...better, qty: n });
    if (spreadOf(held).largest > before + 1e-9) {
      worst.qty += n;
      held.pop();
      return held.filter((p) => p.qty > 0);
    }
  }
}

const turn = (stock: FadedStock): FadingOption => settle('turn', stock, exchangeWorst(stock, stock.hidden));
const sameAge = (stock: FadedStock): FadingOption =>
  settle(
    'same age',
    stock,
    exchangeWorst(
      stock,
      stock.atHand.filter((p) => p.grade !== 'new'),
    ),
  );

/** The best choice there is from what is seen, hidden and at hand. */
function byAge(stock: FadedStock): FadingOption {
  const pool = new Map<string, { piece: ComesIn; seenNow: number; qty: number }>();
  for (const p of stock.now) pool.set(keyOf(p), { piece: p, seenNow: p.qty, qty: p.qty });
  for (const p of [...stock.hidden, ...stock.atHand]) {
    const there = pool.get(keyOf(p));
    pool.set(keyOf(p), { piece: p, seenNow: there?.seenNow ?? 0, qty: (there?.qty ?? 0) + p.qty });
  }
  const batches = [...pool].map(([id, { piece, seenNow, qty }]): AgeBatch => ({
    id,
    shape: piece.element,
    lab: piece.lab,
    qty,
    seenNow,
  }));
  const places = new Map<string, number>();
  for (const p of stock.now) places.set(p.element, (places.get(p.element) ?? 0) + p.qty);
  const found = matchByAge(places, batches);
  const after = [...found.seen].map(([id, qty]) => ({ ...pool.get(id)!.piece, qty }));
  return settle('match by age', stock, after, { proven: found.proven });
}

function allNew(stock: FadedStock, workbench: Workbench): FadingOption {
  let [cost, unpriced] = [0, 0];
  const after = stock.now.map((p): ComesIn => {
    const price = workbench.priceOf(p.element, 'new' as Grade);
    if (price === null) unpriced += p.qty;
    cost += (price ?? 0) * p.qty;
    return { ...p, account: 'outside' as AccountKey, grade: 'new' as Grade, lab: stock.fresh };
  });
  return settle('all new', stock, after, { cost, unpriced });
}

function whiten(stock: FadedStock, share: number, workbench: Workbench): FadingOption {
  const after = stock.now.map((p): ComesIn => {
    if (p.lab.b <= stock.fresh.b) return p;
    const toward = (from: number, to: number) => from + (to - from) * share;
    const { l, a, b } = stock.fresh;
    return {
      ...p,
      lab: { l: toward(p.lab.l, l), a: toward(p.lab.a, a), b: toward(p.lab.b, b), white: 'D65' },
    };
  });
  const treated = stock.now.filter((p) => p.lab.b > stock.fresh.b && deltaE00(stock.fresh, p.lab) >= 1);
  const touched = treated.reduce((s, p) => s + p.qty, 0);
  // While nobody has said what a bath takes it is not known what it costs, and not nothing.
  const takes = whiteningFor(workbench, touched);
  return settle('whiten', stock, after, {
    touched,
    cost: takes?.cost ?? 0,
    unpriced: takes ? 0 : touched,
    ...(takes ? { hours: takes.hours } : {}),
    goesOut: treated,
    comesIn: [],
  });
}
