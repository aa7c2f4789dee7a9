import {
  added,
  changed,
  removed,
  takeTally,
  written,
  type Books,
  type Command,
  type Source,
  type Tally,
} from '../ledger';
import { splitElementKey, type ElementKey } from '../parts';
import type { Size } from '../ledger';
import type { Entry, Stage } from '../records';
import { asId, type ColourId, type StageId, type ZoneId } from '../shared/ids';
import { piecesOn, type Workbench } from '../workbench';
import { standingOf, type Standing } from './standing';

/** The stages of a build in their order. */
export const stagesOf = (workbench: Workbench): Stage[] =>
  [...workbench.records.stage.values()]
    .filter((s) => s.build === workbench.build)
    .sort((a, b) => a.position - b.position || a.no - b.no);

/** The number of the last entry that is done: where the build stands now. */
export const standsAt = (workbench: Workbench): number =>
  workbench.entries.reduce(
    (most, e) => (e.state === 'done' && e.whatIf === null ? Math.max(most, e.no) : most),
    0,
  );

/** The last entry that brought the build's boxes to the bench: at it the model stands as it was shipped. */
export const unpackedAt = (workbench: Workbench): number =>
  workbench.entries.reduce((most, e) => (e.kind === 'unpack' ? Math.max(most, e.no) : most), 0);

/** Names a moment of the build. */
export function nameStage(
  workbench: Workbench,
  { name, no, size = null }: Pick<Stage, 'name' | 'no'> & Partial<Pick<Stage, 'size'>>,
  source: Source,
): Command {
  const last = stagesOf(workbench).reduce((most, s) => Math.max(most, s.position), 0);
  const stage: Stage = {
    ...{ id: asId<StageId>(source.newId()), build: workbench.build, name, no, size },
    ...{ at: source.now, note: '', photo: null, marks: [], position: last + 1 },
  };
  return { label: `name stage ${name}`, diff: added('stage', stage) };
}

export const keepStage = (workbench: Workbench, stage: Stage): Command => ({
  label: `change stage ${stage.name}`,
  diff: written('stage', workbench.records.stage.get(stage.id), stage),
});

export const changeStage = (stage: Stage, to: Partial<Stage>): Command => ({
  label: `change stage ${stage.name}`,
  diff: changed('stage', stage, to),
});

export const deleteStage = (stage: Stage): Command => ({
  label: `delete stage ${stage.name}`,
  diff: removed('stage', stage),
});

/** A moment that is shown: as far as an entry's number, or as planned. */
export type Moment = number | 'planned';

/** How a build stood at a moment. */
export interface StageNow {
  readonly moment: Moment;
  readonly books: Books;
  readonly tally: Tally;
  readonly standing: Standing;
  /** Pieces on the model by colour, most first. */
  readonly colours: readonly { readonly colour: ColourId; readonly pieces: number }[];
  readonly zones: readonly ({ readonly zone: ZoneId; readonly name: string } & Standing)[];
  /** The day of its last entry; empty = there is none. */
  readonly on: string;
  /** Minutes spent until then, as they were noted. */
  readonly minutes: number;
}

/**
 * How a build stood at a moment: its books with the entries up to a number, or as planned. Entries count as they read now; one that
 * was planned earlier and is done counts at its own number.
 *
 * @example stageAt(workbench, 0).tally.figures.onModel
 */
export function stageAt(workbench: Workbench, moment: Moment): StageNow {
  const books =
    moment === 'planned' ? workbench.open({ kind: 'planned' }) : workbench.open({ kind: 'asOf', no: moment });
  const tally = takeTally(books, { of: 'build' }, workbench.priceOf);
  const zones = workbench.zones.flatMap(({ id: zone, name }) => {
    const standing = standingOf(books.figures({ of: 'zone', zone }));
    return standing.onModel > 0 || standing.fresh > 0 ? [{ zone, name, ...standing }] : [];
  });
  const on = lastDay(books.entries);
  // Hours are noted afterwards: those of what stands now are all that there are.
  const isNow = moment === 'planned' || moment >= standsAt(workbench);
  const minutes = [...workbench.records.spentTime.values()]
    .filter((t) => t.build === workbench.build && (isNow || t.on.slice(0, 10) <= on))
    .reduce((s, t) => s + t.minutes, 0);
  const standing = standingOf(tally.figures);
  return { moment, books, tally, standing, colours: coloursOn(workbench, books), zones, on, minutes };
}

function lastDay(entries: Iterable<Entry>): string {
  let last = '';
  for (const e of entries) if (e.state === 'done' && e.loggedAt > last) last = e.loggedAt;
  return last.slice(0, 10);
}

function coloursOn(workbench: Workbench, books: Books): StageNow['colours'] {
  const sums = new Map<ColourId, number>();
  for (const [element, n] of piecesOn(workbench, books)) {
    const { colour } = splitElementKey(element);
    sums.set(colour, (sums.get(colour) ?? 0) + n);
  }
  return [...sums].map(([colour, pieces]) => ({ colour, pieces })).sort((a, b) => b.pieces - a.pieces);
}

/** What came and what went from one moment to another, by element; most pieces first. */
export interface CameWent {
  readonly came: readonly { readonly element: ElementKey; readonly qty: number }[];
  readonly went: readonly { readonly element: ElementKey; readonly qty: number }[];
}

export function cameWent(workbench: Workbench, from: Books, to: Books): CameWent {
  const [before, after] = [piecesOn(workbench, from), piecesOn(workbench, to)];
  const diffs = [...new Set([...before.keys(), ...after.keys()])].map((element) => ({
    element,
    qty: (after.get(element) ?? 0) - (before.get(element) ?? 0),
  }));
  const most = (a: { qty: number }, b: { qty: number }) => Math.abs(b.qty) - Math.abs(a.qty);
  return {
    came: diffs.filter((d) => d.qty > 0).sort(most),
    went: diffs.flatMap((d) => (d.qty < 0 ? [{ ...d, qty: -d.qty }] : [])).sort(most),
  };
}

/** The size of a stage: as it was said, or as the build was found and built. */
export function sizeAt(workbench: Workbench, stage: Stage | null): Size | null {
  if (stage?.size) return stage.size;
  const card = workbench.records.inspectionCard.get(workbench.build);
  if (!stage) return card?.built ?? card?.found ?? null;
  return stage.no <= unpackedAt(workbench) ? (card?.found ?? null) : null;
}
