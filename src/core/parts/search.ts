import { elementName, type ElementKey } from './part';

/** The words of a search, sizes closed up: "2 × 3 Cha" is "2x3" and "cha". */
export const searchWords = (text: string): string[] =>
  text
    .normalize('NFKC')
    .toLowerCase()
    .replace(/(\d)\s*[x×]\s*(?=\d)/g, '$1x')
    .split(/[\s,]+/)
    .filter(Boolean);

/**
 * A test for what is said of something: all words of a search must be in it, in any order, upper and lower case alike.
 * An empty search finds everything.
 *
 * saysWords('bark 1x4')('tile 1x4 bark, Roof') = true
 */
export function saysWords(text: string): (said: string) => boolean {
  const words = searchWords(text);
  return (said) => {
    const low = said.toLowerCase();
    return words.every((w) => low.includes(w));
  };
}

/**
 * A test for elements whose name has all the words of a search, in any order and by any part of a word. Sizes may be
 * typed with spaces and either cross: "2 × 3 cha" finds plate 2x3 chalk. An empty search finds everything.
 */
export function elementSearch(text: string): (element: ElementKey) => boolean {
  const has = saysWords(text);
  return (element) => has(elementName(element));
}

/** Made when something is first sorted: it takes a browser longer than the rest of a page's set-up. */
let collator: Intl.Collator | undefined;
const compareNames = (a: string, b: string): number =>
  (collator ??= new Intl.Collator('en', { numeric: true })).compare(a, b);

/** Sorts elements by name, with sizes as numbers: 1x2 before 1x10. */
export const byElementName = (a: ElementKey, b: ElementKey): number =>
  compareNames(elementName(a), elementName(b));

/**
 * A list sorted by the names of its elements, as `byElementName` does, each name made once: for the thousands of kinds of a
 * collection.
 *
 * sortedByName([{ element: plate1x10 }, { element: plate1x2 }], (l) => l.element) = plate 1x2, plate 1x10
 */
export function sortedByName<T>(list: readonly T[], elementOf: (item: T) => ElementKey): T[] {
  return list
    .map((item) => ({ item, name: elementName(elementOf(item)) }))
    .sort((a, b) => compareNames(a.name, b.name))
    .map(({ item }) => item);
}
