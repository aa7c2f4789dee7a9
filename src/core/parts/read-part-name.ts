import { asId, type PartId } from '../shared/ids';
import { FAMILIES, GENERAL, type Family } from './families';
import type { Part } from './part';

const NUMBER = String.raw`(?:\d+ \d+\/\d+|\d+\/\d+|\d+(?:\.\d+)?)`;
const SIZE = new RegExp(
  String.raw`(?<![\d/.])(${NUMBER})\s*x\s*(${NUMBER})(?:\s*x\s*(${NUMBER}))?(?![\d/x])`,
);
const ANGLE = /(?<![\dx/.])(10|18|25|30|33|40|45|53|55|60|65|75)\s*(?:°|deg(?:rees?)?\b)?(?![\dx/.])/;
const PRINT_WORDS = new Set([
  'print',
  'printed',
  'pattern',
  'patterned',
  'decorated',
  'sticker',
  'stickered',
]);
const NOISE = new Set(['a', 'an', 'the', 'of', 'and', 'type', 'size', '-', '&']);

/** A part's name as read, and the print that was named with it ("" when none). */
export interface ReadName {
  readonly part: Part;
  readonly print: string;
}

/**
 * Reads a part's free-text name into family, size and height.
 *
 * readPartName("Plate, 1 x 3").part.id = "plate 1x3"; readPartName("slope 45 2x1").part.id = "slope 45 2x1";
 * readPartName("tile 2x2 with compass print") = { part: "tile 2x2", print: "compass" }
 *
 * Sizes are in studs, heights in plates; the third number of a size counts bricks ("1x2x2" is 6 plates tall). What
 * fits no family keeps its text, lower-cased, as its id, with `read: false`.
 */
export function readPartName(text: string): ReadName {
  const cached = cache.get(text);
  if (cached) return cached;
  const fresh = readUncached(text);
  if (cache.size > 50_000) cache.clear();
  cache.set(text, fresh);
  return fresh;
}

const cache = new Map<string, ReadName>();

/** The part with this id. Ids are canonical names, so reading one gives the part back. */
export const partOf = (id: PartId): Part => readPartName(id).part;

function readUncached(text: string): ReadName {
  const { plain, print: bracketed } = takeBracketedPrint(normalise(text));
  const size = SIZE.exec(plain);
  let rest = size ? plain.replace(size[0], ' ') : plain;
  const probe = bestFamily(singularWords(rest));
  let angle: number | undefined;
  if (probe?.family.solid === 'slope' || probe?.family.solid === 'inverted-slope') {
    const found = ANGLE.exec(rest);
    if (found) {
      angle = Number(found[1]);
      rest = rest.replace(found[0], ' ');
    }
  }
  if (!probe) return { part: unread(plain), print: bracketed };
  const { variant, print } = takePrint(leftover(wordsOf(rest), probe.used));
  return { part: makePart(probe.family, size, angle, variant), print: bracketed || print };
}

