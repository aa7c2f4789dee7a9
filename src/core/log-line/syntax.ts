import type { Condition, DestinationChoice, LoggedKind, SourceChoice, Why } from '../ledger';
import type { ZoneId } from '../shared/ids';
import type { Minor } from '../shared/money';
import type { Span, Token } from './lexer';

export const VERB_KINDS: Readonly<Record<string, LoggedKind>> = {
  '-': 'remove',
  '+': 'add',
  '~': 'recolour',
  '%': 'renew',
  '>': 'move',
  '?': 'placeholder',
  '!': 'missing',
  '*': 'replace-missing',
  '^': 'replacement',
};

/** An element as it was typed: a quantity and the words that name it. */
export interface TypedPieces extends Span {
  readonly qty: number;
  readonly words: readonly Token[];
}

/** Words that follow a clause. Undefined where they were not said. */
export interface Trailing {
  readonly zone?: ZoneId;
  readonly why?: Why;
  readonly source?: SourceChoice;
  readonly ownFrom?: string;
  readonly destination?: DestinationChoice;
  readonly condition?: Condition;
  readonly price?: Minor;
  readonly note?: string;
  readonly planned?: boolean;
  readonly hidden?: boolean;
}

/** One clause as typed, before anyone looked up what its words mean. */
export interface Clause extends Span {
  readonly verb: string;
  readonly pieces: TypedPieces | null;
  /** Further parts that leave in a swap: `-2 brick 1x2 ash & 1 tile 1x2 ash / …`. */
  readonly also: readonly TypedPieces[];
  /** `[name]` in place of pieces. */
  readonly assembly: Token | null;
  /** How often the assembly is placed: `+3 [lamp]`. */
  readonly times: number;
  /** After `/` in a swap, after `=` the lots of an assembly. */
  readonly more: readonly TypedPieces[];
  /** After `>` or `for`: the colour or element that is to be there. */
  readonly target: readonly Token[] | null;
  readonly fromZone: ZoneId | null;
  readonly toZone: ZoneId | null;
  readonly trailing: Trailing;
  /** True when a semicolon closes the clause, so that trailing words of the line do not reach it. */
  readonly sealed: boolean;
}

/** What is wrong at a place of the line. Words for people are made by the screen. */
export type LineProblem = Span &
  (
    | { readonly problem: 'no verb'; readonly text: string }
    | { readonly problem: 'nothing named' }
    | { readonly problem: 'quantity'; readonly text: string }
    | { readonly problem: 'unclosed'; readonly what: string }
    | { readonly problem: 'unknown zone'; readonly text: string; readonly zones: readonly string[] }
    | { readonly problem: 'unknown why'; readonly text: string }
    | { readonly problem: 'unknown place'; readonly text: string; readonly after: 'from' | 'to' }
    | { readonly problem: 'price'; readonly text: string }
    | { readonly problem: 'no target'; readonly verb: string }
    | { readonly problem: 'unexpected'; readonly text: string }
  );

export interface Syntax {
  readonly clauses: readonly Clause[];
  readonly problems: readonly LineProblem[];
}
