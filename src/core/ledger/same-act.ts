import { splitElementKey, type ElementKey } from '../parts';
import { placeOf } from '../places';
import type { Entry } from '../records';
import type { Intent, Pieces } from './intent';

/** The shape of an element with its print: what is the same in every colour. */
const shapeOf = (element: ElementKey): string => {
  const { part, print } = splitElementKey(element);
  return `${part}|${print}`;
};

const isOtherColour = (a: ElementKey, b: ElementKey): boolean =>
  a !== b && shapeOf(a) === shapeOf(b) && splitElementKey(a).colour !== splitElementKey(b).colour;

/**
 * A wish under the name of what it does: as many of the same part in another colour is a recolour, however it was said.
 *
 * settleKind(-2 plate 1x2 ash / +2 plate 1x2 chalk) = ~2 plate 1x2 ash > chalk
 */
export function settleKind(intent: Intent): Intent {
  const [off, on] = [intent.off[0], intent.on[0]];
  if (intent.kind !== 'swap' || intent.off.length !== 1 || intent.on.length !== 1 || !off || !on)
    return intent;
  return off.qty === on.qty && isOtherColour(off.element, on.element)
    ? { ...intent, kind: 'recolour' }
    : intent;
}

/**
 * What is taken off in one clause and put on in the next as the one act that it is, or null where these are two. Both must
 * speak of one place and one time; what is said of where pieces go stays with those that go, and the rest with those that come.
 *
 * joinedAct(-2 plate 1x2 ash, +2 plate 1x2 chalk) = ~2 plate 1x2 ash > chalk
 */
export function joinedAct(a: Intent, b: Intent): Intent | null {
  const [first, second] = a.kind === 'remove' ? [a, b] : [b, a];
  if (first.kind !== 'remove' || second.kind !== 'add' || first.assembly || second.assembly) return null;
  if (first.zone !== second.zone || first.planned !== second.planned || first.hidden !== second.hidden)
    return null;
  const off = first.off;
  const swap: Intent = {
    ...second,
    kind: 'swap',
    off,
    destination: first.destination,
    why: second.why ?? first.why,
    note: second.note || first.note,
  };
  const act = settleKind(swap);
  return act.kind === 'recolour' ? act : null;
}

/**
 * Of a swap, the pieces that went in for the same part in another colour, by part and print: they count as recoloured,
 * and only the rest as out and in. A part that goes in and out in the same colour is none of these.
 *
 * -3 plate 1x2 ash & 1 tile 1x2 ash / +2 plate 1x2 chalk: { 'plate 1x2|': 2 }
 */
export function recolouredIn(entry: Entry): ReadonlyMap<string, number> {
  if (entry.kind !== 'swap') return NONE;
  const [off, on] = [new Map<string, Pieces[]>(), new Map<string, Pieces[]>()];
  for (const m of entry.movements) {
    const side = placeOf(m.to) === 'model' ? on : placeOf(m.from) === 'model' ? off : null;
    const key = shapeOf(m.element);
    side?.set(key, [...(side.get(key) ?? []), { element: m.element, qty: m.qty }]);
  }
  const sum = (pieces: readonly Pieces[]) => pieces.reduce((s, p) => s + p.qty, 0);
  return new Map(
    [...off].flatMap(([key, gone]): [string, number][] => {
      const come = on.get(key) ?? [];
      const apart = gone.every((g) => come.every((c) => isOtherColour(g.element, c.element)));
      return come.length > 0 && apart ? [[key, Math.min(sum(gone), sum(come))]] : [];
    }),
  );
}

const NONE: ReadonlyMap<string, number> = new Map();

/** Takes from what is left of a shape as much as a movement has of it. */
export function takeRecoloured(left: Map<string, number>, element: ElementKey, qty: number): number {
  const key = shapeOf(element);
  const n = Math.min(qty, left.get(key) ?? 0);
  left.set(key, (left.get(key) ?? 0) - n);
  return n;
}