function normalise(text: string): string {
  return text
    .normalize('NFKC')
    .toLowerCase()
    .replaceAll('|', '/')
    .replaceAll('⁄', '/')
    .replace(/[×*✕]/g, 'x')
    .replace(/(\d)\s*x\s*(?=\d)/g, '$1x')
    .replace(/[,;:_"'`]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
}

function takeBracketedPrint(text: string): { plain: string; print: string } {
  const found = /\(([^()]*)\)/.exec(text);
  if (!found) return { plain: text, print: '' };
  const inner = wordsOf(found[1] ?? '').filter((w) => !PRINT_WORDS.has(w) && w !== 'with');
  return {
    plain: text.replace(found[0], ' ').replace(/\s+/g, ' ').trim(),
    print: inner.join(' ') || 'printed',
  };
}

const wordsOf = (text: string): string[] => text.split(/[\s()]+/).filter(Boolean);

/** "plates" -> "plate", "arches" -> "arch"; "glass" and "tyre" stay. */
export function singular(word: string): string {
  if (/[a-z](ch|sh|ss|x)es$/.test(word)) return word.slice(0, -2);
  return /[a-z]{2}[^s]s$/.test(word) ? word.slice(0, -1) : word;
}

const singularWords = (text: string): string[] => wordsOf(text).map(singular);

interface Reading {
  readonly family: Family;
  readonly words: readonly string[];
  readonly keep: boolean;
}

const READINGS: readonly Reading[] = FAMILIES.flatMap((family) => [
  ...family.words.map((words) => ({
    family,
    words: words.flatMap((w) => (w.includes('-') ? w.split('-') : [w])).map(singular),
    keep: false,
  })),
  ...family.kinds.map((kind) => ({ family, words: [singular(kind)], keep: true })),
]).sort((a, b) => b.words.length - a.words.length);

/** The family most of whose words the name has: "round plate" beats "plate". */
function bestFamily(words: readonly string[]): { family: Family; used: ReadonlySet<string> } | undefined {
  const have = new Set(words.flatMap((w) => [w, ...w.split('-')]));
  const found = READINGS.find((r) => r.words.every((w) => have.has(w)));
  return found && { family: found.family, used: new Set(found.keep ? [] : found.words) };
}

function leftover(words: readonly string[], used: ReadonlySet<string>): string[] {
  return words.filter((w) => {
    const one = singular(w);
    return !NOISE.has(w) && !used.has(one) && !one.split('-').every((p) => used.has(p));
  });
}

/** "with compass print" -> print "compass"; other words stay as the variant. */
function takePrint(words: readonly string[]): { variant: string; print: string } {
  const at = words.findIndex((w) => PRINT_WORDS.has(w));
  const plain = (some: readonly string[]) => some.filter((w) => w !== 'with').join(' ');
  if (at < 0) return { variant: plain(words), print: '' };
  const opens = words.lastIndexOf('with', at);
  const start = opens >= 0 ? opens : at;
  const label = [...words.slice(start, at), ...words.slice(at + 1)].filter(
    (w) => w !== 'with' && !PRINT_WORDS.has(w),
  );
  return { variant: plain(words.slice(0, start)), print: label.join(' ') || 'printed' };
}

function numberOf(text: string): number {
  return text.split(' ').reduce((sum, piece) => {
    const [top, bottom] = piece.split('/').map(Number);
    return sum + (top ?? 0) / (bottom ?? 1);
  }, 0);
}

function makePart(
  family: Family,
  size: RegExpExecArray | null,
  angle: number | undefined,
  variant: string,
): Part {
  const a = size?.[1] ? numberOf(size[1]) : family.footprint[0];
  const b = size?.[2] ? numberOf(size[2]) : family.footprint[1];
  const dims: [number, number] = family.directed || a <= b ? [a, b] : [b, a];
  const tall = size?.[3] ? numberOf(size[3]) * 3 : family.height;
  const sizeText = size && `${trim(dims[0])}x${trim(dims[1])}${size[3] ? `x${asBricks(tall)}` : ''}`;
  const id = [family.name, angle, sizeText, variant].filter(Boolean).join(' ');
  return { id: asId<PartId>(id), family, size: dims, height: tall, angle, variant, read: true };
}

const trim = (n: number): string => String(Math.round(n * 1000) / 1000);

/** Heights in thirds of a brick are written as fractions: 2 plates -> "2/3", 4 -> "1 1/3". */
function asBricks(plates: number): string {
  const thirds = Math.round(plates);
  if (Math.abs(plates - thirds) > 1e-6) return trim(plates / 3);
  const whole = Math.floor(thirds / 3);
  const rest = thirds % 3;
  if (rest === 0) return String(whole);
  return whole ? `${whole} ${rest}/3` : `${rest}/3`;
}

function unread(text: string): Part {
  const name = wordsOf(text).join(' ') || 'unnamed part';
  return {
    id: asId<PartId>(name),
    family: GENERAL,
    size: GENERAL.footprint,
    height: GENERAL.height,
    variant: name,
    read: false,
  };
}
