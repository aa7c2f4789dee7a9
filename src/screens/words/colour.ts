import { formatFixed } from '@/core/shared/forms';
import type { AgedApart, Audit, Availability, Fix, Made, Mismatch, MismatchKind } from '@/core/mismatch';
import type { LeftBecause } from '@/core/recolouring';
import type { FadingGrade } from '@/core/colour';
import type { Because, FadingOptionName, OptionsReport } from '@/core/fading';
import { splitElementKey, type Weakness } from '@/core/parts';
import { count, money, pieces } from '@/ui/numbers';
import { FADING_OPTION_WORDS } from './inspection';

export const MISMATCH_WORDS: Readonly<Record<MismatchKind, string>> = {
  'odd one': 'odd among its like',
  'near miss': 'near miss',
  'broken stripe': 'stripe broken',
  'mirror differs': 'the other side differs',
  'off scheme': 'off the scheme',
  'exposed filler': 'filler that is seen',
  placeholder: 'placeholder still waiting',
};

/** Why it reads as a mistake, in the figures it rests on: "2 of it beside 8 in berry; kelp is nowhere else in Wharf." */
export function evidenceWords(m: Mismatch, zone: string): string {
  const [is, to] = [m.element, m.to].map((e) => splitElementKey(e).colour);
  const sure = `${Math.round(100 * m.sure)} % sure.`;
  if (!m.evidence) return m.sure === 1 ? 'You said so.' : `It is not of the colours of ${zone}: ${sure}`;
  const { like, elsewhere, leads, mirror } = m.evidence;
  const words = [
    `${count(m.qty)} in ${is} beside ${count(like)} of the same in ${to}`,
    elsewhere === 0
      ? `${is} is nowhere else in ${zone}`
      : `${pieces(elsewhere)} of other parts of ${zone} in ${is}${leads > 0 ? `, ${leads === 1 ? 'one part' : `${count(leads)} parts`} mostly so` : ''}`,
    mirror === 'differs'
      ? `the other side has ${to} there`
      : mirror === 'the same'
        ? 'the other side has the same'
        : '',
  ];
  return `${words.filter(Boolean).join('; ')}: ${sure}`;
}

export const madeWords = (made: Made, can: Availability): string =>
  can === 'never' || !made.made
    ? 'never made in it'
    : made.from === 0
      ? 'came in a box'
      : can === 'retired'
        ? `made ${made.from} to ${made.to}, retired`
        : `made since ${made.from}`;

export const WEAKNESS_WORDS: Readonly<Record<Weakness, string>> = {
  'a joint across it': 'adds a joint across it: overlap it above or below',
  'a joint along it': 'adds a joint along it: tie the halves together',
  'layers instead of one piece': 'layers hold less than one piece, and show their lines',
};

export const LEFT_WORDS: Readonly<Record<LeftBecause, string>> = {
  print: 'printed',
  hidden: 'hidden',
  'never made': 'never made in it',
  'no longer made': 'no longer made',
  'not in its boxes': 'not in the boxes that it is bound to',
};

const NUMBERS = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];
export const inWords = (n: number): string => NUMBERS[n] ?? count(n);

/** "14 mismatches in five zones. £3.84 fixes four fifths of what is visible." */
export function auditHeadline(audit: Audit): string {
  const { open, curve, shows } = audit;
  const waiting = audit.fixes.filter((f) => !f.mismatch.left && f.planned < f.mismatch.qty);
  if (waiting.length === 0) {
    const none = audit.fixes.some((f) => !f.mismatch.left)
      ? 'Every mismatch is planned for.'
      : 'No colour here reads as a mistake.';
    const aged = audit.aged.filter((a) => a.planned === 0).reduce((s, a) => s + a.qty, 0);
    return aged > 0 ? `${none} ${count(aged)} ${aged === 1 ? 'piece has' : 'pieces have'} aged apart.` : none;
  }
  const zones = new Set(waiting.map((f) => f.mismatch.zone)).size;
  const mismatches = `${count(waiting.length)} ${waiting.length === 1 ? 'mismatch' : 'mismatches'} in ${inWords(zones)} ${zones === 1 ? 'zone' : 'zones'}.`;
  if (open.length === 0) return `${mismatches} None of them can be bought as it should be.`;
  const reach = curve.steps.at(-1)?.value ?? 0;
  const [share, words] = reach >= 0.8 * shows ? [0.8, 'four fifths'] : [0.5, 'half'];
  const step = curve.steps.find((s) => s.value >= share * shows);
  const all = step && step.value >= shows - 1e-9;
  return step
    ? `${mismatches} ${money(step.cost)} fixes ${all ? 'all' : words} of what is visible.`
    : `${mismatches} ${money(curve.steps.at(-1)?.cost ?? 0)} fixes ${Math.round((100 * reach) / Math.max(1e-9, shows))} % of what is visible; the rest is not available.`;
}

