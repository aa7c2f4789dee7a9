import { WHYS } from '../ledger';
import { colourWords } from '../colour';
import { partOf, type ElementKey } from '../parts';
import type { ColourId } from '../shared/ids';
import { lex, type Span, type Token } from './lexer';
import { partNamed, queryWords, type KnownPart } from './lexicon';
import { placesBegun, placeText } from './places';
import { printElement } from './print';
import type { CallContext } from './understand';
import { opensTrailing } from './trailing';

/** One way to go on: the text to put in place of `span`. */
export interface Completion {
  readonly span: Span;
  readonly text: string;
  readonly element: ElementKey | null;
  readonly what: 'element' | 'zone' | 'why' | 'place' | 'assembly';
}

const MOST = 8;

/** Ways to complete what stands before the caret, likeliest first. */
export function completeAt(line: string, caret: number, context: CallContext): Completion[] {
  const before = lex(line.slice(0, caret));
  const cut = before.findLastIndex((t) => t.kind === 'comma' || t.kind === 'semicolon');
  const clause = before.slice(cut + 1);
  const last = clause.at(-1);
  if (!last || last.end < caret - 1) return [];
  const atWord = last.end === caret;
  if (last.kind === 'assembly' && !last.closed) return assemblies(last, context);
  if (last.kind === 'word' && atWord) {
    const tag = tagged(last, context) ?? placeAfter(clause, last);
    if (tag) return tag;
  }
  return elements(clause, caret, context);
}

function assemblies(token: Token, context: CallContext): Completion[] {
  const typed = token.text.trim().toLowerCase();
  return context.assemblies
    .filter((a) => a.name.toLowerCase().startsWith(typed))
    .map((a) => ({ span: token, text: `[${a.name}]`, element: null, what: 'assembly' }));
}

function tagged(token: Token, context: CallContext): Completion[] | undefined {
  const typed = token.text.slice(1).toLowerCase();
  if (token.text.startsWith('#'))
    return WHYS.filter((w) => w.startsWith(typed)).map((w) => ({
      span: token,
      text: `#${w}`,
      element: null,
      what: 'why',
    }));
  if (!token.text.startsWith('@')) return undefined;
  return context.zones
    .filter(
      (z) => z.name.toLowerCase().startsWith(typed) || colourWords(z.name).some((w) => w.startsWith(typed)),
    )
    .slice(0, MOST)
    .map((z) => ({ span: token, text: `@${z.name}`, element: null, what: 'zone' }));
}

function placeAfter(clause: readonly Token[], last: Token): Completion[] | undefined {
  const previous = clause.at(-2)?.text.toLowerCase();
  if (previous !== 'from' && previous !== 'to') return undefined;
  if (previous === 'to' && clause.some((t) => t.kind === 'colon')) return undefined;
  return placesBegun(previous, last.text).map((place) => ({
    span: last,
    text: placeText(place),
    element: null,
    what: 'place',
  }));
}

/** Elements that the words typed so far begin to name. */
function elements(clause: readonly Token[], caret: number, context: CallContext): Completion[] {
  const opening = clause.findLastIndex((t) => ['verb', 'slash', 'and', 'arrow'].includes(t.kind));
  const opener = clause[opening];
  if (!opener || opener.kind === 'arrow') return opener ? targets(clause, opening, context) : [];
  const verb = clause.findLast((t) => t.kind === 'verb')?.text ?? '+';
  const body = clause.slice(opening + 1).filter((t, i) => !isQuantity(t.text, i, clause[opening + 1]?.text));
  if (body.length === 0 || body.some(opensTrailing)) return [];
  const words = queryWords(body.map((t) => t.text).join(' '));
  const span = { start: body[0]?.start ?? caret, end: body.at(-1)?.end ?? caret };
  const present = '-~%>!^'.includes(verb) ? context.onModel : context.atHand;
  return rank(words, context, present, '-~%>!^'.includes(verb)).map((element) => ({
    span,
    text: printElement(element),
    element,
    what: 'element',
  }));
}

/** "12", "12x", or the "x" after a number: no word of a part's name. */
const isQuantity = (text: string, i: number, first = ''): boolean =>
  (i === 0 && /^\d+[x×]?$/i.test(text)) || (i === 1 && /^[x×]$/i.test(text) && /^\d+$/.test(first));

function rank(
  words: readonly string[],
  context: CallContext,
  present: (element: ElementKey) => boolean,
  only: boolean,
): ElementKey[] {
  const found = new Map<ElementKey, number>();
  for (let cut = 0; cut < Math.min(words.length, 4); cut++) {
    const tail = words.slice(words.length - cut).flatMap(colourWords);
    const head = words.slice(0, words.length - cut);
    const plain = head.join(' ');
    // "tile 1x2" names a family in full: those come before a slope that is also called a tile, wherever it lies.
    const named = partNamed(head);
    const family = named && partOf(named.id).family.name;
    // Which colours the words name is found once, not for every element.
    const fitting = tail.length > 0 ? context.lexicon.coloursLike(tail).map((c) => c.id) : null;
    for (const part of context.lexicon.partsLike(head)) {
      const meant = family && partOf(part.id).family.name === family ? 12 : 0;
      const exact = part.id === plain ? 4 : partOf(part.id).variant === '' ? 1 : 0;
      for (const element of fitting ? elementsIn(part, fitting) : part.elements) {
        if (found.has(element)) continue;
        const here = present(element);
        if (here || !only) found.set(element, (here ? 10 : 0) + meant + exact + cut * 5);
      }
    }
  }
  // Thousands may fit "1x2": only those that may be among the first are put in order.
  const least = Float64Array.from(found.values()).sort().at(-MOST) ?? -Infinity;
  return [...found]
    .filter(([, score]) => score >= least)
    .sort(([a, x], [b, y]) => y - x || (a < b ? -1 : 1))
    .slice(0, MOST)
    .map(([e]) => e);
}

const elementsIn = (part: KnownPart, colours: readonly ColourId[]): ElementKey[] =>
  colours.flatMap((c) => part.byColour.get(c)?.map((k) => k.element) ?? []);

/** After an arrow: colours that the words begin. */
function targets(clause: readonly Token[], opening: number, context: CallContext): Completion[] {
  const body = clause.slice(opening + 1);
  const [first] = body;
  const last = body.at(-1);
  if (!first || !last || body.some((t) => t.kind !== 'word' || opensTrailing(t))) return [];
  const words = body.flatMap((t) => colourWords(t.text));
  return context.lexicon
    .coloursLike(words)
    .sort((a, b) => b.score - a.score)
    .slice(0, MOST)
    .map((c) => ({
      span: { start: first.start, end: last.end },
      text: c.id,
      element: null,
      what: 'element',
    }));
}
