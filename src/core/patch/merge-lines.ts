import type { ElementKey } from '../parts';
import type { PatchLine, PatchLot } from './patch';

/** A line and the step that it belongs to. */
export interface SteppedLine<Of> {
  readonly of: Of;
  readonly line: PatchLine;
}

interface Draft<Of> {
  readonly of: Of;
  readonly line: Omit<PatchLine, 'off' | 'on'>;
  off: PatchLot[];
  on: PatchLot[];
}

/**
 * Leaves out what a later line takes off again: a placeholder and its replacement become one line, a recolour of what was
 * recoloured one recolour. What is put in a zone is looked for in that zone; what was moved about meanwhile is left as it was
 * logged. Lines with nothing left are gone.
 *
 * @param lines  in the order in which they were logged
 */
export function mergeLines<Of>(lines: readonly SteppedLine<Of>[]): SteppedLine<Of>[] {
  const moved = new Set(lines.flatMap(({ line }) => (line.moves ? line.off.map((p) => p.element) : [])));
  const drafts: Draft<Of>[] = [];
  /** Lines that put an element in a zone, the last first. */
  const put = new Map<string, Draft<Of>[]>();
  const key = (zone: number, element: ElementKey) => `${zone} ${element}`;
  const note = (draft: Draft<Of>) => {
    for (const { element } of draft.on) {
      const at = key(draft.line.zone, element);
      put.set(at, [draft, ...(put.get(at) ?? []).filter((d) => d !== draft)]);
    }
  };
  for (const { of, line } of lines) {
    const { off, on, ...rest } = line;
    const draft: Draft<Of> = { of, line: rest, off: [...off], on: [...on] };
    drafts.push(draft);
    if (line.moves) continue;
    const heir =
      moved.size === 0 ? heirOf(draft, put.get(key(line.from, draft.off[0]?.element as ElementKey))) : null;
    if (heir) {
      heir.on = draft.on;
      [draft.off, draft.on] = [[], []];
      note(heir);
      continue;
    }
    draft.off = draft.off.flatMap((p) => {
      if (moved.has(p.element)) return [p];
      let { qty } = p;
      for (const earlier of put.get(key(line.from, p.element)) ?? [])
        qty -= takeBack(earlier, p.element, qty);
      return qty > 0 ? [{ ...p, qty }] : [];
    });
    note(draft);
  }
  return drafts.flatMap((draft) => {
    if (!draft.line.moves && draft.line.from === draft.line.zone)
      for (const p of [...draft.off]) dropAlike(draft, p, takeBack(draft, p.element, p.qty));
    const { of, line, off, on } = draft;
    return off.length + on.length > 0 ? [{ of, line: settled(line, off, on) }] : [];
  });
}

/** Pieces of a line that went off and came back as they were. */
function dropAlike<Of>(draft: Draft<Of>, lot: PatchLot, alike: number): void {
  if (alike === 0) return;
  const left = lot.qty - alike;
  draft.off = draft.off.flatMap((p) => (p !== lot ? [p] : left > 0 ? [{ ...p, qty: left }] : []));
}

/** The one earlier line that a line only goes on from: what it put is all that this one takes, one kind for one kind. */
function heirOf<Of>(draft: Draft<Of>, earlier: readonly Draft<Of>[] | undefined): Draft<Of> | null {
  const [first] = earlier ?? [];
  const [was, now] = [first?.on[0], draft.off[0]];
  const isOne = first?.on.length === 1 && draft.off.length === 1 && draft.on.length === 1;
  if (!first || !isOne || draft.line.from !== draft.line.zone) return null;
  return was!.element === now!.element && was!.qty === now!.qty ? first : null;
}

/** Takes pieces out of what an earlier line put; how many it could. */
function takeBack<Of>(earlier: Draft<Of>, element: ElementKey, most: number): number {
  const at = earlier.on.findIndex((p) => p.element === element);
  const lot = earlier.on[at];
  if (!lot || most <= 0) return 0;
  const n = Math.min(most, lot.qty);
  if (n === lot.qty) earlier.on.splice(at, 1);
  else earlier.on[at] = { ...lot, qty: lot.qty - n };
  return n;
}

/** A line that lost one side has its other side's zone. */
function settled(line: Omit<PatchLine, 'off' | 'on'>, off: PatchLot[], on: PatchLot[]): PatchLine {
  if (line.moves) return { ...line, off, on };
  if (on.length === 0) return { ...line, zone: line.from, off, on };
  if (off.length === 0) return { ...line, from: line.zone, off, on };
  return { ...line, off, on };
}
