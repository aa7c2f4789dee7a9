import {
  adaptXyz,
  deltaE00,
  labOfXyzD65,
  temperatureOf,
  WHITE_D65,
  xyzOfLinear,
  type LabD65,
  type Xyz,
} from '../colour';
import { fail, ok, type Result } from '../shared/result';
import { sampleDisc, type Disc, type Pixels, type Sample } from './sample';

/** A card of known lightness, held beside the parts: Y of its white or grey, 0 to 1. */
export const CARDS = { white: 0.9, grey: 0.18 } as const;
export type CardKind = keyof typeof CARDS;

export interface PhotoMarks {
  /** One or more places on the card: with several, uneven light is undone between them. */
  readonly cards: readonly Disc[];
  readonly card: CardKind;
  readonly spots: readonly Disc[];
}

export type PhotoWarning =
  /** The light on the card, or between cards, differs by this share. */
  | { readonly warns: 'uneven light'; readonly share: number }
  /** The card's linear brightness, 0 to 1. */
  | { readonly warns: 'too little light'; readonly level: number }
  | { readonly warns: 'card tinted by strong light'; readonly kelvin: number };

export type SpotDoubt =
  'beyond the photo' | 'mostly clipped' | 'mostly glare or shadow' | 'not one colour' | 'too few pixels';

export interface SpotReading {
  readonly lab: LabD65;
  /** Standard error in ΔE00: of the spot's own pixels and of the card's. */
  readonly error: number;
  readonly pixels: number;
  /** Share of the disc that was left out, and why. */
  readonly clipped: number;
  readonly glare: number;
  readonly shadow: number;
  /** Undefined when the reading may be used. */
  readonly doubt?: SpotDoubt;
}

export interface PhotoReading {
  readonly spots: readonly SpotReading[];
  readonly warnings: readonly PhotoWarning[];
  /** Correlated colour temperature of the light, kelvin. */
  readonly kelvin: number;
}

export type PhotoFault =
  | { readonly fault: 'no card' }
  | { readonly fault: 'no spot' }
  | { readonly fault: 'card clipped'; readonly share: number }
  | { readonly fault: 'card too dark'; readonly level: number }
  | { readonly fault: 'outside'; readonly what: 'card' | 'spot'; readonly index: number };

const UNEVEN = 0.12;
const DARK = 0.02;
const LITTLE = 0.08;
/** What no mean takes away: a camera’s own rendering and a card that is not quite neutral, in ΔE00. */
const CAMERA = 0.5;

interface Card {
  readonly sample: Sample;
  readonly white: Xyz;
}

/**
 * Reads the colours of marked spots in a photo that shows a white or grey card in the same light. The card gives the
 * light's white; every spot is adapted from it to D65 (Bradford) and scaled so that the card has its known lightness.
 * Glare, shadow and clipped pixels are left out of both. Lab under D65.
 */
export function readPhoto(pixels: Pixels, marks: PhotoMarks): Result<PhotoReading, PhotoFault> {
  if (marks.cards.length === 0) return fail({ fault: 'no card' });
  if (marks.spots.length === 0) return fail({ fault: 'no spot' });
  const cards: Card[] = [];
  for (const [index, disc] of marks.cards.entries()) {
    const sample = sampleDisc(pixels, disc);
    if (!sample) return fail({ fault: 'outside', what: 'card', index });
    if (sample.clipped > 0.3) return fail({ fault: 'card clipped', share: sample.clipped });
    const seen = xyzOfLinear(sample.mean);
    if (seen[1] < DARK * CARDS[marks.card]) return fail({ fault: 'card too dark', level: seen[1] });
    const white = seen.map((v) => v / CARDS[marks.card]) as unknown as Xyz;
    cards.push({ sample, white });
  }
  const spots: SpotReading[] = [];
  for (const [index, disc] of marks.spots.entries()) {
    const sample = sampleDisc(pixels, disc);
    if (!sample) return fail({ fault: 'outside', what: 'spot', index });
    spots.push(readSpot(sample, whiteAt(cards, marks.cards, disc), cards));
  }
  const white = whiteAt(cards, marks.cards, marks.spots[0]!);
  return ok({ spots, warnings: warningsOf(cards, marks.card, white), kelvin: temperatureOf(white) });
}

/** The light at a place: that of the card marks, weighed by the inverse square of how far they are. */
function whiteAt(cards: readonly Card[], discs: readonly Disc[], at: Disc): Xyz {
  const weights = discs.map((d) => 1 / Math.max(1, (d.x - at.x) ** 2 + (d.y - at.y) ** 2));
  const sum = weights.reduce((a, b) => a + b, 0);
  const channel = (c: 0 | 1 | 2) => cards.reduce((s, card, i) => s + (card.white[c] * weights[i]!) / sum, 0);
  return [channel(0), channel(1), channel(2)];
}

function readSpot(sample: Sample, white: Xyz, cards: readonly Card[]): SpotReading {
  const toLab = (rgb: Xyz): LabD65 => labOfXyzD65(adaptXyz(xyzOfLinear(rgb), white, WHITE_D65));
  const lab = toLab(sample.mean);
  const shifted = (by: 1 | -1): LabD65 =>
    toLab(sample.mean.map((v, c) => v + by * sample.error[c as 0 | 1 | 2]) as unknown as Xyz);
  const own = Math.max(deltaE00(lab, shifted(1)), deltaE00(lab, shifted(-1)));
  const cardShare = Math.max(...cards.map((c) => c.sample.error[1] / Math.max(1e-6, c.sample.mean[1])));
  const card = deltaE00(lab, toLab(sample.mean.map((v) => v * (1 + cardShare)) as unknown as Xyz));
  const { clipped, glare, shadow } = sample;
  const doubt = doubtOf(sample);
  return {
    lab,
    error: Math.hypot(own, card, CAMERA),
    pixels: sample.used,
    clipped,
    glare,
    shadow,
    ...(doubt ? { doubt } : {}),
  };
}

/** Why a spot's reading should not be used, worst first. */
function doubtOf(sample: Sample): SpotDoubt | undefined {
  if (sample.clipped > 0.5) return 'mostly clipped';
  if (sample.used < 12) return 'too few pixels';
  if (sample.floored > 0.1) return 'beyond the photo';
  if (sample.glare + sample.shadow > 0.5) return 'mostly glare or shadow';
  return sample.relativeSpread > 0.25 ? 'not one colour' : undefined;
}

function warningsOf(cards: readonly Card[], kind: CardKind, white: Xyz): PhotoWarning[] {
  const warnings: PhotoWarning[] = [];
  const levels = cards.map((c) => c.white[1]);
  const between = 1 - Math.min(...levels) / Math.max(...levels);
  const share = Math.max(between, ...cards.map((c) => c.sample.slope));
  if (share > UNEVEN) warnings.push({ warns: 'uneven light', share });
  const level = Math.max(...levels) * CARDS[kind];
  if (Math.max(...levels) < LITTLE) warnings.push({ warns: 'too little light', level });
  const kelvin = temperatureOf(white);
  if (kelvin < 1700 || kelvin > 20_000) warnings.push({ warns: 'card tinted by strong light', kelvin });
  return warnings;
}
