import { partOf, splitElementKey } from '../../parts';
import type { Workbench } from '../../workbench';
import { suppliesFor } from '../supply';
import type { Filling } from './levels';

/** Families that a filling needs, as one asks for them. */
export type FillingNeed = 'brick' | 'plate' | 'bracket' | 'side-stud brick';

/** A filling with the families of which too few are at hand, whatever their size and colour. */
export interface FillingHere extends Filling {
  readonly lacks: readonly FillingNeed[];
}

const NEEDS: readonly FillingNeed[] = ['brick', 'plate', 'bracket', 'side-stud brick'];

/**
 * Fillings with what lacks of them in this build's sources: those at hand first, each group in the order given. A half plate
 * is a bracket's; what lies on its side is held by a brick with studs on its side, or by a bracket.
 */
export function fillingsHere(workbench: Workbench, fillings: readonly Filling[]): FillingHere[] {
  const familyOf = (e: Parameters<typeof splitElementKey>[0]) => partOf(splitElementKey(e).part).family.name;
  const known = [...workbench.elements].filter((e) => NEEDS.some((n) => n === familyOf(e)));
  const supplies = suppliesFor(workbench, known);
  const have = new Map<string, number>();
  for (const e of known) have.set(familyOf(e), (have.get(familyOf(e)) ?? 0) + supplies(e).atHand);
  const count = (n: FillingNeed) => have.get(n) ?? 0;
  const found = fillings.map((f): FillingHere => {
    const lacks: FillingNeed[] = [];
    if (count('brick') < f.bricks) lacks.push('brick');
    if (count('plate') < f.plates) lacks.push('plate');
    if (count('bracket') < f.halves) lacks.push('bracket');
    if (f.sideways > 0 && count('side-stud brick') + count('bracket') === 0) lacks.push('side-stud brick');
    return { ...f, lacks };
  });
  return [...found.filter((f) => f.lacks.length === 0), ...found.filter((f) => f.lacks.length > 0)];
}
