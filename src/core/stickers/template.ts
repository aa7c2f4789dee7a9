import { partOf, splitElementKey } from '../parts';
import type { Sticker, StripJob } from '../records';
import type { Workbench } from '../workbench';
import type { CutProblem } from './cutting';
import type { ScrapCuts, Stripe } from './stripes';

/** Papers that a template can be printed on, mm. */
export const PAPERS = { A4: { w: 210, h: 297 }, Letter: { w: 215.9, h: 279.4 } } as const;
export type Paper = keyof typeof PAPERS;

/** What is drawn, in millimetres from the drawing's lower left corner. */
export type Shape =
  | {
      readonly kind: 'rect';
      readonly x: number;
      readonly y: number;
      readonly w: number;
      readonly h: number;
      readonly look: 'piece' | 'strip' | 'part' | 'bleed';
    }
  | {
      readonly kind: 'line';
      readonly x1: number;
      readonly y1: number;
      readonly x2: number;
      readonly y2: number;
      readonly look: 'cut' | 'align' | 'edge';
    }
  | { readonly kind: 'cross'; readonly x: number; readonly y: number }
  | {
      readonly kind: 'text';
      readonly x: number;
      readonly y: number;
      readonly text: string;
      readonly size: number;
    };

/** One drawing at true size, with what is said above it. */
export interface Drawing {
  readonly title: string;
  readonly says: readonly string[];
  readonly w: number;
  readonly h: number;
  readonly shapes: readonly Shape[];
}

const STUD = 8;
/** Printed beyond the motif, so that a cut that strays shows no white edge. */
export const BLEED = 2;

const text = (x: number, y: number, words: string, size = 2.5): Shape => ({
  kind: 'text',
  x,
  y,
  text: words,
  size,
});
const crosses = (w: number, h: number): Shape[] =>
  [
    [0, 0],
    [w, 0],
    [0, h],
    [w, h],
  ].map(([x, y]) => ({ kind: 'cross' as const, x: x!, y: y! }));

/** A ruler of 100 mm with a tick each 10, and a longer one at its ends and its middle: whether the print is true. */
export function rulerDrawing(): Drawing {
  const ticks = Array.from({ length: 11 }, (_, i): Shape => ({
    kind: 'line',
    x1: i * 10,
    y1: 0,
    x2: i * 10,
    y2: i % 5 === 0 ? 5 : 3,
    look: 'edge',
  }));
  return {
    title: 'Is it true?',
    says: [
      'This line must measure 100 mm. If it does not, print again at actual size, with no fitting to the page.',
      'If it still measures N mm, print at 100 x 100 / N percent: at 98 mm that is 102 percent.',
    ],
    w: 100,
    h: 9,
    shapes: [
      { kind: 'line', x1: 0, y1: 0, x2: 100, y2: 0, look: 'edge' },
      ...ticks,
      text(0, 6, '0'),
      text(96, 6, '100 mm'),
    ],
  };
}

/** How wide a letter is on average, as a share of its height, in the sans-serif that templates are set in. */
const LETTER = 0.52;
/** Smaller than this nobody reads. */
const LEAST = 1.3;

/** The first of some words that fit into a strip, from the fullest; none where none does. */
export function labelIn(
  at: { readonly x: number; readonly y: number },
  w: number,
  h: number,
  words: readonly string[],
): Shape[] {
  for (const said of words) {
    const size = Math.min(2.2, h * 0.7, (w - 1.4) / (LETTER * said.length));
    if (size >= LEAST) return [text(at.x + 0.7, at.y + h / 2 - size * 0.36, said, size)];
  }
  return [];
}

/** Numbers of cuts along the right and the upper side: one that would lie on another stands farther out. */
class Numbers {
  private readonly taken: { readonly beside: boolean; readonly at: number; readonly out: number }[] = [];

  constructor(
    private readonly w: number,
    private readonly h: number,
  ) {}

