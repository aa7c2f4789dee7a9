import { CONDITIONS, type Zone } from '../ledger';
import { LIMITS } from '../shared/bounds';
import { readMoney } from '../shared/money';
import type { Token } from './lexer';
import type { LineProblem, Trailing } from './syntax';
import { endsPlace, placeNamed } from './places';
import { whyNamed } from './whys';
import { zoneAt } from './zones';

const includes = <T extends string>(list: readonly T[], text: string): text is T =>
  (list as readonly string[]).includes(text);

/** Words that end the naming of an element and begin what is said about it. */
export function opensTrailing(token: Token): boolean {
  if (token.kind === 'note') return true;
  if (token.kind !== 'word') return false;
  const text = token.text.toLowerCase();
  return (
    /^[@#]/.test(text) ||
    ['from', 'to', 'plan', 'planned', 'hidden', 'at', 'own', 'buy', 'bought'].includes(text) ||
    includes(CONDITIONS, text)
  );
}

/** Reads the words after a clause, in any order. */
export function readTrailing(
  tokens: readonly Token[],
  zones: readonly Zone[],
): { trailing: Trailing; problems: LineProblem[] } {
  const state: State = { tokens, zones, at: 0, trailing: {}, problems: [] };
  while (state.at < tokens.length) readOne(state);
  return { trailing: state.trailing, problems: state.problems };
}

interface State {
  readonly tokens: readonly Token[];
  readonly zones: readonly Zone[];
  at: number;
  trailing: Trailing;
  readonly problems: LineProblem[];
}

function readOne(s: State): void {
  const token = s.tokens[s.at];
  if (!token) return;
  const { start, end } = token;
  const text = token.text.toLowerCase();
  s.at++;
  if (token.kind === 'note') {
    if (!token.closed) s.problems.push({ problem: 'unclosed', what: '"', start, end });
    s.trailing = { ...s.trailing, note: token.text };
  } else if (token.kind !== 'word') s.problems.push({ problem: 'unexpected', text: token.text, start, end });
  else if (text.startsWith('@')) readZone(s, token);
  else if (text.startsWith('#')) readWhy(s, token);
  else if (text === 'from' || text === 'to') readPlace(s, text, token);
  else if (text === 'at') readPrice(s, token);
  else if (text === 'plan' || text === 'planned') s.trailing = { ...s.trailing, planned: true };
  else if (text === 'own') s.trailing = { ...s.trailing, source: 'own' };
  else if (text === 'buy') s.trailing = { ...s.trailing, source: 'outside', planned: true };
  else if (text === 'bought') readBought(s);
  else if (text === 'hidden') s.trailing = { ...s.trailing, hidden: true };
  else if (includes(CONDITIONS, text)) s.trailing = { ...s.trailing, condition: text };
  else s.problems.push({ problem: 'unexpected', text: token.text, start, end });
}

function readZone(s: State, token: Token): void {
  const rest = token.text.slice(1);
  const tail = s.tokens.slice(s.at);
  const named = rest ? [{ ...token, text: rest, start: token.start + 1 }, ...tail] : tail;
  const hit = zoneAt(named, s.zones);
  if (!hit) {
    const text = named[0]?.text ?? '';
    const end = rest ? token.end : (tail[0]?.end ?? token.end);
    s.problems.push({
      problem: 'unknown zone',
      text,
      zones: s.zones.map((z) => z.name),
      start: token.start,
      end,
    });
    if (!rest && tail[0]?.kind === 'note') s.at++;
    return;
  }
  s.at += hit.used - (rest ? 1 : 0);
  s.trailing = { ...s.trailing, zone: hit.zone.id };
}

function readWhy(s: State, token: Token): void {
  const why = whyNamed(token.text.slice(1).toLowerCase());
  if (why) s.trailing = { ...s.trailing, why };
  else
    s.problems.push({
      problem: 'unknown why',
      text: token.text.slice(1),
      start: token.start,
      end: token.end,
    });
}

/** "bought", and at what price if that follows. */
function readBought(s: State): void {
  const next = s.tokens[s.at];
  const price = next?.kind === 'word' ? readMoney(next.text) : undefined;
  if (price !== undefined) s.at++;
  s.trailing = { ...s.trailing, source: 'outside', ...(price === undefined ? {} : { price }) };
}

function readPlace(s: State, after: 'from' | 'to', token: Token): void {
  const next = s.tokens[s.at];
  if (after === 'from' && next?.kind === 'note') return readOwnFrom(s, next);
  const text = next?.kind === 'word' ? next.text.toLowerCase() : '';
  const choice = placeNamed(after, text);
  if (next && next.kind === 'word') s.at++;
  const second = s.tokens[s.at];
  if (choice && second?.kind === 'word' && endsPlace(choice, text, second.text)) s.at++;
  if (!choice) {
    const end = next?.kind === 'word' ? next.end : token.end;
    s.problems.push({ problem: 'unknown place', text, after, start: token.start, end });
  } else if (after === 'from') s.trailing = { ...s.trailing, source: choice as Trailing['source'] };
  else s.trailing = { ...s.trailing, destination: choice as Trailing['destination'] };
}

/** `from "night tram, 1998"`: own parts that came out of something with a name. */
function readOwnFrom(s: State, named: Token): void {
  s.at++;
  const ownFrom = named.text.trim().slice(0, LIMITS.sourceName);
  if (!named.closed) s.problems.push({ problem: 'unclosed', what: '"', start: named.start, end: named.end });
  s.trailing = { ...s.trailing, source: 'own', ownFrom };
}

function readPrice(s: State, token: Token): void {
  const next = s.tokens[s.at];
  const price = next?.kind === 'word' ? readMoney(next.text) : undefined;
  if (next?.kind === 'word') s.at++;
  if (price === undefined)
    s.problems.push({
      problem: 'price',
      text: next?.text ?? '',
      start: token.start,
      end: next?.end ?? token.end,
    });
  else s.trailing = { ...s.trailing, price };
}
