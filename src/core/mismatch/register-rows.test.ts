import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PALETTE } from '../colour';
import { elementKey, readPartName, splitElementKey } from '../parts';
import { asId, type ColourId, type PartId } from '../shared/ids';
import { el } from '../testing/world';
import { makeWorkbench } from '../testing/workbench';
import {
  auditColours,
  elementsToLookUp,
  partsToLookUp,
  registerOf,
  rowsOf,
  type Made,
  type Register,
} from './index';

const partId = (name: string): PartId => readPartName(name).part.id;

/** A register whose answers follow from the lengths of names. */
const register: Register = {
  look(element): Made {
    const { part, colour } = splitElementKey(element);
    const n = (part.length * 7 + colour.length * 3) % 10;
    if (n < 3) return { made: false };
    return { made: true, from: 1980 + n, to: n < 6 ? 1990 + n : null };
  },
};

describe('a register that is carried as rows', () => {
  const parts = ['brick 1x2', 'plate 2x4', 'tile 1x4', 'arch 1x4'].map(partId);
  const carried = registerOf(JSON.parse(JSON.stringify(rowsOf(register, parts))) as never);

  it('says of its parts what the register says, in every colour', () =>
    fc.assert(
      fc.property(fc.constantFrom(...parts), fc.constantFrom(...PALETTE), (part, colour) => {
        const element = elementKey(part, colour.id);
        expect(carried.look(element)).toEqual(register.look(element));
      }),
    ));

  it('tells of a part that it was not asked for, and never says that such a one was made', () => {
    const missing: PartId[] = [];
    const rows = registerOf(rowsOf(register, parts), (p) => missing.push(p));
    expect(rows.look(el('slope 45 2x2', 'ash'))).toEqual({ made: false });
    expect(rows.look(elementKey(parts[0]!, asId<ColourId>('no-colour')))).toEqual({ made: false });
    expect(missing).toEqual([partId('slope 45 2x2')]);
  });

  it('holds all that the list of mismatches looks up', () => {
    const workbench = makeWorkbench({
      zones: { Wall: ['14 brick 1x4 slate', '3 brick 1x4 ash', '1 brick 2x4 bark', '9 plate 2x3 slate'] },
      stock: ['5 brick 1x2 slate used'],
    });
    const missing: PartId[] = [];
    const rows = rowsOf(register, partsToLookUp(workbench.elements));
    const audit = auditColours(
      workbench,
      registerOf(rows, (p) => missing.push(p)),
      2026,
    );
    expect(missing).toEqual([]);
    expect(JSON.stringify(audit.fixes)).toBe(JSON.stringify(auditColours(workbench, register, 2026).fixes));
    expect(audit.fixes.length).toBeGreaterThan(0);
  });

  it('goes for the build’s own elements and what could take their places, in every colour, prints too', () => {
    const printed = el('tile 2x2', 'ash', 'clock');
    const own = [el('plate 1x14', 'ash'), printed];
    const all = new Set(
      elementsToLookUp(own, [{ id: asId<ColourId>('ash') }, { id: asId<ColourId>('kelp') }]),
    );
    for (const colour of ['ash', 'kelp'])
      for (const [part, print] of [
        ['plate 1x14'],
        ['plate 1x12'],
        ['plate 1x2'],
        ['tile 2x2'],
        ['tile 2x2', 'clock'],
      ])
        expect([part, colour, all.has(el(part!, colour, print))]).toEqual([part, colour, true]);
    expect(all.has(el('plate 1x14', 'slate'))).toBe(false);
    expect(all.has(el('slope 45 2x2', 'ash'))).toBe(false);
  });
});