  at(beside: boolean, at: number, words: string): Shape {
    let out = 0;
    while (this.taken.some((t) => t.beside === beside && t.out === out && Math.abs(t.at - at) < 2.6)) out++;
    this.taken.push({ beside, at, out });
    return beside
      ? text(at - 0.8, this.h + 1.5 + 2.8 * out, words)
      : text(this.w + 1.5 + 3.4 * out, at - 0.8, words);
  }
}

/** The piece of a sheet with its stripes and cuts, to lie under it or on it. */
export function scrapDrawing(cut: ScrapCuts, problem: CutProblem, job: StripJob): Drawing {
  const { scrap, placed, cuts } = cut;
  const { w, h } = scrap.field.rests[scrap.rest]!;
  const strips = placed.flatMap((p): Shape[] => {
    const size = problem.strips.find((s) => s.id === p.strip);
    if (!size) return [];
    const [pw, ph] = p.along ? [size.l, size.w] : [size.w, size.l];
    const name = job.strips.find((s) => s.id === p.strip)?.name ?? '';
    return [
      { kind: 'rect', x: p.x, y: p.y, w: pw, h: ph, look: 'strip' },
      ...labelIn(p, pw, ph, [`${name} ${size.w} x ${size.l}`, `${size.w} x ${size.l}`]),
    ];
  });
  const numbers = new Numbers(w, h);
  const lines = cuts.flatMap(({ piece, beside, at }, i): Shape[] => [
    beside
      ? { kind: 'line', x1: at, y1: piece.y, x2: at, y2: piece.y + piece.h, look: 'cut' }
      : { kind: 'line', x1: piece.x, y1: at, x2: piece.x + piece.w, y2: at, look: 'cut' },
    numbers.at(beside, at, `${i + 1}`),
  ]);
  return {
    title: `${scrap.sheet.name}, ${scrap.field.name}`,
    says: [`${w} x ${h} mm, ${placed.length} stripes, ${cuts.length} cuts in the order of their numbers.`],
    w,
    h,
    shapes: [{ kind: 'rect', x: 0, y: 0, w, h, look: 'piece' }, ...strips, ...lines, ...crosses(w, h)],
  };
}

/** Studs of a part along its longer side. */
const longSide = (element: Stripe['elements'][number]): number => {
  const [a, b] = partOf(splitElementKey(element).part).size;
  return Math.max(a, b);
};

/**
 * A stripe over the parts it crosses, with the lines to align it by, and the jig that holds them in line: a fence of tiles along
 * their lower edges, on plates that reach one stud beyond them on each side. Null for a stripe on no parts.
 */
export function alignDrawing(stripe: Stripe): Drawing | null {
  if (stripe.elements.length === 0) return null;
  const lengths = stripe.elements.map((e) => longSide(e) * STUD);
  const long = lengths.reduce((s, l) => s + l, 0);
  const high = Math.max(STUD, Math.ceil(stripe.w / STUD) * STUD);
  const low = (high - stripe.w) / 2;
  const start = (long - stripe.l) / 2;
  let x = STUD;
  const parts = stripe.elements.flatMap((e, i): Shape[] => {
    const at = x;
    x += lengths[i]!;
    return [
      { kind: 'rect', x: at, y: STUD, w: lengths[i]!, h: high, look: 'part' },
      text(at + 1, STUD + high - 3, splitElementKey(e).part, 2),
    ];
  });
  const studs = long / STUD;
  return {
    title: `${stripe.name}: over ${stripe.elements.length === 1 ? 'its part' : 'its parts'}`,
    says: [
      `Lower edge ${round(low)} mm above the parts' lower edge; it begins ${round(Math.max(0, start))} mm from their left end.`,
      `Jig: plates ${studs + 2} studs long and ${high / STUD + 2} deep; a row of tiles ${studs} studs long along the front is the fence.`,
    ],
    w: long + 2 * STUD,
    h: high + 2 * STUD,
    shapes: [
      { kind: 'rect', x: 0, y: 0, w: long + 2 * STUD, h: high + 2 * STUD, look: 'piece' },
      { kind: 'rect', x: STUD, y: 0, w: long, h: STUD, look: 'part' },
      text(STUD + 1, 3, 'fence of tiles', 2),
      ...parts,
      { kind: 'rect', x: STUD + start, y: STUD + low, w: stripe.l, h: stripe.w, look: 'strip' },
      { kind: 'line', x1: 0, y1: STUD + low, x2: long + 2 * STUD, y2: STUD + low, look: 'align' },
      {
        kind: 'line',
        x1: 0,
        y1: STUD + low + stripe.w,
        x2: long + 2 * STUD,
        y2: STUD + low + stripe.w,
        look: 'align',
      },
      ...crosses(long + 2 * STUD, high + 2 * STUD),
    ],
  };
}

