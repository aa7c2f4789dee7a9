import type { Colour, LabD65 } from './colour';
import { labOfHex } from './colour';
import { deltaE00 } from './delta-e';
import { everydayColours } from './everyday';

export type ColourMatch =
  | { readonly how: 'exact'; readonly colour: Colour }
  | { readonly how: 'near'; readonly colour: Colour; readonly deltaE: number }
  | { readonly how: 'loose' | 'everyday'; readonly colour: Colour }
  | { readonly how: 'unknown'; readonly suggestions: readonly Colour[] };

/** Words of a colour's name or of a query: "Brick-Red" -> ["brick", "red"]. */
export const colourWords = (text: string): string[] =>
  text
    .normalize('NFKC')
    .toLowerCase()
    .split(/[^\p{L}\p{N}#]+/u)
    .filter(Boolean);

/** The `count` colours of `palette` that look nearest to `lab`, nearest first. */
export function nearestColours(lab: LabD65, palette: readonly Colour[], count: number) {
  return palette
    .map((colour) => ({ colour, deltaE: deltaE00(lab, colour.lab) }))
    .sort((x, y) => x.deltaE - y.deltaE)
    .slice(0, count);
}

/**
 * Finds a colour as a foreign list names it: by id, name or code; by hex (the nearest within ΔE00 8); by the words of
 * the name in any order, each a prefix; by everyday words ("dark grey"), the nearest of that family. What fits none, or
 * fits several alike, is `unknown` with suggestions.
 *
 * matchColour("Brick red", PALETTE) = { how: "exact", colour: brick-red }
 */
export function matchColour(text: string, palette: readonly Colour[]): ColourMatch {
  const words = colourWords(text);
  const joined = words.join('-');
  const exact = palette.find((c) => c.id === joined || c.name === joined || c.code.toLowerCase() === joined);
  if (exact) return { how: 'exact', colour: exact };
  const hex = /^#?([0-9a-f]{6})$/i.exec(text.trim());
  const lab = hex ? labOfHex(`#${hex[1]}`) : undefined;
  if (lab) return matchByLab(lab, palette);
  const loose = words.length === 0 ? [] : palette.filter((c) => wordsMatch(words, colourWords(c.name)));
  if (loose.length === 1 && loose[0]) return { how: 'loose', colour: loose[0] };
  const [everyday] = everydayColours(words, palette);
  if (everyday) return { how: 'everyday', colour: everyday };
  const partial = palette.filter((c) => colourWords(c.name).some((w) => words.includes(w)));
  const suggestions = [...loose, ...partial, ...palette.filter((c) => words.includes(c.family))];
  return { how: 'unknown', suggestions: [...new Set(suggestions)].slice(0, 6) };
}

function matchByLab(lab: LabD65, palette: readonly Colour[]): ColourMatch {
  const near = nearestColours(lab, palette, 6);
  const first = near[0];
  if (!first || first.deltaE > 8) return { how: 'unknown', suggestions: near.map((n) => n.colour) };
  if (first.deltaE < 0.5) return { how: 'exact', colour: first.colour };
  return { how: 'near', colour: first.colour, deltaE: first.deltaE };
}

function wordsMatch(query: readonly string[], name: readonly string[]): boolean {
  return query.every((q) => name.some((n) => n.startsWith(q))) && query.length >= name.length;
}
