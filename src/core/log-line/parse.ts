import type { Zone } from '../ledger';
import { lex, type Token } from './lexer';
import type { Clause, LineProblem, Syntax, TypedPieces } from './syntax';
import { VERB_KINDS } from './syntax';
import { opensTrailing, readTrailing } from './trailing';
import { zoneAt } from './zones';

const MAX_QTY = 100_000;

/** Reads the form of a log line: verbs, quantities, names still as words, trailing words. Positions are kept. */
export function parseLine(line: string, zones: readonly Zone[]): Syntax {
  const problems: LineProblem[] = [];
  const clauses: Clause[] = [];
  for (const { tokens, sealed } of cutClauses(lex(line))) {
    const clause = new ClauseReader(tokens, zones, problems).read(sealed);
    if (clause) clauses.push(clause);
  }
  return { clauses, problems };
}

function cutClauses(tokens: readonly Token[]): { tokens: Token[]; sealed: boolean }[] {
  const clauses: { tokens: Token[]; sealed: boolean }[] = [{ tokens: [], sealed: false }];
  for (const token of tokens) {
    const last = clauses.at(-1);
    if (token.kind === 'comma' || token.kind === 'semicolon') {
      if (last) last.sealed = token.kind === 'semicolon';
      clauses.push({ tokens: [], sealed: false });
    } else last?.tokens.push(token);
  }
  return clauses.filter((c) => c.tokens.length > 0);
}

/** Reads one clause from its tokens, noting problems as it goes. */
class ClauseReader {
  private at = 0;

  constructor(
    private readonly tokens: readonly Token[],
    private readonly zones: readonly Zone[],
    private readonly problems: LineProblem[],
  ) {}

  read(sealed: boolean): Clause | undefined {
    const [first, last] = [this.tokens[0], this.tokens.at(-1)];
    if (!first || !last) return undefined;
    const span = { start: first.start, end: last.end };
    this.noteUnclosed();
    if (first.kind !== 'verb') {
      this.problems.push({ problem: 'no verb', text: first.text, start: first.start, end: first.end });
      return undefined;
    }
    this.at = 1;
    const times = this.timesOfAssembly();
    const assembly = this.take('assembly');
    const pieces = assembly ? null : this.pieces();
    const also = pieces && first.text === '-' ? this.alsoOff() : [];
    const more = first.text === '=' ? this.lots() : this.swapped();
    const target = this.target(first.text);
    const { fromZone, toZone } = this.moveZones();
    const { trailing, problems } = readTrailing(this.tokens.slice(this.at), this.zones);
    this.problems.push(...problems);
    if (!pieces && !assembly) this.problems.push({ problem: 'nothing named', ...span });
    if (!(first.text in VERB_KINDS) && first.text !== '=')
      this.problems.push({ problem: 'no verb', text: first.text, start: first.start, end: first.end });
    return {
      verb: first.text,
      pieces,
      also,
      assembly,
      times,
      more,
      target,
      fromZone,
      toZone,
      trailing,
      sealed,
      ...span,
    };
  }

  private noteUnclosed(): void {
    for (const t of this.tokens)
      if (!t.closed && t.kind !== 'note')
        this.problems.push({ problem: 'unclosed', what: t.kind, start: t.start, end: t.end });
  }

  private peek(): Token | undefined {
    return this.tokens[this.at];
  }

  private take(kind: Token['kind']): Token | null {
    const token = this.peek();
    if (token?.kind !== kind) return null;
    this.at++;
    return token;
  }

  /** A quantity and the words that name an element, up to an operator or a trailing word. */
  private pieces(): TypedPieces | null {
    const first = this.at;
    const start = this.peek()?.start ?? 0;
    const before = this.quantity();
    const isBefore = this.at > first;
    const words = this.name();
    const end = words.at(-1)?.end ?? start;
    // "brick 1x4 chalk x12": the quantity behind, as lists write it.
    const last = words.at(-1);
    const isBehind = !isBefore && words.length > 1 && last?.kind === 'word' && /^[x×]\d+$/i.test(last.text);
    if (isBehind) words.pop();
    const qty = isBehind && last ? this.checked(Number(last.text.slice(1)), last) : before;
    return words.length > 0 ? { qty, words, start, end } : null;
  }

