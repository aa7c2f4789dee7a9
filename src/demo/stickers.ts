import {
  keepSheet,
  keepSticker,
  keepStripJob,
  logStickerAct,
  newSheet,
  newSticker,
  newStripJob,
  noteStickers,
  spoil,
  stickersNow,
  wholeField,
} from '../core/stickers';
import { added } from '../core/ledger';
import { elementKey, readPartName, type ElementKey } from '../core/parts';
import type { SheetField, Sticker, StickerSheet } from '../core/records';
import { asId, type BuildId, type ColourId, type LetterId } from '../core/shared/ids';
import type { Handle } from '../data/database';
import { Stater } from './stater';

const colour = (name: string): ColourId => asId<ColourId>(name);
const el = (part: string, of: string, print = ''): ElementKey =>
  elementKey(readPartName(part).part.id, colour(of), print);
const field = (id: string, name: string, w: number, h: number, of: string, motif = ''): SheetField =>
  wholeField({ id, name, w, h, colour: colour(of), lab: null, motif });

/** Three sheets that are half used up, one of them torn at a corner, and two reprints. */
const SHEETS: readonly Partial<StickerSheet>[] = [
  {
    name: 'Skerry, first edition',
    fromSet: 'Harbour Ferry Skerry',
    note: 'The upper right corner is torn; the rest can be used.',
    material: 'paper, clear coat',
    water: 'no',
    fields: [
      spoil(field('band', 'funnel band, left over', 96, 22, 'brick-red'), { x: 78, y: 14, w: 18, h: 8 }),
      spoil(field('white', 'white border', 104, 14, 'chalk'), { x: 0, y: 0, w: 40, h: 14 }),
    ],
  },
  {
    name: 'Harbour signs',
    fromSet: 'a harbour set, 2001',
    fields: [
      spoil(field('deep', 'blue ground', 72, 18, 'harbour'), { x: 0, y: 0, w: 8, h: 18 }),
      spoil(field('gorse', 'yellow stripe', 66, 9, 'gorse'), { x: 50, y: 0, w: 16, h: 9 }),
      field('sign', 'quay sign', 32, 16, 'chalk', 'QUAY 2'),
    ],
  },
  {
    name: 'Vinyl from the table',
    kind: 'vinyl',
    material: 'cut vinyl, glossy',
    water: 'yes',
    cost: 180,
    fields: [
      spoil(field('red', 'red off-cut', 60, 30, 'brick-red'), { x: 0, y: 18, w: 30, h: 12 }),
      field('blue', 'blue off-cut', 44, 24, 'harbour'),
    ],
  },
  {
    name: 'Funnel bands, reprinted',
    kind: 'reprint',
    printer: 'a printer by post',
    material: 'vinyl, matt',
    cost: 640,
    fields: [field('bands', 'two bands', 104, 12, 'brick-red', 'funnel band')],
  },
  {
    name: 'Name boards, reprinted',
    kind: 'reprint',
    printer: 'a printer by post',
    cost: null,
    fields: [field('boards', 'two boards', 64, 16, 'chalk', 'SKERRY')],
  },
];

const FUNNEL = [el('round brick 2x2', 'brick-red'), el('round brick 2x2', 'brick-red')];

const STICKERS: readonly (Pick<Sticker, 'name' | 'elements' | 'condition'> & Partial<Sticker>)[] = [
  {
    name: 'funnel band, port',
    elements: FUNNEL,
    condition: 'crazed',
    w: 6.4,
    l: 50,
    colour: colour('brick-red'),
  },
  {
    name: 'funnel band, starboard',
    elements: FUNNEL,
    condition: 'crazed',
    w: 6.4,
    l: 50,
    colour: colour('brick-red'),
    way: 'from sheets',
    ways: [{ way: 'reprint', cost: 640, minutes: 20, looks: 5 }],
  },
  {
    name: 'name board, port',
    elements: [el('tile 1x4', 'chalk', 'name skerry')],
    condition: 'yellowed',
    w: 7.6,
    l: 31.6,
    colour: colour('chalk'),
    way: 'reprint',
  },
  {
    name: 'name board, starboard',
    elements: [el('tile 1x4', 'chalk', 'name skerry')],
    condition: 'lifting',
    w: 7.6,
    l: 31.6,
    colour: colour('chalk'),
    way: 'reprint',
  },
  { name: 'harbour chart', elements: [el('tile 2x2', 'chalk', 'harbour chart')], condition: 'good' },
];

/** The ferry's stickers: funnel bands and name boards crazed in the sun, the sheets they may come from, stripes for the hull. */
export function stickerFerry(
  handle: Handle,
  build: BuildId | undefined,
  newId: () => string,
  clock: () => Date,
): void {
  if (!build) throw new Error('stickers need a build');
  const s = new Stater(handle, build, newId, clock);
  for (const more of SHEETS) s.act(keepSheet(s.workbench(), { ...newSheet(s.source()), ...more }));
  for (const { name, elements, ...more } of STICKERS) {
    const made = newSticker(s.workbench(), s.source(), { name, zone: s.zone('Bridge'), elements });
    s.act(keepSticker(s.workbench(), { ...made, ...more }));
  }
  s.act(noteStickers(s.workbench(), stickersNow(s.workbench()).slice(0, 2), s.source()));
  const chart = stickersNow(s.workbench()).find((x) => x.sticker.name === 'harbour chart')!;
  s.act(
    logStickerAct(
      s.workbench(),
      chart,
      {
        act: 'trimmed',
        planned: false,
        modification: null,
        zone: null,
        elements: [],
        cost: 0,
        note: 'one edge stood over',
      },
      s.source(),
    ),
  );
  hullStripes(s);
  askPrinter(s);
}

/** Stripes along the hull, and one that is longer than all that is left of its colour. */
function hullStripes(s: Stater): void {
  const bricks = Array.from({ length: 2 }, () => el('brick 1x4', 'chalk'));
  const stripe = (
    id: string,
    name: string,
    of: string,
    w: number,
    l: number,
    count: number,
    across = true,
  ) => ({
    id,
    name,
    colour: colour(of),
    w,
    l,
    count,
    elements: across ? bricks : [],
    across,
  });
  s.act(
    keepStripJob(s.workbench(), {
      ...newStripJob(s.workbench(), s.source(), s.zone('Hull')),
      name: 'Hull and funnel stripes',
      strips: [
        stripe('port', 'hull stripe, red', 'brick-red', 3.2, 63.8, 2),
        stripe('blue', 'hull stripe, blue', 'harbour', 2, 63.8, 2),
        stripe('ring', 'funnel ring', 'brick-red', 6.4, 50, 2, false),
        stripe('rail', 'rail stripe', 'gorse', 2, 63.8, 1),
        stripe('dots', 'window mark', 'harbour', 4, 7.8, 6, false),
      ],
    }),
  );
}

/** The printer was asked twice and has not answered: a third letter is not to be sent by mistake. */
function askPrinter(s: Stater): void {
  s.act({
    label: 'keep a letter',
    diff: added('letter', {
      id: asId<LetterId>(s.source().newId()),
      build: s.workbench().build,
      who: 'a printer by post',
      about: 'funnel bands and name boards',
      lines: [
        {
          on: '2026-10-05',
          side: 'asked',
          what: 'Could you print two bands and two name boards? Sizes enclosed.',
        },
        { on: '2026-10-19', side: 'asked', what: 'A reminder.' },
      ],
      next: 'Ask by telephone; no third letter',
      nextOn: '2026-11-16',
    }),
  });
}
