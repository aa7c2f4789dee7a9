import { formatFixed } from '@/core/shared/forms';
import { type Holding, type Remedy, type SeamHold, type WeakBecause } from '@/core/fit';
import { elementName } from '@/core/parts';
import type { Connection, Seam } from '@/core/records';
import { count } from '@/ui/numbers';
import { gramWords } from './fit';
import { list } from './places';

export const HOLDS_WORDS: Readonly<Record<Connection['holds'], string>> = {
  studs: 'studs',
  clip: 'a clip or hinge',
  friction: 'friction only',
};

const BECAUSE: Readonly<Record<WeakBecause, string>> = {
  'two studs': 'it holds by two studs or fewer',
  friction: 'it holds by friction only',
  clip: 'a clip slips in time',
  lever: 'its lever is long for what holds it',
};

/** The answer in a sentence: what is weak, and which seams are not as they should be. */
export function strengthHeadline(
  weak: readonly string[],
  seams: readonly { name: string; state: SeamHold['state'] }[],
): string {
  const off = seams.filter((s) => s.state !== 'good').map((s) => `${s.name} is ${s.state}`);
  if (weak.length === 0 && off.length === 0)
    return seams.length === 0
      ? 'Does it hold, and what lifts off?'
      : 'What was said holds, and what is to lift off does.';
  const places = weak.length > 0 ? [`${list([...weak])} ${weak.length === 1 ? 'is' : 'are'} weak`] : [];
  const says = [...places, ...off].join('; ');
  return `${says.charAt(0).toUpperCase()}${says.slice(1)}.`;
}

const newtonMm = (n: number): string => `${n < 10 ? formatFixed(n) : count(Math.round(n))} N·mm`;

/** "It pulls with 3.1 N·mm and bears at least 8.0; weak: it holds by two studs or fewer." */
export function holdingWords(h: Holding): string {
  const bears = `It pulls with ${newtonMm(h.pulls)}; what holds it bears at least ${newtonMm(h.bears)}.`;
  return h.because.length === 0
    ? `${bears} It holds.`
    : `▲ ${bears} ${sentence(list(h.because.map((b) => BECAUSE[b])))}`;
}

const sentence = (s: string): string => `${s.charAt(0).toUpperCase()}${s.slice(1)}.`;

const DOES: Readonly<Record<Remedy['does'], string>> = {
  row: 'A row of plates more beside it',
  'plate across': 'A longer plate across',
  'lock course': 'A course of bricks over it that locks it',
};

/** "A longer plate across: 1 plate 2x8 ash; it then bears 96 N·mm." */
export const remedyWords = (r: Remedy): string =>
  `${DOES[r.does]}: ${list(r.pieces.map((p) => `${count(p.qty)} ${elementName(p.element)}`))}; it then bears ${newtonMm(r.after.bears)}${
    r.after.because.length > 0 ? ', still weak' : ''
  }.`;

/** What a seam should keep: "At 4 studs it is good: from 2 to 12 hold it and let it go." */
export function seamWords(seam: Seam, h: SeamHold): string {
  const what = h.mass ? `${gramWords(h.mass)} lift off` : 'Say which zones lift off: without their weight';
  const state = { good: 'good', 'too loose': '▲ too loose', 'too tight': '▲ too tight' }[h.state];
  const seen = seam.tried ? ` (when it was lifted it ${seam.tried})` : '';
  return `${what}. ${count(seam.studs)} ${seam.studs === 1 ? 'stud' : 'studs'}: ${state}${seen}; from ${h.least} to ${h.most} hold it and let it go, lifting pulls with up to ${Math.round(h.pull)} N.`;
}

/** What to do about it: how many studs to leave, and where. */
export function leaveWords(seam: Seam, h: SeamHold): string {
  if (h.state === 'good') return '';
  const over = seam.studs - h.leave;
  const corners = h.leave >= 4 ? 'at the corners first' : 'at opposite ends';
  return over > 0
    ? `Leave ${h.leave}, ${corners}, and lay tiles on the other ${over}.`
    : `Leave ${h.leave}, ${corners}: ${-over} more in place of tiles.`;
}
