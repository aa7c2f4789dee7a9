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
 * A test for elements whose name has all the words of a search, in any order and by any part of a word. Sizes may be
 * typed with spaces and either cross: "2 × 3 cha" finds plate 2x3 chalk. An empty search finds everything.
 */
export function elementSearch(text: string): (element: ElementKey) => boolean {
  const words = searchWords(text);
  return (element) => {
    const name = elementName(element);
    return words.every((w) => name.includes(w));
  };
}

const collator = new Intl.Collator('en', { numeric: true });

/** Sorts elements by name, with sizes as numbers: 1x2 before 1x10. */
export const byElementName = (a: ElementKey, b: ElementKey): number =>
  collator.compare(elementName(a), elementName(b));