/** What a printer needs for a sticker that is to be reprinted: its area, the bleed, the colour in numbers. Null = never measured. */
export function reprintDrawing(workbench: Workbench, sticker: Sticker): Drawing | null {
  const { w, l } = sticker;
  if (!w || !l) return null;
  const colour = workbench.palette.find((c) => c.id === sticker.colour);
  const value = colour
    ? `Ground: ${colour.name}, ${colour.hex}, L ${round(colour.lab.l)} a ${round(colour.lab.a)} b ${round(colour.lab.b)} under D65. Prints differ: ask for a proof.`
    : 'Its colour is not known: send a photo with a grey card, and ask for a proof.';
  return {
    title: `To be reprinted: ${sticker.name}`,
    says: [`Motif ${l} x ${w} mm, printed ${BLEED} mm beyond it on every side.`, value],
    w: l + 2 * BLEED,
    h: w + 2 * BLEED,
    shapes: [
      { kind: 'rect', x: 0, y: 0, w: l + 2 * BLEED, h: w + 2 * BLEED, look: 'bleed' },
      { kind: 'rect', x: BLEED, y: BLEED, w: l, h: w, look: 'strip' },
      ...crosses(l + 2 * BLEED, w + 2 * BLEED),
    ],
  };
}

const round = (n: number): number => Math.round(n * 10) / 10;

/** All drawings of a job: the ruler, what is cut from what, how stripes are aligned, and what is to be reprinted. */
export const templateOf = (
  workbench: Workbench,
  job: StripJob,
  problem: CutProblem,
  cuts: readonly ScrapCuts[],
): Drawing[] => [
  rulerDrawing(),
  ...cuts.map((c) => scrapDrawing(c, problem, job)),
  ...job.strips.flatMap((s) => alignDrawing(s) ?? []),
  ...[...workbench.records.sticker.values()].flatMap((s) =>
    s.build === workbench.build && s.way === 'reprint' ? (reprintDrawing(workbench, s) ?? []) : [],
  ),
];

/** A part of a drawing that fits a page, from the drawing's lower left corner, mm. */
export interface Window {
  readonly drawing: Drawing;
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
  readonly part: number;
  readonly parts: number;
}

/** Drawings cut into parts no larger than a page's room; most are whole. Parts of one meet without overlap. */
export const windowsOf = (drawings: readonly Drawing[], room: { w: number; h: number }): Window[] =>
  drawings.flatMap((drawing) => {
    const [across, down] = [Math.ceil(drawing.w / room.w), Math.ceil(drawing.h / room.h)];
    const parts = across * down;
    return Array.from({ length: parts }, (_, i) => {
      const [x, y] = [(i % across) * room.w, Math.floor(i / across) * room.h];
      return {
        drawing,
        x,
        y,
        w: Math.min(room.w, drawing.w - x),
        h: Math.min(room.h, drawing.h - y),
        part: i + 1,
        parts,
      };
    });
  });
