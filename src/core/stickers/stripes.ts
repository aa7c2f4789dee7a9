import { changed, added, joinDiffs, removed, written, type Command, type Source } from '../ledger';
import type { Sticker, StickerSheet, StripJob } from '../records';
import { asId, type StickerSheetId, type StripJobId, type ZoneId } from '../shared/ids';
import type { Workbench } from '../workbench';
import { cutsOfField, type CutPlan, type CutProblem, type PlacedStrip } from './cutting';
import { newSticker } from './on-parts';

export type Stripe = StripJob['strips'][number];

/** Stripes to begin with: the blade and border of a good ruler and a fresh blade, and a difference that few see. */
export const newStripJob = (workbench: Workbench, source: Source, zone: ZoneId): StripJob => ({
  id: asId<StripJobId>(source.newId()),
  build: workbench.build,
  zone,
  name: 'Stripes',
  kerf: 0.2,
  margin: 0.5,
  tolerance: 3,
  strips: [],
});

export const keepStripJob = (workbench: Workbench, job: StripJob): Command => ({
  label: `change ${job.name}`,
  diff: written('stripJob', workbench.records.stripJob.get(job.id), job),
});

export const deleteStripJob = (job: StripJob): Command => ({
  label: `delete ${job.name}`,
  diff: removed('stripJob', job),
});

/** A rectangle that is left of a sheet, plain and of a known colour: what stripes are cut from. */
export interface Scrap {
  /** Names it in a cutting problem. */
  readonly id: string;
  readonly sheet: StickerSheet;
  readonly field: StickerSheet['fields'][number];
  readonly rest: number;
}

const MIN_SIDE = 1;

/** All that is left of all sheets to cut from: plain fields whose colour is known, each rectangle by itself. */
export function scrapsOf(workbench: Workbench): Scrap[] {
  return [...workbench.records.stickerSheet.values()].flatMap((sheet) =>
    sheet.fields.flatMap((field) =>
      field.motif || !(field.lab ?? field.colour)
        ? []
        : field.rests.flatMap((r, rest) =>
            Math.min(r.w, r.h) < MIN_SIDE
              ? []
              : [{ id: `${sheet.id}|${field.id}|${rest}`, sheet, field, rest }],
          ),
    ),
  );
}

type Lab = [number, number, number];

const labOfColour = (workbench: Workbench, id: string | null): Lab | null => {
  const found = workbench.palette.find((c) => c.id === id);
  return found ? [found.lab.l, found.lab.a, found.lab.b] : null;
};

/** The colour of a field as it was read, or as its colour's name says. */
export const labOfField = (workbench: Workbench, field: Scrap['field']): Lab | null =>
  field.lab ? [field.lab.l, field.lab.a, field.lab.b] : labOfColour(workbench, field.colour);

/** The cutting problem of a job: what is wanted, from all that lies about. Stripes of a colour that is gone are left out. */
export function cutProblemOf(workbench: Workbench, job: StripJob): CutProblem {
  const { kerf, margin, tolerance } = job;
  return {
    kerf,
    margin,
    tolerance,
    fields: scrapsOf(workbench).flatMap(({ id, field, rest }) => {
      const { w, h } = field.rests[rest]!;
      const lab = labOfField(workbench, field);
      return lab ? [{ id, w, h, lab }] : [];
    }),
    strips: job.strips.flatMap(({ id, w, l, count, colour, across }) => {
      const lab = labOfColour(workbench, colour);
      // What must line up is of one print and one age.
      const oneField = across && count > 1;
      return lab && count > 0 ? [{ id, w, l, count, lab, ...(oneField ? { oneField } : {}) }] : [];
    }),
  };
}

/** What is cut from one scrap, and the cuts in their order. */
export interface ScrapCuts {
  readonly scrap: Scrap;
  readonly placed: readonly PlacedStrip[];
  readonly cuts: ReturnType<typeof cutsOfField>['cuts'];
  readonly rests: ReturnType<typeof cutsOfField>['rests'];
}

/** A plan scrap by scrap, in the order of sheets; strips of scraps that are gone by now are left out. */
export function cutsOfPlan(workbench: Workbench, problem: CutProblem, plan: CutPlan): ScrapCuts[] {
  return scrapsOf(workbench).flatMap((scrap) => {
    const placed = plan.placed.filter((p) => p.field === scrap.id);
    const field = problem.fields.find((f) => f.id === scrap.id);
    if (placed.length === 0 || !field) return [];
    const kept = plan.kept?.field === scrap.id ? plan.kept : null;
    return [{ scrap, placed, ...cutsOfField(problem, field, placed, kept) }];
  });
}

/**
 * The stripes are cut: each is a sticker that was put away for its parts, and the sheets have less left, as the cuts leave
 * it. Scraps that changed since the plan was made are refused by the write itself.
 */
export function cutStripes(
  workbench: Workbench,
  job: StripJob,
  cuts: readonly ScrapCuts[],
  source: Source,
): Command {
  const sheets = new Map<StickerSheetId, StickerSheet>();
  const stickers: Sticker[] = [];
  const counts = new Map<string, number>();
  for (const { scrap, placed, rests } of cuts) {
    const sheet = sheets.get(scrap.sheet.id) ?? scrap.sheet;
    sheets.set(sheet.id, withoutScrap(sheet, scrap, rests));
    for (const p of placed) {
      const stripe = job.strips.find((s) => s.id === p.strip);
      if (!stripe) continue;
      const n = (counts.get(p.strip) ?? 0) + 1;
      counts.set(p.strip, n);
      stickers.push({
        ...newSticker(workbench, source, {
          name: stripe.count > 1 ? `${stripe.name} ${n}` : stripe.name,
          zone: job.zone,
          elements: stripe.elements,
        }),
        w: stripe.w,
        l: stripe.l,
        colour: stripe.colour,
        sheet: sheet.id,
        cameOn: 'loose',
      });
    }
  }
  const left = job.strips.map((s) => ({ ...s, count: Math.max(0, s.count - (counts.get(s.id) ?? 0)) }));
  return {
    label: `cut ${stickers.length} stripes for ${job.name}`,
    diff: joinDiffs(
      ...[...sheets.values()].map((s) =>
        changed('stickerSheet', workbench.records.stickerSheet.get(s.id)!, s),
      ),
      added('sticker', ...stickers),
      changed('stripJob', job, { strips: left }),
    ),
  };
}

/** A sheet once a scrap of it was cut up: what the cuts leave takes the scrap's place. */
function withoutScrap(sheet: StickerSheet, { field, rest }: Scrap, rests: ScrapCuts['rests']): StickerSheet {
  const { x, y } = field.rests[rest]!;
  const moved = rests.map((r) => ({ ...r, x: r.x + x, y: r.y + y }));
  return {
    ...sheet,
    fields: sheet.fields.map((f) => {
      if (f.id !== field.id) return f;
      const gone = field.rests[rest]!;
      return { ...f, rests: f.rests.flatMap((r) => (same(r, gone) ? moved : [r])) };
    }),
  };
}

const same = (a: { x: number; y: number; w: number; h: number }, b: typeof a): boolean =>
  a.x === b.x && a.y === b.y && a.w === b.w && a.h === b.h;
