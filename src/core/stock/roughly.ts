import { joinDiffs, placeOf, removed, sourceName, written, type Command, type RecordSet } from '../ledger';
import { partOf, splitElementKey, type ElementKey, type PartGroup } from '../parts';
import type { RoughAmount, RoughlyKnown } from '../records';
import type { ColourId } from '../shared/ids';
import type { Workbench } from '../workbench';

/** For how many pieces of one kind each amount stands, where a plan has to reckon with it. */
export const ROUGH_PIECES: Readonly<Record<RoughAmount, number>> = { none: 0, few: 3, some: 12, plenty: 40 };

export const roughKey = (family: PartGroup, colour: ColourId): string => `${family}|${colour}`;

/** What was said of the parts that an element belongs to; null where nothing was: that counts as none at hand. */
export function roughlySaid(
  records: Pick<RecordSet, 'roughlyKnown'>,
  element: ElementKey,
): RoughlyKnown | null {
  const { part, colour, print } = splitElementKey(element);
  // Who has plenty of tiles has not for that got the one with the compass on it.
  if (print) return null;
  return records.roughlyKnown.get(roughKey(partOf(part).family.group, colour)) ?? null;
}

/** Says how much there is of a family in a colour, or with null that nothing is said of it. */
export function sayRoughly(
  records: Pick<RecordSet, 'roughlyKnown'>,
  family: PartGroup,
  colour: ColourId,
  amount: RoughAmount | null,
): Command {
  const id = roughKey(family, colour);
  const old = records.roughlyKnown.get(id);
  return {
    label: amount
      ? `say: ${amount} of ${family.toLowerCase()} in ${colour}`
      : `say nothing of ${family.toLowerCase()} in ${colour}`,
    diff: amount
      ? written('roughlyKnown', old, { id, family, colour, amount })
      : old
        ? removed('roughlyKnown', old)
        : joinDiffs(),
  };
}

/** An element of which plans take uncounted pieces: how many, and for how many what was said of it stands. */
export interface RestsOn {
  readonly element: ElementKey;
  readonly planned: number;
  readonly said: RoughAmount | null;
  readonly pieces: number;
}

/**
 * What a build's plans take from own parts that nobody counted, what is to be counted first at the top: those of which more
 * is planned than what was said stands for, then those that come nearest to it.
 */
export function restsOnRough(workbench: Workbench): RestsOn[] {
  const sums = new Map<ElementKey, number>();
  for (const e of workbench.entries) {
    if (e.state !== 'planned' || e.whatIf !== null) continue;
    for (const m of e.movements)
      if (placeOf(m.from) === 'own' && !sourceName(m.from) && placeOf(m.to) === 'model')
        sums.set(m.element, (sums.get(m.element) ?? 0) + m.qty);
  }
  const strain = (r: RestsOn) => r.planned / Math.max(0.5, r.pieces);
  return [...sums]
    .map(([element, planned]): RestsOn => {
      const said = roughlySaid(workbench.records, element)?.amount ?? null;
      return { element, planned, said, pieces: said ? ROUGH_PIECES[said] : 0 };
    })
    .sort((a, b) => strain(b) - strain(a) || b.planned - a.planned || (a.element < b.element ? -1 : 1));
}
