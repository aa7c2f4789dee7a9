import {
  BLANK_INTENT,
  joinedAct,
  settleKind,
  type Assembly,
  type Intent,
  type LoggedKind,
  type OpenPlaceholder,
  type Pieces,
  type Zone,
} from '../ledger';
import { colourWords } from '../colour';
import type { CopyId } from '../shared/ids';
import { inColour, type ElementKey } from '../parts';
import type { Span, Token } from './lexer';
import { queryWords, type Lexicon } from './lexicon';
import { parseLine } from './parse';
import { resolveElement, type Resolved } from './resolve';
import type { Clause, LineProblem, Trailing, TypedPieces } from './syntax';
import { VERB_KINDS } from './syntax';

/** What the log line can look things up in. */
export interface CallContext {
  readonly lexicon: Lexicon;
  readonly zones: readonly Zone[];
  readonly assemblies: readonly Assembly[];
  /** Boxes that are broken up for the build, by their names. */
  readonly boxes?: readonly { readonly id: CopyId; readonly name: string }[];
  /** True for elements on the model: what can be removed, moved or recoloured. */
  readonly onModel: (element: ElementKey) => boolean;
  /** True for elements at hand in spares, own parts or elsewhere. */
  readonly atHand: (element: ElementKey) => boolean;
  readonly placeholders: readonly OpenPlaceholder[];
}

/** One clause understood, or the one thing that keeps it from being understood. */
export type Understood = Span &
  (
    | { readonly status: 'intent'; readonly intent: Intent }
    | { readonly status: 'assembly'; readonly name: string; readonly lots: readonly Pieces[] }
    | { readonly status: 'ambiguous'; readonly at: Span; readonly choices: readonly ElementKey[] }
    | {
        readonly status: 'unknown';
        readonly at: Span;
        readonly text: string;
        readonly why:
          Extract<Resolved, { status: 'none' }>['why'] | 'unknown assembly' | 'no such placeholder';
        /** Of unread words: which these are. */
        readonly unread?: string;
        readonly suggestions: readonly ElementKey[];
      }
    | { readonly status: 'faulty' }
  );

export interface UnderstoodLine {
  readonly clauses: readonly Understood[];
  readonly problems: readonly LineProblem[];
}

/** Reads a whole log line: form first, then what its words mean, clause by clause. */
export function understandLine(line: string, context: CallContext): UnderstoodLine {
  const { clauses, problems } = parseLine(line, context.zones);
  const last = clauses.at(-1);
  const understood = clauses.map((clause) => {
    const faulty = problems.some((p) => p.start >= clause.start && p.end <= clause.end + 1);
    const span = { start: clause.start, end: clause.end };
    if (faulty) return { ...span, status: 'faulty' as const };
    const words =
      clause === last || clause.sealed || !last ? clause.trailing : { ...last.trailing, ...clause.trailing };
    return { ...span, ...readClause(clause, words, context) };
  });
  return { clauses: joinActs(understood, clauses), problems };
}

/** Clauses that are one act said in two: a part off, and as many of it in another colour on. A semicolon keeps them apart. */
function joinActs(understood: readonly Understood[], typed: readonly Clause[]): Understood[] {
  const joined: Understood[] = [];
  for (const [i, clause] of understood.entries()) {
    const before = joined.at(-1);
    const act =
      before?.status === 'intent' && clause.status === 'intent' && !typed[i - 1]?.sealed
        ? joinedAct(before.intent, clause.intent)
        : null;
    if (!before || !act) joined.push(clause);
    else joined[joined.length - 1] = { status: 'intent', intent: act, start: before.start, end: clause.end };
  }
  return joined;
}

type Reading = Understood extends infer U ? (U extends Span ? Omit<U, keyof Span> : never) : never;

class Stop extends Error {
  constructor(readonly reading: Reading) {
    super('a clause could not be understood');
  }
}

function readClause(clause: Clause, words: Trailing, context: CallContext): Reading {
  try {
    if (clause.verb === '=') return readAssembly(clause, context);
    return { status: 'intent', intent: readIntent(clause, words, context) };
  } catch (stop) {
    if (stop instanceof Stop) return stop.reading;
    throw stop;
  }
}

function readAssembly(clause: Clause, context: CallContext): Reading {
  const lots = clause.more.map((p) => ({ element: find(p.words, p, context, context.onModel), qty: p.qty }));
  if (!clause.assembly || lots.length === 0) return { status: 'faulty' };
  return { status: 'assembly', name: clause.assembly.text.trim(), lots };
}

function readIntent(clause: Clause, words: Trailing, context: CallContext): Intent {
  const isSwap = clause.verb === '-' && clause.more.length > 0;
  const kind: LoggedKind = isSwap ? 'swap' : (VERB_KINDS[clause.verb] ?? 'add');
  const base: Intent = {
    ...BLANK_INTENT,
    kind,
    zone: clause.fromZone ?? words.zone ?? null,
    toZone: clause.toZone,
    ...readSource(words, context),
    destination: words.destination ?? null,
    condition: words.condition ?? null,
    price: words.price ?? null,
    why: words.why ?? null,
    note: words.note ?? '',
    hidden: words.hidden ?? false,
    planned: words.planned ?? false,
  };
  if (clause.assembly) return withAssembly(base, clause.assembly, clause.times, context);
  const typed = clause.pieces;
  if (!typed) throw new Stop({ status: 'faulty' });
  return fill(base, clause, typed, context);
}

