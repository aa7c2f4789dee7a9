export { FINISHES, COLOUR_FAMILIES, inkOn, labOfHex, shadeHex } from './colour';
export type { Colour, ColourFamily, Finish, LabD65 } from './colour';
export { PALETTE, makeColour } from './palette';
export { everydayColours, plainColour } from './everyday';
export { deltaE00 } from './delta-e';
export type { ColourDifference } from './delta-e';
export { colourWords, matchColour, nearestColours } from './match';
export type { ColourMatch } from './match';
export { splitDifference } from './differences';
export type { DifferenceParts } from './differences';
export { asThresholds, DEFAULT_THRESHOLDS, fadingGrade, FADING_GRADES } from './fading';
export type { FadingGrade, FadingThresholds } from './fading';
export { averageReadings, ENOUGH, enoughReadings } from './readings';
export type { AveragedLab, EnoughOptions } from './readings';
export {
  adaptXyz,
  byteOfLinear,
  hexOfLab,
  labOfXyzD65,
  LINEAR_OF_BYTE,
  linearOfXyz,
  temperatureOf,
  WHITE_D65,
  whiteOfTemperature,
  xyzD65OfLab,
  xyzOfLinear,
} from './light';
export type { Xyz } from './light';
