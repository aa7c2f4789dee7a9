import { converter, modeLab65, modeRgb, parse as parseColour, useMode as registerMode } from 'culori/fn';
import type { ColourId } from '../shared/ids';
import { assert } from '../shared/assert';

/** CIE L*a*b* under D65, the white point of every colour number in Evarn. */
export interface LabD65 {
  readonly l: number;
  readonly a: number;
  readonly b: number;
  readonly white: 'D65';
}

export const FINISHES = ['solid', 'clear', 'metal', 'pearl', 'glow'] as const;
export type Finish = (typeof FINISHES)[number];

export const COLOUR_FAMILIES = [
  'white',
  'grey',
  'black',
  'brown',
  'tan',
  'red',
  'pink',
  'orange',
  'yellow',
  'green',
  'blue',
  'violet',
] as const;
export type ColourFamily = (typeof COLOUR_FAMILIES)[number];

/** One entry of a palette. */
export interface Colour {
  readonly id: ColourId;
  readonly code: string;
  readonly name: string;
  readonly family: ColourFamily;
  readonly finish: Finish;
  /** sRGB as #rrggbb. */
  readonly hex: string;
  readonly lab: LabD65;
}

// Only the two ways to write a colour that are used, and not all that the library knows.
registerMode(modeRgb);
registerMode(modeLab65);

const toLab65 = converter('lab65');
const toRgb = converter('rgb');

/** The Lab (D65) of an sRGB colour "#rrggbb" or "#rgb"; undefined when the text is no such colour. */
export function labOfHex(hex: string): LabD65 | undefined {
  if (!/^#([0-9a-f]{3}|[0-9a-f]{6})$/i.test(hex)) return undefined;
  const read = parseColour(hex);
  if (!read) return undefined;
  const lab = toLab65(read);
  return { l: lab.l, a: lab.a, b: lab.b, white: 'D65' };
}

/** `hex` in a light of strength `light`: 1 leaves it, below 1 darkens, above 1 lightens towards white. */
export function shadeHex(hex: string, light: number): string {
  const rgb = toRgb(hex);
  assert(rgb, 'a colour is written #rrggbb', hex);
  const channel = (v: number): string => {
    const lit = light <= 1 ? v * light : v + (1 - v) * (light - 1);
    return Math.round(Math.min(1, Math.max(0, lit)) * 255)
      .toString(16)
      .padStart(2, '0');
  };
  return `#${channel(rgb.r)}${channel(rgb.g)}${channel(rgb.b)}`;
}

/** What is legible on a brick's colour; undefined = a grey, for a colour that nobody knows. */
export const inkOn = (colour: Colour | undefined): string =>
  (colour?.lab.l ?? 60) > 55 ? '#161616' : '#f4f4f4';
