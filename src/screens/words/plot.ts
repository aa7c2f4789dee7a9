import { formatLengths, formatNumber } from '@/core/shared/forms';
import type { DoorStep, housesMeet, LineStep, Stands, SticksOut, StoreySize } from '@/core/fit';
import { asBricksAndPlates, PLATE, type BaseUnder, type Block } from '@/core/fit';
import { elementName } from '@/core/parts';
import type { Size } from '@/core/records';
import { count } from '@/ui/numbers';
import { list } from './places';

export const studs = (n: number): string =>
  `${formatNumber(Math.round(n * 10) / 10)} ${n === 1 ? 'stud' : 'studs'}`;
export const plates = (n: number): string => `${count(n)} ${n === 1 ? 'plate' : 'plates'}`;

/** "10 bricks and 1 plate, 99.2 mm": a height in plates as one builds it. */
export function heightWords(n: number): string {
  const { bricks, plates: over } = asBricksAndPlates(n * PLATE);
  const parts = [
    bricks > 0 ? `${count(bricks)} ${bricks === 1 ? 'brick' : 'bricks'}` : '',
    over > 0 || bricks === 0 ? plates(over) : '',
  ].filter(Boolean);
  return `${list(parts)}, ${formatLengths([Math.round(n * PLATE * 10) / 10])}`;
}

/** "As planned 36 x 24 studs, 34 bricks tall: zones and planned walls make it larger than was measured." */
export function sizeWords(size: Size, measured: Size | null): string {
  const same =
    measured !== null &&
    (['length', 'width', 'height'] as const).every((k) => Math.abs(size[k] - measured[k]) < 1e-6);
  const says = `${studs(size.length)} along the street, ${studs(size.width)} deep, ${heightWords(Math.round(size.height * 3))} tall`;
  if (same) return `As planned it stays as measured: ${says}.`;
  return `As planned ${says}: ${measured ? 'its zones and planned walls reach beyond what was measured' : 'by its zones and planned walls, nothing was measured yet'}.`;
}

/** Does it fit its plot? In a sentence. */
export function plotWords({ plot, size, lies, out: zones }: Stands): string {
  if (plot.width === 0 || plot.depth === 0) return 'Where is it to stand?';
  if (!size || !lies)
    return `The plot is ${plot.width} x ${plot.depth} studs; the size of the build is not said yet.`;
  if (lies.fits && zones.length > 0)
    return `It is small enough, but ${list(zones.map((z) => z.name))} ${zones.length === 1 ? 'sticks' : 'stick'} out of the plot.`;
  if (lies.fits)
    return `It fits: ${studs(lies.width)} left in width, ${studs(lies.depth)} in depth behind what is kept free${
      lies.above === null ? '' : `, ${plates(lies.above)} above`
    }.`;
  const out = [
    lies.width < 0 ? `${studs(-lies.width)} in width` : '',
    lies.depth < 0 ? `${studs(-lies.depth)} in depth` : '',
    (lies.above ?? 0) < 0 ? `${plates(-lies.above!)} in height` : '',
  ].filter(Boolean);
  const against = lies.against.length > 0 ? `, against the neighbour on the ${list(lies.against)}` : '';
  return `It does not fit: it sticks out ${list(out)}${against}.`;
}

/** How lines of two houses meet: "2 plates meets; 32 plates is 2 higher than 30". */
const lineWords = (steps: readonly LineStep[]): string =>
  list(
    steps.map((s) =>
      s.plates === 0
        ? `${s.own} plates meets`
        : `${s.own} plates is ${Math.abs(s.plates)} ${s.plates > 0 ? 'higher' : 'lower'} than ${s.other}`,
    ),
  );

/** How two houses of a street meet: storeys, cornices and kerbs, as far as they are said. */
export function meetWords({ storeys, cornices, kerb }: ReturnType<typeof housesMeet>): string {
  const says = [
    storeys.length > 0 ? `storeys: ${lineWords(storeys)}` : '',
    cornices.length > 0 ? `cornices: ${lineWords(cornices)}` : '',
    kerb === null
      ? ''
      : kerb === 0
        ? 'the kerbs meet'
        : `its kerb is ${plates(Math.abs(kerb))} ${kerb > 0 ? 'higher' : 'lower'} than the neighbour’s`,
  ].filter(Boolean);
  return says.length === 0 ? 'say the storeys of both to see where they meet.' : `${says.join('; ')}.`;
}

/** "front door: 4 plates up, 2 steps": what lies before a door. */
export function doorWords(d: DoorStep): string {
  const name = d.name || `door at ${d.at}`;
  if (d.isOutside) return `▲ ${name} stands at ${studs(d.at)}, beyond the house`;
  if (d.plates === 0) return `${name}: level with the kerb, no step`;
  return `${name}: ${plates(Math.abs(d.plates))} ${d.plates > 0 ? 'up' : 'down'}, ${d.steps} ${d.steps === 1 ? 'step' : 'steps'}`;
}

/** A base under a plot: "24x32 at hand: 2 and 0 studs over". */
export function baseWords(b: BaseUnder): string {
  const size = b.name.replace(/^baseplate /, '');
  const there = b.atHand > 0 ? `${count(b.atHand)} at hand` : 'to buy';
  if (b.fits) return `${size}, ${there}: ${b.over[0]} studs over in width and ${b.over[1]} in depth`;
  const out = [
    b.over[0] < 0 ? `${studs(-b.over[0])} in width` : '',
    b.over[1] < 0 ? `${studs(-b.over[1])} in depth` : '',
  ].filter(Boolean);
  return `▲ ${size}, ${there}, is too small: the plot sticks out ${list(out)}`;
}

/** "2 studs on the right, 1 in front": where a zone sticks out, and the parts of its walls that would have to move. */
export function sticksOutWords(s: SticksOut): string {
  const sides = (['left', 'right', 'back'] as const)
    .filter((side) => s[side] > 0)
    .map((side) => `${studs(s[side])} on the ${side}`);
  const front = s.front > 0 ? [`${studs(s.front)} into what is kept free in front`] : [];
  const parts = s.lots.slice(0, 4).map((l) => `${count(l.qty)} ${elementName(l.element)}`);
  const more = s.lots.length > 4 ? [`${s.lots.length - 4} more kinds`] : [];
  const walls = parts.length > 0 ? `; of its walls ${list([...parts, ...more])} would have to move` : '';
  return `${list([...sides, ...front])}${walls}`;
}

/** "20 x 12 studs, 10 bricks, 96 mm tall" */
export const blockWords = (b: Block): string =>
  `${b.width} x ${b.depth} studs (${formatLengths([b.width * 8, b.depth * 8])}), ${heightWords(b.height)} tall`;

/** "from 30 plates: Upper floor, Balcony" */
export const storeyWords = (s: StoreySize): string =>
  `${s.from === 0 ? 'From the ground' : `From ${plates(s.from)}`}: ${list([...s.zones])}, ${blockWords(s.block)}.`;
