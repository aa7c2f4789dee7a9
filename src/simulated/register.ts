import type { Made, Register } from '@/core/mismatch';
import { PALETTE } from '@/core/colour';
import { partOf, splitElementKey, type ElementKey } from '@/core/parts';

/** Colours by how many shapes they were made in: the first take nearly all, the last few. */
const COMMON = ['chalk', 'ash', 'slate', 'soot', 'brick-red', 'dune', 'deep', 'amber', 'bark', 'kelp'];
const USUAL = [
  'milk',
  'flint',
  'mist',
  'signal',
  'gorse',
  'fern',
  'gentian',
  'sky',
  'berry',
  'hide',
  'midnight',
];

/** Colours that began or ended in a year, by decree of the demo. */
const SINCE: Readonly<Record<string, number>> = {
  oyster: 2009,
  dove: 2011,
  thunder: 2012,
  moonstone: 2015,
  cocoa: 2016,
};
const UNTIL: Readonly<Record<string, number>> = { bone: 2012, harbour: 2016, straw: 2018, rope: 2008 };

const hash = (text: string): number =>
  [...text].reduce((h, c) => Math.imul(h ^ c.charCodeAt(0), 16777619) >>> 0, 2166136261) / 4294967296;

/** What the demo's story needs to be so. */
const FACTS: Readonly<Record<string, Made>> = {
  'boat door 1x6|kelp': { made: true, from: 2012, to: null },
  'round plate 1x1|bark': { made: false },
  'slope 45 1x2|brick-red': { made: true, from: 1998, to: null },
  'hull 4x8x2|milk': { made: false },
};

/**
 * The register's simulated placeholder: which part was made in which colour, from when to when. The same for everybody and
 * for ever: an element's fate comes out of its own name. Common shapes in common colours are nearly all made.
 */
export const simulatedRegister: Register = {
  look(element: ElementKey): Made {
    const { part, colour } = splitElementKey(element);
    const fact = FACTS[`${part}|${colour}`];
    if (fact) return fact;
    const { family, read } = partOf(part);
    if (!read || !PALETTE.some((c) => c.id === colour)) return { made: false };
    const chance = colourChance(colour) * (PLAIN.has(family.group) ? 1 : 0.62);
    if (hash(`made ${part} ${colour}`) > chance) return { made: false };
    const from = Math.max(SINCE[colour] ?? 1979, 1979 + Math.floor(hash(`from ${part} ${colour}`) * 38));
    const until = UNTIL[colour];
    const retired =
      until ??
      (hash(`end ${part} ${colour}`) < 0.16 ? from + 4 + Math.floor(hash(`to ${element}`) * 14) : null);
    return {
      made: true,
      from: until ? Math.min(from, until - 1) : from,
      to: retired && retired < 2026 ? retired : null,
    };
  },
};

const PLAIN: ReadonlySet<string> = new Set(['Bricks', 'Plates', 'Tiles', 'Slopes', 'Rounds']);

function colourChance(colour: string): number {
  if (COMMON.includes(colour)) return 0.97;
  return USUAL.includes(colour) ? 0.8 : 0.5;
}
