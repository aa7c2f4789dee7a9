import { labOfHex, type Colour, type ColourFamily, type Finish, type LabD65 } from './colour';
import { deltaE00 } from './delta-e';

/** What an everyday word for a colour means: the families it may be of, nearest first, and about how it looks. */
interface Everyday {
  readonly families: readonly ColourFamily[];
  readonly hex: string;
  /** As it looks where it is called light or dark, where that is not halfway to white or black. */
  readonly light?: string;
  readonly dark?: string;
}

const GREY: Everyday = { families: ['grey'], hex: '#a3a7a8', light: '#a8acad', dark: '#62696e' };
const TAN: Everyday = { families: ['tan'], hex: '#d8bf8c', dark: '#a88a60' };
const VIOLET: Everyday = { families: ['violet'], hex: '#6f4a86' };
const TEAL: Everyday = { families: ['blue', 'green'], hex: '#2b8b95' };

/** The words are of the language, not of any palette: what a person calls a brick in front of them. */
const WORDS: Readonly<Record<string, Everyday>> = {
  white: { families: ['white'], hex: '#f1efe9' },
  cream: { families: ['white', 'tan'], hex: '#efe6c8' },
  black: { families: ['black'], hex: '#202326' },
  grey: GREY,
  gray: GREY,
  red: { families: ['red'], hex: '#a83222', dark: '#7a1e26' },
  maroon: { families: ['red'], hex: '#7a1e26' },
  pink: { families: ['pink'], hex: '#dc9bb0' },
  orange: { families: ['orange'], hex: '#e2701f', dark: '#b5541d' },
  yellow: { families: ['yellow'], hex: '#f0c326' },
  gold: { families: ['yellow'], hex: '#b5924c' },
  green: { families: ['green'], hex: '#3f7a48', light: '#8fb35c', dark: '#204a36' },
  lime: { families: ['green'], hex: '#96bb45' },
  olive: { families: ['green'], hex: '#7d8a4a' },
  blue: { families: ['blue'], hex: '#2559ab', light: '#84b3d2', dark: '#1c3f66' },
  navy: { families: ['blue'], hex: '#1c2b4a' },
  teal: TEAL,
  turquoise: TEAL,
  purple: VIOLET,
  violet: VIOLET,
  lilac: { families: ['violet'], hex: '#9a8ab8' },
  brown: { families: ['brown'], hex: '#5e3c28', dark: '#452f20' },
  tan: TAN,
  beige: TAN,
  sand: TAN,
  silver: { families: ['grey'], hex: '#b4b8bc' },
};

const SHADES: Readonly<Record<string, 'light' | 'dark' | 'as it is'>> = {
  light: 'light',
  pale: 'light',
  dark: 'dark',
  bright: 'as it is',
  medium: 'as it is',
  mid: 'as it is',
  plain: 'as it is',
};
const FINISH_WORDS: Readonly<Record<string, Finish>> = {
  transparent: 'clear',
  clear: 'clear',
  metallic: 'metal',
  metal: 'metal',
  pearl: 'pearl',
};
const METALS = ['gold', 'silver'];

/**
 * The colours that everyday words may mean, likeliest first: of their family and finish, by how near they look to what the
 * words say (CIEDE2000). Empty where the words are not all everyday ones.
 *
 * everydayColours(['dark', 'grey'], PALETTE)[0] = slate
 */
export function everydayColours(words: readonly string[], palette: readonly Colour[]): Colour[] {
  const shades = words.flatMap((w) => own(SHADES, w) ?? []);
  const finishes = words.flatMap((w) => own(FINISH_WORDS, w) ?? []);
  const bases = words.filter((w) => own(WORDS, w));
  const tints = words.filter((w) => /^[a-z]+ish$/.test(w));
  const base = own(WORDS, bases.at(-1) ?? '');
  if (!base || bases.length > 1) return [];
  if (shades.length + finishes.length + bases.length + tints.length !== words.length) return [];
  const finish = finishes[0] ?? (METALS.includes(bases[0] ?? '') ? 'metal' : 'solid');
  const lab = shaded(base, shades[0] ?? 'as it is');
  return palette
    .filter((c) => base.families.includes(c.family) && c.finish === finish)
    .map((colour) => ({ colour, far: deltaE00(lab, colour.lab) }))
    .sort((a, b) => a.far - b.far)
    .map((c) => c.colour);
}

/** What a table says of a word that anybody may type: "constructor" is none of its words. */
const own = <T>(table: Readonly<Record<string, T>>, word: string): T | undefined =>
  Object.hasOwn(table, word) ? table[word] : undefined;

const HALFWAY = 0.45;
const labOf = (hex: string): LabD65 => labOfHex(hex) ?? { l: 50, a: 0, b: 0, white: 'D65' };

function shaded(base: Everyday, shade: 'light' | 'dark' | 'as it is'): LabD65 {
  const own = shade === 'as it is' ? base.hex : base[shade];
  if (own) return labOf(own);
  const lab = labOf(base.hex);
  const end = shade === 'light' ? 96 : 4;
  return {
    l: lab.l + (end - lab.l) * HALFWAY,
    a: lab.a * (1 - HALFWAY),
    b: lab.b * (1 - HALFWAY),
    white: 'D65',
  };
}

/**
 * What anybody would call a colour: the everyday word, with light or dark where that is nearer, that looks most like it.
 *
 * plainColour(slate) = 'dark grey'
 */
export function plainColour({ lab, finish, family }: Colour): string {
  const near = Object.entries(WORDS).flatMap(([word, base]) =>
    base.families.includes(family)
      ? (['as it is', 'light', 'dark'] as const).map((shade) => ({
          words: shade === 'as it is' ? word : `${shade} ${word}`,
          far: deltaE00(shaded(base, shade), lab),
        }))
      : [],
  );
  const best = near.sort((a, b) => a.far - b.far)[0]?.words ?? family;
  if (finish === 'clear') return `clear ${best}`;
  return finish === 'solid' ? best : `${best}, ${finish}`;
}