/** How pieces stand apart by their age, and what that rests on: "apart from 30 beside them; noted by eye, 93 % sure". */
export function agedWords(a: AgedApart): string {
  return [
    `apart from ${count(a.beside)} of their colour beside them`,
    a.doubt > 0
      ? `noted by eye, ${Math.round(100 * a.sure)} % sure that it shows: read the worst and the best with a meter`
      : 'measured',
    a.unknown > 0 ? `${count(a.unknown)} more were neither noted nor read` : '',
    a.planned > 0 ? `a plan for ${count(a.planned)} stands` : '',
  ]
    .filter((words) => words !== '')
    .join('; ');
}

/** Where a fix's pieces come from: "3 from own parts, buy 2 at about £0.09". */
export function fixSource(f: Fix): string {
  const each = f.each === null ? '' : ` at ${f.estimated ? 'about ' : ''}${money(f.each)}`;
  const parts = [
    f.planned > 0 ? `${f.planned} planned` : '',
    f.fromSpares > 0 ? `${f.fromSpares} from the spares` : '',
    f.fromBoxes > 0 ? `${f.fromBoxes} from its boxes` : '',
    f.fromStock > 0 ? `${f.fromStock} from own parts` : '',
    f.roughly > 0 ? `${f.roughly} own, uncounted` : '',
    f.toBuy > 0 ? `buy ${f.toBuy}${each}` : '',
  ];
  return parts.filter(Boolean).join(', ');
}

export const costWords = (f: Fix): string =>
  f.planned >= f.mismatch.qty ? 'planned' : f.cost === null ? 'no price' : money(f.cost);

const BECAUSE: Readonly<Record<Because, (r: OptionsReport) => string>> = {
  'not seen': (r) => `no two seen pieces are ΔE ${r.limit} apart, so nothing shows.`,
  'cheapest that is not seen': (r) =>
    `it is the cheapest that brings every two seen pieces within ΔE ${r.limit}.`,
  'least spread': (r) => `nothing brings them within ΔE ${r.limit}; this comes nearest.`,
};

/** "Match by age, from all at hand, because it is the cheapest that …" */
export const recommendation = (r: OptionsReport): string =>
  `${FADING_OPTION_WORDS[r.recommended as FadingOptionName]}: ${BECAUSE[r.because](r)}`;

export const FADING_SHORT: Readonly<Record<FadingGrade, string>> = {
  'cannot be seen': 'not seen',
  'seen side by side': 'side by side',
  'seen close up': 'close up',
  'seen at arm’s length': 'arm’s length',
  'seen across the room': 'across the room',
};

const DIFFERENCES: readonly (readonly [below: number, words: string])[] = [
  [1, 'the same to the eye'],
  [2.5, 'hardly different'],
  [5, 'slightly different'],
  [10, 'clearly different'],
];

/**
 * How far apart two colours are, in words, with the measure behind: differenceWords(25.1) = "very different (ΔE 25)".
 */
export const differenceWords = (deltaE: number): string =>
  `${differenceName(deltaE)} (ΔE ${deltaE < 10 ? formatFixed(deltaE) : formatFixed(deltaE, 0)})`;

/** How far apart two colours are, in a word or two. */
export const differenceName = (deltaE: number): string =>
  DIFFERENCES.find(([below]) => deltaE < below)?.[1] ?? 'very different';
