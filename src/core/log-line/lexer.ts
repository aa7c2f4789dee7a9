/** A piece of the line with where it stands: `start` inclusive, `end` exclusive, in UTF-16 units. */
export interface Span {
  readonly start: number;
  readonly end: number;
}

export type TokenKind =
  | 'verb' // - + ~ % > ? ! * ^ = at the start of a clause
  | 'word'
  | 'note' // "double quotes"
  | 'exact' // 'single quotes': a part's name taken as it stands
  | 'print' // (brackets)
  | 'assembly' // [square brackets]
  | 'slash'
  | 'arrow'
  | 'colon'
  | 'and'
  | 'comma'
  | 'semicolon';

export interface Token extends Span {
  readonly kind: TokenKind;
  /** The text without its quotes or brackets, escapes undone. */
  readonly text: string;
  /** False when a closing quote or bracket is still to come. */
  readonly closed: boolean;
}

const VERBS: Readonly<Record<string, string>> = { '−': '-', '–': '-', '—': '-' };
const VERB = /[-+~%>?!*^=−–—]/;
const SINGLE: Readonly<Record<string, TokenKind>> = {
  '>': 'arrow',
  ':': 'colon',
  '&': 'and',
  ',': 'comma',
  ';': 'semicolon',
};
const PAIRS: Readonly<Record<string, readonly [close: string, kind: TokenKind]>> = {
  '"': ['"', 'note'],
  "'": ["'", 'exact'],
  '(': [')', 'print'],
  '[': [']', 'assembly'],
};

/** Cuts a log line into tokens. Never fails: what is odd becomes a word, and a later stage says so. */
export function lex(line: string): Token[] {
  const tokens: Token[] = [];
  let at = 0;
  while (at < line.length) {
    const c = line[at] ?? '';
    if (/\s/.test(c)) {
      at++;
      continue;
    }
    const token = lexOne(line, at, tokens);
    tokens.push(token);
    at = token.end;
  }
  return tokens;
}

function lexOne(line: string, at: number, before: readonly Token[]): Token {
  const c = line[at] ?? '';
  const last = before.at(-1);
  const opensClause = !last || last.kind === 'comma' || last.kind === 'semicolon' || last.kind === 'slash';
  const one = (kind: TokenKind, text = c): Token => ({ kind, text, start: at, end: at + 1, closed: true });
  if (opensClause && VERB.test(c)) return one('verb', VERBS[c] ?? c);
  const pair = PAIRS[c];
  if (pair) return lexPair(line, at, pair[0], pair[1]);
  const single = SINGLE[c];
  if (single) return one(single);
  if (c === '/' && /^\/(\s|[+\d]|$)/.test(line.slice(at)) && /\s/.test(line[at - 1] ?? ' '))
    return one('slash');
  return lexWord(line, at);
}

function lexPair(line: string, start: number, close: string, kind: TokenKind): Token {
  let text = '';
  let at = start + 1;
  while (at < line.length && line[at] !== close) {
    if (line[at] === '\\' && at + 1 < line.length) at++;
    text += line[at];
    at++;
  }
  const closed = line[at] === close;
  return { kind, text, start, end: closed ? at + 1 : at, closed };
}

function lexWord(line: string, start: number): Token {
  let at = start;
  while (at < line.length && !/[\s,;>:&"'()[\]]/.test(line[at] ?? '')) at++;
  at = Math.max(at, start + 1);
  return { kind: 'word', text: line.slice(start, at), start, end: at, closed: true };
}
