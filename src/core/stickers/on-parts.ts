import {
  added,
  BLANK_ENTRY,
  changed,
  grade,
  joinDiffs,
  modelAccount,
  removed,
  written,
  type Command,
  type Entry,
  type Source,
} from '../ledger';
import type { Finding, FindingKind, Sticker, StickerActName, StickerCondition } from '../records';
import type { ElementKey } from '../parts';
import {
  asId,
  type EntryId,
  type FindingId,
  type ModificationId,
  type StickerId,
  type ZoneId,
} from '../shared/ids';
import type { Minor } from '../shared/money';
import type { Workbench } from '../workbench';

/** Where a sticker is now: on its parts, on them under bricks, put away for later, or nowhere any more. */
export type StickerPlace = 'on' | 'covered' | 'kept' | 'lost';

/** A sticker as its done acts left it, and what is planned for it. */
export interface StickerNow {
  readonly sticker: Sticker;
  readonly place: StickerPlace;
  readonly zone: ZoneId;
  readonly elements: readonly ElementKey[];
  readonly trimmed: boolean;
  readonly done: readonly ActEntry[];
  readonly planned: readonly ActEntry[];
}

export interface ActEntry {
  readonly act: StickerActName;
  readonly entry: Entry;
}

const AFTER: Readonly<Record<StickerActName, StickerPlace | null>> = {
  'put on': 'on',
  'taken off and kept': 'kept',
  moved: 'on',
  trimmed: null,
  covered: 'covered',
  'renewed with its part': 'on',
  lost: 'lost',
};

/** Acts that make sense of a sticker, by where it is. */
export const ACTS_FROM: Readonly<Record<StickerPlace, readonly StickerActName[]>> = {
  on: ['taken off and kept', 'moved', 'trimmed', 'covered', 'renewed with its part', 'lost'],
  covered: ['taken off and kept', 'moved', 'renewed with its part', 'lost'],
  kept: ['put on', 'trimmed', 'lost'],
  lost: ['renewed with its part'],
};

/** All stickers of a build as they are now, in the order of their names. */
export function stickersNow(workbench: Workbench): StickerNow[] {
  const acts = new Map<StickerId, ActEntry[]>();
  const onto = new Map<EntryId, { zone: ZoneId | null; elements: readonly ElementKey[] }>();
  for (const a of workbench.records.stickerAct.values()) {
    const entry = workbench.records.entry.get(a.entry);
    if (!entry) continue;
    acts.set(a.sticker, [...(acts.get(a.sticker) ?? []), { act: a.act, entry }]);
    onto.set(a.entry, a);
  }
  return [...workbench.records.sticker.values()]
    .map((s) =>
      now(
        s,
        (acts.get(s.id) ?? []).sort((a, b) => a.entry.no - b.entry.no),
        onto,
      ),
    )
    .sort((a, b) => a.sticker.name.localeCompare(b.sticker.name, 'en', { numeric: true }));
}

function now(
  sticker: Sticker,
  acts: readonly ActEntry[],
  onto: ReadonlyMap<EntryId, { zone: ZoneId | null; elements: readonly ElementKey[] }>,
): StickerNow {
  const done = acts.filter((a) => a.entry.state === 'done');
  let place: StickerPlace = sticker.cameOn === 'on the part' ? 'on' : 'kept';
  let [zone, elements, trimmed] = [sticker.zone, sticker.elements, false];
  for (const { act, entry } of done) {
    place = AFTER[act] ?? place;
    trimmed ||= act === 'trimmed';
    const to = onto.get(entry.id);
    if (to?.zone) zone = to.zone;
    if (to && to.elements.length > 0) elements = to.elements;
  }
  return {
    sticker,
    place,
    zone,
    elements,
    trimmed,
    done,
    planned: acts.filter((a) => a.entry.state === 'planned'),
  };
}

/** A sticker on a part, as it came. */
export const newSticker = (
  workbench: Workbench,
  source: Source,
  on: { readonly name: string; readonly zone: ZoneId; readonly elements: readonly ElementKey[] },
): Sticker => ({
  ...on,
  id: asId<StickerId>(source.newId()),
  build: workbench.build,
  w: null,
  l: null,
  colour: null,
  sheet: null,
  cameOn: 'on the part',
  condition: 'good',
  finding: null,
  note: '',
  way: null,
  ways: [],
});

export const keepSticker = (workbench: Workbench, sticker: Sticker): Command => ({
  label: `change the sticker ${sticker.name}`,
  diff: written('sticker', workbench.records.sticker.get(sticker.id), sticker),
});

