import type { Workbench } from '../workbench';
import { lotKey, shippedAccount, zoneOf, type CountLine, type Grade } from '../ledger';
import type { ElementKey } from '../parts';
import type { CopyId, ZoneId } from '../shared/ids';

/** One lot that a box should hold, and how it was counted in, if it was. */
export interface BoxLot {
  readonly copy: CopyId;
  readonly zone: ZoneId;
  readonly element: ElementKey;
  readonly expected: number;
  /** Grade it was unpacked in, with the pieces of each. */
  readonly grades: readonly (readonly [Grade, number])[];
  readonly line: CountLine | null;
}

/** The lots of a copy as its box should hold them, extras apart, in the order they were unpacked. */
export function boxLots(workbench: Workbench, copy: CopyId): BoxLot[] {
  const from = shippedAccount(copy);
  const lots = new Map<string, { zone: ZoneId; element: ElementKey; grades: Map<Grade, number> }>();
  for (const entry of workbench.entries) {
    if (entry.kind !== 'unpack') continue;
    for (const m of entry.movements) {
      const zone = m.from === from ? zoneOf(m.to) : undefined;
      if (!zone) continue;
      const key = `${zone}|${m.element}`;
      const lot = lots.get(key) ?? { zone, element: m.element, grades: new Map<Grade, number>() };
      lot.grades.set(m.grade, (lot.grades.get(m.grade) ?? 0) + m.qty);
      lots.set(key, lot);
    }
  }
  const lines = new Map<string, CountLine>();
  for (const l of workbench.records.countLine.values())
    if (l.copy === copy) lines.set(lotKey(l.zone, l.element), l);
  return [...lots].map(([key, { zone, element, grades }]) => ({
    copy,
    zone,
    element,
    expected: [...grades.values()].reduce((a, b) => a + b, 0),
    grades: [...grades],
    line: lines.get(key) ?? null,
  }));
}

/** Copies whose pieces are on the model: the ones that are counted in. */
export const baseCopies = (workbench: Workbench) =>
  [...workbench.records.copy.values()].filter((c) => c.role === 'base');
