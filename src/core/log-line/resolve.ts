import { elementKey, partOf, splitElementKey, type ElementKey } from '../parts';
import { asId, type ColourId, type PartId } from '../shared/ids';
import { colourWords } from '../colour';
import type { Token } from './lexer';
import { partNamed, queryWords, type KnownPart, type Lexicon } from './lexicon';

/** What some words turned out to mean. */
export type Resolved =
  | { readonly status: 'one'; readonly element: ElementKey }
  | { readonly status: 'many'; readonly choices: readonly ElementKey[] }
  | {
      readonly status: 'none';
      readonly why: 'unknown part' | 'unknown colour' | 'no colour' | 'unread words';
      /** Words that name neither a part, a size nor a colour. */
      readonly unread?: string;
      readonly suggestions: readonly ElementKey[];
    };

interface PartHit {
  readonly id: PartId;
  readonly score: number;
  readonly known: KnownPart | undefined;
}
interface Hit {
  readonly element: ElementKey;
  readonly score: number;
}

const MOST_CHOICES = 12;

/**
 * Finds the element that typed words mean. Words match loosely and by prefix; the colour may stand last or first, or
 * be left out where only one is there. `present` narrows the choice to elements that can be meant at all (those on
 * the model, for a removal), as long as one of them fits.
 */
export function resolveElement(
  tokens: readonly Token[],
  lexicon: Lexicon,
  present?: (element: ElementKey) => boolean,
): Resolved {
  const print = tokens.find((t) => t.kind === 'print')?.text;
  const exact = tokens.find((t) => t.kind === 'exact');
  const words = queryWords(
    tokens
      .filter((t) => t.kind === 'word')
      .map((t) => t.text)
      .join(' '),
  );
  const hits = exact ? exactHits(exact.text, words, lexicon, print) : looseHits(words, lexicon, print);
  const colourless = hits.length === 0 && !exact ? colourlessHits(words, lexicon, present) : [];
  const all = hits.length > 0 ? hits : colourless;
  if (all.length === 0) return nothingFound(words, lexicon);
  const there = present ? all.filter((h) => present(h.element)) : [];
  const chosen = choose(there.length > 0 ? there : all);
  return exact ? chosen : askForUnread(chosen, lexicon);
}

/**
 * A part that nothing here knows, named with a word that means nothing else, is asked for and not made up: "brick 1x2 ahs"
 * is a slip of the finger far more often than a new part. Said in quotes it is taken as it stands.
 */
function askForUnread(chosen: Resolved, lexicon: Lexicon): Resolved {
  if (chosen.status !== 'one') return chosen;
  const { part, colour, print } = splitElementKey(chosen.element);
  const read = partOf(part);
  if (lexicon.part(part) || !read.read || read.variant === '') return chosen;
  const plain = partNamed(part.split(' ').filter((w) => !read.variant.split(' ').includes(w)));
  const suggestions = [...(plain ? [elementKey(plain.id, colour, print)] : []), chosen.element];
  return { status: 'none', why: 'unread words', unread: read.variant, suggestions };
}

function choose(hits: readonly Hit[]): Resolved {
  const best = Math.max(...hits.map((h) => h.score));
  const top = [...new Set(hits.filter((h) => h.score === best).map((h) => h.element))];
  const [first] = top;
  if (top.length === 1 && first) return { status: 'one', element: first };
  return { status: 'many', choices: top.sort().slice(0, MOST_CHOICES) };
}

/** Every way to part the words into a part and a colour, colour last or first. */
function looseHits(words: readonly string[], lexicon: Lexicon, print: string | undefined): Hit[] {
  const hits: Hit[] = [];
  for (let cut = 1; cut < words.length && cut <= 4; cut++) {
    const tail = lexicon.coloursLike(words.slice(-cut).flatMap(colourWords));
    if (tail.length > 0) hits.push(...combine(partHits(words.slice(0, -cut), lexicon), tail, lexicon, print));
    const head = lexicon.coloursLike(words.slice(0, cut).flatMap(colourWords)).filter((c) => c.whole);
    if (head.length > 0)
      hits.push(...combine(partHits(words.slice(cut), lexicon), head, lexicon, print).map(lessLikely));
  }
  return hits;
}

