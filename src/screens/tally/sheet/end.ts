import { formatLengths } from '@/core/shared/forms';
import { briefOf, compromises, timeByModification } from '@/core/brief';
import { massOfBuild } from '@/core/fit';
import { inMillimetres } from '@/core/inspection';
import type { Size } from '@/core/ledger';
import type { SheetBlock } from '@/core/mod-sheet';
import { elementName } from '@/core/parts';
import { sizeAt } from '@/core/show';
import { count, money } from '@/ui/numbers';
import { compromiseName, hoursWords } from '../../words/brief';
import { CAUTIONS } from '../../words/stickers';
import { facts, heading, listed, text, type Composing } from './blocks';

const sizeWords = (s: Size): string => {
  const mm = inMillimetres(s);
  return `${count(s.length)} × ${count(s.width)} studs, ${count(s.height)} bricks high (${formatLengths([mm.length, mm.width, mm.height])})`;
};

export function sizeAndTime({ workbench, planned, today }: Composing): SheetBlock[] {
  const card = workbench.records.inspectionCard.get(workbench.build);
  const mass = massOfBuild(workbench, planned ? 'planned' : 'built');
  const time = timeByModification(workbench, today);
  const minutes = time.reduce((s, t) => s + t.minutes, 0);
  const days = time.reduce((s, t) => s + t.days, 0);
  const now = sizeAt(workbench, null);
  const rows: [string, string][] = [
    ...(card?.found ? [['Size as found', sizeWords(card.found)] as [string, string]] : []),
    ...(now && card?.built ? [['Size now', sizeWords(now)] as [string, string]] : []),
    ['Mass', massWords(mass)],
    ...(minutes > 0 ? [['Time noted', hoursWords(minutes)] as [string, string]] : []),
    ...(days > 0 ? [['Days with an entry', count(days)] as [string, string]] : []),
  ];
  return [heading('Size, mass and time'), facts(rows)];
}

const massWords = (m: ReturnType<typeof massOfBuild>): string => `about ${count(Math.round(m.grams))} g`;

export function creditsPart({ workbench, sheet }: Composing): SheetBlock[] {
  const { ideas } = briefOf(workbench);
  if (ideas.length === 0 && !sheet.thanks) return [];
  const items = ideas.map((i) =>
    [i.what, i.whose ? `by ${i.whose}` : '', i.where].filter(Boolean).join(', '),
  );
  return [heading('Credits'), ...listed(items), ...(sheet.thanks ? [text(sheet.thanks)] : [])];
}

export function lettersPart({ workbench, tells }: Composing): SheetBlock[] {
  const letters = [...workbench.records.letter.values()].filter((l) => l.build === workbench.build);
  if (letters.length === 0) return [];
  const items = letters.map((l, i) => {
    const who = tells('names') ? l.who : `somebody (${i + 1})`;
    const answered = l.lines.some((x) => x.side === 'answered');
    const about = tells('notes') && l.about ? `, about ${l.about}` : '';
    return `${who}${about}: ${count(l.lines.length)} ${l.lines.length === 1 ? 'letter' : 'letters'}, ${answered ? 'answered' : 'not answered yet'}`;
  });
  return [heading('Who was asked'), ...listed(items)];
}

export function compromisesPart({ workbench, tells }: Composing): SheetBlock[] {
  const found = compromises(workbench);
  if (found.length === 0) return [];
  const items = found.map((c) => {
    const zone = c.zone ? (workbench.records.zone.get(c.zone)?.name ?? '') : '';
    const what = [
      compromiseName(c),
      c.is ? elementName(c.is) : '',
      c.wants ? `would be ${elementName(c.wants)}` : '',
      zone,
      tells('notes') ? c.name : '',
      tells('prices') && c.each !== null ? `${money(c.each)} each` : '',
    ];
    return what.filter(Boolean).join(', ');
  });
  return [heading('What we would still mend'), ...listed(items)];
}

/** The usual cautions of what was done, the product’s label first. */
export function cautionsPart({ workbench }: Composing): SheetBlock[] {
  const { sticker, stripJob, whitening } = workbench.records;
  const own = (r: { readonly build?: unknown }) => r.build === workbench.build;
  const hasStickers = [...sticker.values(), ...stripJob.values()].some(own);
  const { label, ...others } = CAUTIONS;
  const items = [
    'Small parts: keep them from small children, who may choke on them.',
    ...(hasStickers ? Object.values(others) : []),
    ...([...whitening.values()].some(own)
      ? [
          'Peroxide burns skin and eyes and bleaches cloth: gloves, goggles, air, and out of reach of children.',
        ]
      : []),
    label,
  ];
  return [heading('Cautions'), ...listed(items)];
}