/** `from "kelp tower"` is the box of that name, where the build has one, and else own parts that came out of that. */
function readSource(
  { source, ownFrom = '' }: Trailing,
  context: CallContext,
): Pick<Intent, 'source' | 'boxes' | 'ownFrom'> {
  const name = ownFrom.toLowerCase();
  const named = name ? (context.boxes ?? []).filter((b) => b.name.toLowerCase() === name) : [];
  const boxes = named.map((b) => b.id);
  return boxes.length > 0
    ? { source: 'donor', boxes, ownFrom: '' }
    : { source: source ?? null, boxes: [], ownFrom };
}

function withAssembly(base: Intent, token: Token, times: number, context: CallContext): Intent {
  const name = token.text.trim().toLowerCase();
  const assembly =
    context.assemblies.find((a) => a.name.toLowerCase() === name) ??
    context.assemblies.find((a) => name !== '' && a.name.toLowerCase().startsWith(name));
  if (!assembly)
    throw new Stop({
      status: 'unknown',
      at: token,
      text: token.text,
      why: 'unknown assembly',
      suggestions: [],
    });
  const lots = assembly.lots.map(({ element, qty }) => ({ element, qty: qty * times }));
  const joins = base.kind === 'add' || base.kind === 'replace-missing';
  return { ...base, off: joins ? [] : lots, on: joins ? lots : [], assembly: assembly.id };
}

function fill(base: Intent, clause: Clause, typed: TypedPieces, context: CallContext): Intent {
  const { qty } = typed;
  const offModel = () => find(typed.words, typed, context, context.onModel);
  const anywhere = () => find(typed.words, typed, context, context.atHand);
  switch (base.kind) {
    case 'add':
    case 'replace-missing':
      return { ...base, on: [{ element: anywhere(), qty }] };
    case 'remove':
    case 'missing':
    case 'move':
      return { ...base, off: [{ element: offModel(), qty }] };
    case 'renew': {
      const element = offModel();
      return { ...base, off: [{ element, qty }], on: [{ element, qty }] };
    }
    case 'recolour': {
      const element = offModel();
      return { ...base, off: [{ element, qty }], on: [{ element: target(clause, element, context), qty }] };
    }
    case 'placeholder': {
      const element = anywhere();
      return { ...base, on: [{ element, qty }], standsFor: target(clause, element, context) };
    }
    case 'replacement': {
      const element = offModel();
      const right = clause.target ? target(clause, element, context) : awaited(element, typed, context);
      return { ...base, off: [{ element, qty }], on: [{ element: right, qty }], standsFor: right };
    }
    case 'swap': {
      if (clause.more.length === 0) throw new Stop({ status: 'faulty' });
      const each = (list: readonly TypedPieces[], present: (e: ElementKey) => boolean) =>
        list.map((p) => ({ element: find(p.words, p, context, present), qty: p.qty }));
      const off = each([typed, ...clause.also], context.onModel);
      return settleKind({ ...base, off: joined(off), on: joined(each(clause.more, context.atHand)) });
    }
  }
}

/** The same element named twice is one kind with the sum of both. */
function joined(pieces: readonly Pieces[]): Pieces[] {
  const sums = new Map<ElementKey, number>();
  for (const p of pieces) sums.set(p.element, (sums.get(p.element) ?? 0) + p.qty);
  return [...sums].map(([element, qty]) => ({ element, qty }));
}

/** What stands after `>` or `for`: a colour for the same part, or another element. */
function target(clause: Clause, element: ElementKey, context: CallContext): ElementKey {
  const tokens = clause.target ?? [];
  const words = tokens.filter((t) => t.kind === 'word').flatMap((t) => queryWords(t.text));
  if (tokens.every((t) => t.kind === 'word')) {
    const like = context.lexicon.coloursLike(words.flatMap(colourWords)).sort((a, b) => b.score - a.score);
    const [first, second] = like;
    if (first && (!second || first.score > second.score)) return inColour(element, first.id);
    if (first) {
      const top = like.filter((c) => c.score === first.score).map((c) => inColour(element, c.id));
      throw new Stop({ status: 'ambiguous', at: spanOf(tokens), choices: top });
    }
  }
  return find(tokens, spanOf(tokens), context, undefined);
}

function awaited(element: ElementKey, at: Span, context: CallContext): ElementKey {
  const open = context.placeholders.filter((s) => s.element === element);
  const [only] = open;
  if (open.length === 1 && only) return only.standsFor;
  if (open.length > 1) throw new Stop({ status: 'ambiguous', at, choices: open.map((s) => s.standsFor) });
  throw new Stop({ status: 'unknown', at, text: '', why: 'no such placeholder', suggestions: [] });
}

const spanOf = (tokens: readonly Token[]): Span => ({
  start: tokens[0]?.start ?? 0,
  end: tokens.at(-1)?.end ?? 0,
});

function find(
  tokens: readonly Token[],
  at: Span,
  context: CallContext,
  present: ((element: ElementKey) => boolean) | undefined,
): ElementKey {
  const resolved = resolveElement(tokens, context.lexicon, present);
  if (resolved.status === 'one') return resolved.element;
  const words = { start: tokens[0]?.start ?? at.start, end: at.end };
  if (resolved.status === 'many')
    throw new Stop({ status: 'ambiguous', at: words, choices: resolved.choices });
  const text = tokens.map((t) => t.text).join(' ');
  throw new Stop({
    status: 'unknown',
    at: words,
    text,
    why: resolved.why,
    ...(resolved.unread ? { unread: resolved.unread } : {}),
    suggestions: resolved.suggestions,
  });
}
