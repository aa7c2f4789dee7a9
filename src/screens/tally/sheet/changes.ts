import { stripeGuide, wallGuides, type SheetBlock } from '@/core/mod-sheet';
import { joinsOf, type Patch, type PatchLine } from '@/core/patch';
import { elementName } from '@/core/parts';
import type { Workbench } from '@/core/workbench';
import { count } from '@/ui/numbers';
import { pathWords } from '../../words/patch';
import { heading, table, text, type Composing } from './blocks';

/** What was changed, step by step, with drawn parts; walls course by course where they were laid. */
export function changesPart({ workbench, patch, tells }: Composing): SheetBlock[] {
  const notes = new Map(workbench.modifications.map((m) => [m.title, m.note]));
  const steps = patch.steps.flatMap((s, i): SheetBlock[] => [
    heading(`${i + 1}. ${s.title}`, 3),
    ...(s.why ? [text(s.why)] : []),
    ...(tells('notes') && notes.get(s.title) ? [text(notes.get(s.title)!, true)] : []),
    ...stepOf(s.lines, patch),
  ]);
  return [
    ...(steps.length > 0 ? [heading('Step by step'), ...steps] : []),
    ...coursesOf(workbench),
    ...stripesOf(workbench),
  ];
}

/** The lines of a step; a zone is named once for those that follow one another in it. */
function stepOf(lines: readonly PatchLine[], patch: Patch): SheetBlock[] {
  let before = '';
  return lines.map((l): SheetBlock => {
    const zone = pathWords(patch.zones[l.zone] ?? []);
    const where = l.moves ? `from ${pathWords(patch.zones[l.from] ?? [])} to ${zone}` : zone;
    const isSame = where === before;
    before = where;
    return { is: 'change', where: isSame ? '' : where, off: l.moves ? [] : l.off, on: [...joinsOf(l)] };
  });
}

/** Walls that were planned, course by course from the bottom: a guide for whoever lays them. */
function coursesOf(workbench: Workbench): SheetBlock[] {
  const jobs = [...workbench.records.wallJob.values()].filter(
    (j) =>
      j.build === workbench.build &&
      j.planned &&
      workbench.modifications.some((m) => m.id === j.planned!.modification),
  );
  if (jobs.length === 0) return [];
  return [
    heading('Walls, course by course'),
    ...jobs.flatMap((j): SheetBlock[] => {
      const rows = new Map<string, Map<string, number>>();
      for (const p of j.planned!.pieces) {
        const wall = j.walls.find((w) => w.id === p.wall)?.name ?? '';
        const key = `${String(p.course + 1).padStart(3)} ${wall}`;
        const lots = rows.get(key) ?? new Map<string, number>();
        rows.set(key, lots.set(elementName(p.element), (lots.get(elementName(p.element)) ?? 0) + 1));
      }
      const said = [...rows]
        .sort(([a], [b]) => a.localeCompare(b))
        .map(([key, lots]) => [
          `Course ${Number(key.slice(0, 3))}`,
          key.slice(4),
          [...lots].map(([name, n]) => `${count(n)} ${name}`).join(', '),
        ]);
      return [heading(j.name, 3), ...wallGuides(j), table(['Course', 'wall', 'pieces'], said)];
    }),
  ];
}

/** Stripes that are cut from sticker sheets: size, colour, how many, on which parts. */
function stripesOf(workbench: Workbench): SheetBlock[] {
  const jobs = [...workbench.records.stripJob.values()].filter((j) => j.build === workbench.build);
  const cut = [...workbench.records.sticker.values()].filter(
    (s) =>
      s.build === workbench.build && s.sheet !== null && s.colour !== null && s.w !== null && s.l !== null,
  );
  const rows = [
    ...jobs.flatMap((j) => j.strips.map((s) => ({ ...s, of: j.name }))),
    ...cut.map((s) => ({ ...s, count: 1, of: 'cut already' })),
  ].filter((s) => s.count > 0);
  if (rows.length === 0) return [];
  return [
    heading('Stripes to cut'),
    table(
      ['Stripe', 'of', 'mm', 'colour', 'how many', 'on'],
      rows.map((s) => [
        s.name,
        s.of,
        `${s.w} × ${s.l}`,
        s.colour ?? '',
        count(s.count),
        [...new Set(s.elements)].map(elementName).join(', '),
      ]),
    ),
    ...jobs.flatMap((j) => j.strips.flatMap((s) => (s.count > 0 ? (stripeGuide(s) ?? []) : []))),
  ];
}