/** Deletes a sticker with all that was logged of it. */
export function deleteSticker(workbench: Workbench, sticker: Sticker): Command {
  const acts = [...workbench.records.stickerAct.values()].filter((a) => a.sticker === sticker.id);
  const entries = acts.flatMap((a) => workbench.records.entry.get(a.entry) ?? []);
  return {
    label: `delete the sticker ${sticker.name}`,
    diff: joinDiffs(
      removed('stickerAct', ...acts),
      removed('entry', ...entries),
      removed('sticker', sticker),
    ),
  };
}

export interface ActWish {
  readonly act: StickerActName;
  readonly planned: boolean;
  readonly modification: ModificationId | null;
  /** For what is put on or moved: where to, and onto which parts; null and none = where it is. */
  readonly zone: ZoneId | null;
  readonly elements: readonly ElementKey[];
  /** What it cost, minor units; null = not known. */
  readonly cost: Minor | null;
  readonly note: string;
}

/**
 * Logs what was done with a sticker, or plans it. The entry names the parts that bear it and moves none of them: the piece
 * count stays, and the money counts.
 */
export function logStickerAct(workbench: Workbench, of: StickerNow, wish: ActWish, source: Source): Command {
  const zone = wish.zone ?? of.zone;
  const elements = wish.elements.length > 0 ? wish.elements : of.elements;
  const entry: Entry = {
    ...BLANK_ENTRY,
    ...workbench.nextEntry(wish.modification),
    id: asId<EntryId>(source.newId()),
    build: workbench.build,
    modification: wish.modification,
    kind: 'sticker',
    state: wish.planned ? 'planned' : 'done',
    note: wish.note,
    zone,
    loggedAt: source.now,
    movements: elements.map((element, i) => ({
      element,
      grade: grade('used'),
      qty: 1,
      from: modelAccount(zone),
      to: modelAccount(zone),
      // The money stands with the first of its parts; the others cost nothing more.
      worth: i === 0 ? wish.cost : 0,
    })),
  };
  const act = {
    id: entry.id,
    entry: entry.id,
    build: workbench.build,
    sticker: of.sticker.id,
    act: wish.act,
    zone: wish.zone,
    elements: wish.elements,
  };
  return {
    label: `${wish.planned ? 'plan: ' : ''}${of.sticker.name} ${wish.act}`,
    diff: joinDiffs(added('entry', entry), added('stickerAct', act)),
  };
}

/** Does what was planned for a sticker. */
export const doStickerAct = (of: StickerNow, { act, entry }: ActEntry): Command => ({
  label: `${of.sticker.name} ${act}`,
  diff: changed('entry', entry, { state: 'done', whatIf: null }),
});

/** What kind of finding a condition is; null = nothing to find. */
const FINDING_OF: Readonly<Record<StickerCondition, FindingKind | null>> = {
  good: null,
  'not seen': null,
  lifting: 'broken',
  crazed: 'broken',
  torn: 'broken',
  yellowed: 'faded',
  crooked: 'wish',
};

/** Stickers whose condition says that something is to be done, and of which no finding says so yet. */
export const toFind = (workbench: Workbench, stickers: readonly StickerNow[]): StickerNow[] =>
  stickers.filter(({ sticker: s, place }) => {
    const noted = s.finding !== null && workbench.records.finding.has(s.finding);
    return place === 'on' && FINDING_OF[s.condition] !== null && !noted;
  });

/** Says how a sticker looks; what was found of another condition is a matter of its own. */
export const sayCondition = (workbench: Workbench, s: Sticker, condition: StickerCondition): Command =>
  keepSticker(workbench, { ...s, condition, finding: null });

/** Notes the condition of stickers as findings of the inspection. */
export function noteStickers(workbench: Workbench, stickers: readonly StickerNow[], source: Source): Command {
  const found = toFind(workbench, stickers);
  const findings = found.map((s): Finding => ({
    id: asId<FindingId>(source.newId()),
    build: workbench.build,
    kind: FINDING_OF[s.sticker.condition]!,
    zone: s.zone,
    lots: s.elements.map((element) => ({ element, qty: 1 })),
    to: null,
    note: `sticker ${s.sticker.name}: ${s.sticker.condition}`,
    matters: 2,
    photo: null,
    modification: null,
    answer: null,
    how: '',
    dropped: false,
    at: source.now,
  }));
  return {
    label: `note ${findings.length} ${findings.length === 1 ? 'sticker as a finding' : 'stickers as findings'}`,
    diff: joinDiffs(
      added('finding', ...findings),
      ...found.map((s, i) => changed('sticker', s.sticker, { finding: findings[i]!.id })),
    ),
  };
}
