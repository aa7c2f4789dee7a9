export { FINISHES, COLOUR_FAMILIES, labOfHex, shadeHex } from './colour';
export type { Colour, ColourFamily, Finish } from './colour';
export { PALETTE, makeColour } from './palette';
export { colourWords, deltaE00, matchColour, nearestColours } from './match';
export type { ColourMatch } from './match';
