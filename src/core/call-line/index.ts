export { lex } from './lexer';
export type { Span } from './lexer';
export type { LineProblem } from './syntax';
export { Lexicon } from './lexicon';
export { understandLine } from './understand';
export type { CallContext, Understood, UnderstoodLine } from './understand';
export { completeAt } from './complete';
export type { Completion } from './complete';
export { printElement, printIntent, printLine } from './print';
