import { colourWords, everydayColours, type Colour } from '../colour';
import { partOf, readPartName, singular, splitElementKey, type ElementKey } from '../parts';
import type { ColourId, PartId } from '../shared/ids';

/** A part that is known by name, with its words ready to compare, and its elements. */
export interface KnownPart {
  readonly id: PartId;
  readonly words: readonly string[];
  readonly elements: readonly ElementKey[];
  /** The same by colour: a key stroke asks for those of a few colours, and not for all. */
  readonly byColour: ReadonlyMap<ColourId, readonly KnownElement[]>;
}

export interface KnownElement {
  readonly element: ElementKey;
  readonly print: string;
}

export interface KnownColour {
  readonly colour: Colour;
  /** Its name in lower case, whole and word by word. */
  readonly name: string;
  readonly words: readonly string[];
}

/** 3 the whole name, 2 from its start, 1 by a later word; everyday words in between, the likeliest colour first. */
export type Score = number;

/** A colour that words could mean; `whole` where they are all of its name, or an everyday name for it. */
export interface LikeColour {
  readonly id: ColourId;
  readonly score: Score;
  readonly whole: boolean;
}

/** All parts and colours that the log line knows, indexed so that a keystroke costs little. */
export class Lexicon {
  readonly colours: readonly KnownColour[];
  private readonly parts = new Map<PartId, KnownPart>();
  private readonly bySize = new Map<string, KnownPart[]>();

  /** `aliases`: what a person said that other names mean, by their words. */
  constructor(
    elements: Iterable<ElementKey>,
    private readonly palette: readonly Colour[],
    private readonly aliases: ReadonlyMap<string, ColourId> = new Map(),
  ) {
    this.colours = palette.map((colour) => ({
      colour,
      name: colour.name.toLowerCase(),
      words: colourWords(colour.name),
    }));
    const grouped = new Map<PartId, Map<ColourId, KnownElement[]>>();
    for (const element of elements) {
      const { part, colour, print } = splitElementKey(element);
      const colours = listed(grouped, part, () => new Map<ColourId, KnownElement[]>());
      listed(colours, colour, () => []).push({ element, print });
    }
    for (const [id, byColour] of grouped) this.learn(id, byColour);
  }

  private learn(id: PartId, byColour: KnownPart['byColour']): void {
    const elements = [...byColour.values()].flatMap((known) => known.map((k) => k.element));
    const known = { id, words: partWords(id), elements, byColour };
    this.parts.set(id, known);
    for (const word of known.words) {
      const key = sizeKey(word);
      if (!key) continue;
      const list = this.bySize.get(key);
      if (list) list.push(known);
      else this.bySize.set(key, [known]);
    }
  }

  part(id: PartId): KnownPart | undefined {
    return this.parts.get(id);
  }

  /** Known parts all of whose query words begin one of their words; sizes match either way round. */
  partsLike(query: readonly string[]): KnownPart[] {
    const size = query.map(sizeKey).find(Boolean);
    const pool = size ? (this.bySize.get(size) ?? []) : [...this.parts.values()];
    const words = query.filter((q) => !sizeKey(q));
    return pool.filter((p) => words.every((q) => p.words.some((w) => w.startsWith(q) || singular(q) === w)));
  }

  /** How well words name a colour: 3 the whole name, 2 from its start, 1 by a later word, 0 not at all. */
  scoreColour(query: readonly string[], known: KnownColour): Score {
    const joined = query.join('-');
    if (known.colour.id === joined || known.name === query.join(' ')) return 3;
    const { words } = known;
    if (query.length <= words.length && query.every((q, i) => words[i]?.startsWith(q))) return 2;
    return query.every((q) => words.some((w) => w.startsWith(q))) ? 1 : 0;
  }

  /** Colours that the words could mean, with how well they fit. */
  coloursLike(query: readonly string[]): LikeColour[] {
    if (query.length === 0 || query.length > 6) return [];
    const alias = this.aliases.get(query.join(' '));
    const named = this.colours
      .map((k) => ({ id: k.colour.id, score: k.colour.id === alias ? 3 : this.scoreColour(query, k) }))
      .filter((c) => c.score > 0)
      .map((c): LikeColour => ({ ...c, whole: c.score === 3 }));
    return named.some((c) => c.score >= 2) ? named : this.withEveryday(query, named);
  }

  /** What everyday words mean comes before what they name by a later word: "grey" is a colour, and no word of a name. */
  private withEveryday(query: readonly string[], named: readonly LikeColour[]): LikeColour[] {
    const everyday = everydayColours(query, this.palette).map(({ id }, i) => ({
      id,
      score: 2 - i / 100,
      whole: true,
    }));
    const known = new Set(everyday.map((c) => c.id));
    return [...everyday, ...named.filter((c) => !known.has(c.id))];
  }
}

/** What a map has under a key, put there first where there is nothing yet. */
function listed<K, V>(map: Map<K, V>, key: K, make: () => V): V {
  const there = map.get(key);
  if (there !== undefined) return there;
  const made = make();
  map.set(key, made);
  return made;
}

const partWords = (id: PartId): string[] => {
  const part = partOf(id);
  const others = part.read ? part.family.words.flat() : [];
  return [...new Set([...id.split(' '), ...others])];
};

/** "3x1" and "1x3" are one size to a hurried hand. Undefined for words that are no size. */
function sizeKey(word: string): string | undefined {
  if (!/^[\d./]+x[\d./x]+$/.test(word)) return undefined;
  const [a = '', b = '', ...rest] = word.split('x');
  return [...[a, b].sort(), ...rest].join('x');
}

/** Splits typed text into query words for parts: lower case, "2 x 3" joined, commas and quotes gone. */
export const queryWords = (text: string): string[] =>
  text
    .normalize('NFKC')
    .toLowerCase()
    .replace(/×/g, 'x')
    .replace(/(\d)\s*x\s*(?=\d)/g, '$1x')
    .split(/[\s,]+/)
    .filter(Boolean);

/** The part that the words name in full, if they do. It is plain when it has a size and no words left over. */
export function partNamed(words: readonly string[]): { id: PartId; plain: boolean } | undefined {
  const { part } = readPartName(words.join(' '));
  const sized = words.some(sizeKey);
  return part.read ? { id: part.id, plain: part.variant === '' && sized } : undefined;
}