  /** The number before an assembly: `+3 [lamp]`; of anything else the number is read with its name. */
  private timesOfAssembly(): number {
    const isNext = [1, 2].some((n) => this.tokens[this.at + n]?.kind === 'assembly');
    if (!isNext) return 1;
    const at = this.at;
    const times = this.quantity();
    if (this.peek()?.kind === 'assembly') return times;
    this.at = at;
    return 1;
  }

  /** "12", "12x" or "12 x"; 1 where there is none. "2 x 4" is a size. */
  private quantity(): number {
    const token = this.peek();
    if (token?.kind !== 'word' || !/^\d+[x×]?$/i.test(token.text)) return 1;
    const [times, next] = [this.tokens[this.at + 1], this.tokens[this.at + 2]];
    const spaced = times?.kind === 'word' && /^[x×]$/i.test(times.text);
    if (spaced && next?.kind === 'word' && /^\d+$/.test(next.text)) return 1;
    this.at += spaced ? 2 : 1;
    return this.checked(parseInt(token.text, 10), token);
  }

  private checked(qty: number, token: Token): number {
    if (qty < 1 || qty > MAX_QTY)
      this.problems.push({ problem: 'quantity', text: token.text, start: token.start, end: token.end });
    return qty;
  }

  private name(): Token[] {
    const words: Token[] = [];
    for (let t = this.peek(); t; t = this.peek()) {
      const names = t.kind === 'word' || t.kind === 'exact' || t.kind === 'print';
      if (!names || opensTrailing(t) || (t.kind === 'word' && t.text.toLowerCase() === 'for')) break;
      words.push(t);
      this.at++;
    }
    return words;
  }

  private lots(): TypedPieces[] {
    const lots: TypedPieces[] = [];
    do {
      const pieces = this.pieces();
      if (pieces) lots.push(pieces);
    } while (this.take('and'));
    return lots;
  }

  private swapped(): TypedPieces[] {
    if (!this.take('slash')) return [];
    this.take('verb');
    return this.lots();
  }

  /** What else leaves in a swap: only a slash behind makes several parts one act. */
  private alsoOff(): TypedPieces[] {
    const isSwap = this.tokens.slice(this.at).some((t) => t.kind === 'slash');
    return isSwap && this.take('and') ? this.lots() : [];
  }

  private target(verb: string): Token[] | null {
    const wanted = verb === '~' || verb === '?' || verb === '^';
    const next = this.peek();
    const opens = next?.kind === 'arrow' || (next?.kind === 'word' && next.text.toLowerCase() === 'for');
    if (!opens || !next) {
      const end = this.tokens.at(-1)?.end ?? 0;
      if (wanted && verb !== '^') this.problems.push({ problem: 'no target', verb, start: end, end });
      return null;
    }
    this.at++;
    const words = this.name();
    if (words.length === 0)
      this.problems.push({ problem: 'no target', verb, start: next.start, end: next.end });
    return words.length > 0 ? words : null;
  }

  private moveZones(): { fromZone: Clause['fromZone']; toZone: Clause['toZone'] } {
    if (!this.take('colon')) return { fromZone: null, toZone: null };
    const isTo = (t: Token | undefined) => t?.kind === 'word' && t.text.toLowerCase() === 'to';
    const fromZone = isTo(this.peek()) ? null : this.zone();
    if (isTo(this.peek())) this.at++;
    const toZone = this.zone();
    return { fromZone, toZone };
  }

  private zone(): Clause['fromZone'] {
    const hit = zoneAt(this.tokens.slice(this.at), this.zones);
    const next = this.peek();
    if (hit) {
      this.at += hit.used;
      return hit.zone.id;
    }
    const end = next?.end ?? this.tokens.at(-1)?.end ?? 0;
    this.problems.push({
      problem: 'unknown zone',
      text: next?.text ?? '',
      zones: this.zones.map((z) => z.name),
      start: next?.start ?? end,
      end,
    });
    if (next?.kind === 'word') this.at++;
    return null;
  }
}
