import { changed, joinDiffs, type Command, type Entry } from '../ledger';
import { elementKey, elementName, partOf, readPartName, splitElementKey, type ElementKey } from '../parts';
import type { Movement } from '../records';
import { splitByLargestRemainder } from '../shared/money';
import type { Workbench } from './workbench';

/** What a figure opens into, from its head down, and then what it wears and holds. */
export const FIGURE_PARTS = ['head', 'body', 'legs', 'wear', 'item'] as const;
export type FigurePart = (typeof FIGURE_PARTS)[number];

/** How many of each part a figure has. */
export type FigureMake = Readonly<Record<FigurePart, number>>;

/** A figure as most are: a head, a body and legs. */
export const USUAL_FIGURE: FigureMake = { head: 1, body: 1, legs: 1, wear: 0, item: 0 };

/** True of a whole figure, which counts as one piece until it is opened. */
export const isFigure = (element: ElementKey): boolean =>
  partOf(splitElementKey(element).part).family.name === 'figure';

/**
 * The part of a figure, in the figure's colour: "figure head keeper harbour" of "figure keeper harbour". Its own colours are
 * recoloured afterwards like any part's.
 */
export function figurePart(element: ElementKey, which: FigurePart): ElementKey {
  const { part, colour, print } = splitElementKey(element);
  const { variant } = partOf(part);
  return elementKey(readPartName(`figure ${which} ${variant}`).part.id, colour, print);
}

/**
 * Opens all figures of one kind in a build into their parts, wherever they have been: out of the box, on the model, missing.
 * From then on each part counts as a piece, and the worth of the figure is shared among them. What a figure of this kind
 * consists of is said once for all of them. An element that is no figure, or a make of nothing, changes nothing.
 */
export function openFigure(workbench: Workbench, element: ElementKey, make: FigureMake): Command {
  const parts = FIGURE_PARTS.flatMap((p) =>
    make[p] > 0 ? [{ element: figurePart(element, p), qty: make[p] }] : [],
  );
  if (!isFigure(element) || parts.length === 0) return { label: 'open no figure', diff: joinDiffs() };
  const opened = workbench.entries.flatMap((e) => {
    if (!e.movements.some((m) => m.element === element)) return [];
    const movements = e.movements.flatMap((m) => (m.element === element ? inParts(m, parts) : [m]));
    return [changed('entry', e, { movements, standsFor: standsFor(e, element, parts[0]!.element) })];
  });
  return { label: `open ${elementName(element)}`, diff: joinDiffs(...opened) };
}

/** What a placeholder stands for, where that was the figure: the first of its parts. */
const standsFor = (e: Entry, element: ElementKey, part: ElementKey): Entry['standsFor'] =>
  e.standsFor === element ? part : e.standsFor;

/** The movement of a figure as movements of its parts; the worth of one figure is shared to the penny. */
function inParts(m: Movement, parts: readonly { element: ElementKey; qty: number }[]): Movement[] {
  const worths = m.worth === null ? null : shareWorth(m.worth, parts);
  return parts.flatMap((p, i): Movement[] => {
    const qty = m.qty * p.qty;
    const of = worths?.[i];
    if (!of) return [{ ...m, element: p.element, qty, worth: null }];
    // Of several alike some may carry a penny more.
    const dear = of.over * m.qty;
    const each = (n: number, worth: number): Movement[] =>
      n > 0 ? [{ ...m, element: p.element, qty: n, worth }] : [];
    return [...each(dear, of.each + 1), ...each(qty - dear, of.each)];
  });
}

/** How a figure's worth falls to its parts: what each piece of a part has, and how many of those have a penny more. */
function shareWorth(worth: number, parts: readonly { qty: number }[]): { each: number; over: number }[] {
  const sums = splitByLargestRemainder(
    worth,
    parts.map((p) => p.qty),
  );
  return parts.map((p, i) => {
    const sum = sums[i] ?? 0;
    const each = Math.floor(sum / p.qty);
    return { each, over: sum - each * p.qty };
  });
}