const lessLikely = (hit: Hit): Hit => ({ ...hit, score: hit.score - 0.5 });

function exactHits(
  name: string,
  words: readonly string[],
  lexicon: Lexicon,
  print: string | undefined,
): Hit[] {
  const part: PartHit = { id: asId<PartId>(name), score: 4, known: lexicon.part(asId<PartId>(name)) };
  return combine([part], lexicon.coloursLike(words.flatMap(colourWords)), lexicon, print);
}

/** The part was named but no colour: every colour of it that is there. */
function colourlessHits(
  words: readonly string[],
  lexicon: Lexicon,
  present: ((element: ElementKey) => boolean) | undefined,
): Hit[] {
  if (!present) return [];
  return partHits(words, lexicon).flatMap((p) =>
    (p.known?.elements ?? []).filter(present).map((element) => ({ element, score: p.score })),
  );
}

/** Parts that the words could name. A name in full beats a prefix, a prefix beats a name never seen before. */
function partHits(words: readonly string[], lexicon: Lexicon): PartHit[] {
  if (words.length === 0) return [];
  const named = partNamed(words);
  const knownNamed = named && lexicon.part(named.id);
  if (named && (knownNamed || named.plain)) return [{ id: named.id, score: 4, known: knownNamed }];
  const asWritten = lexicon.part(asId<PartId>(words.join(' ')));
  if (asWritten) return [{ id: asWritten.id, score: 4, known: asWritten }];
  const like = lexicon.partsLike(words);
  if (like.length > 0) {
    const fewest = Math.min(...like.map((p) => p.id.split(' ').length));
    return like.map((p) => ({ id: p.id, score: p.id.split(' ').length === fewest ? 2 : 1.5, known: p }));
  }
  return named ? [{ id: named.id, score: 1, known: undefined }] : [];
}

function combine(
  parts: readonly PartHit[],
  colours: readonly { id: ColourId; score: number }[],
  lexicon: Lexicon,
  print: string | undefined,
): Hit[] {
  return parts.flatMap((p) =>
    colours.flatMap((c) =>
      elementsOf(p, c.id, print).map((element) => ({ element, score: p.score + c.score })),
    ),
  );
}

/** With no print named, the plain element is meant, unless only printed ones are known. */
function elementsOf(part: PartHit, colour: ColourId, print: string | undefined): ElementKey[] {
  const sameColour = part.known?.byColour.get(colour) ?? [];
  if (print !== undefined) {
    const exact = elementKey(part.id, colour, print);
    if (sameColour.some((k) => k.element === exact)) return [exact];
    const like = sameColour.filter((k) => k.print.toLowerCase().startsWith(print.toLowerCase()) && k.print);
    return like.length > 0 ? like.map((k) => k.element) : [exact];
  }
  const printed = sameColour.filter((k) => k.print);
  const plain = elementKey(part.id, colour);
  return printed.length > 0 && printed.length === sameColour.length ? printed.map((k) => k.element) : [plain];
}

function nothingFound(words: readonly string[], lexicon: Lexicon): Resolved {
  const whole = partHits(words, lexicon);
  const suggestions = whole.flatMap((p) => p.known?.elements ?? []).slice(0, MOST_CHOICES);
  if (whole.some((p) => p.score > 1)) return { status: 'none', why: 'no colour', suggestions };
  for (let cut = 1; cut < words.length; cut++) {
    const shorter = partHits(words.slice(0, -cut), lexicon);
    if (shorter.length > 0) {
      const known = shorter.flatMap((p) => p.known?.elements ?? []).slice(0, MOST_CHOICES);
      return { status: 'none', why: 'unknown colour', suggestions: known };
    }
  }
  return { status: 'none', why: whole.length > 0 ? 'no colour' : 'unknown part', suggestions };
}
