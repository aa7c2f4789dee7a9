import { describe, expect, it } from 'vitest';
import { countingIds, type BuildId } from '@/core/shared/ids';
import { readCatalogue, readSetLots, writeSet } from '@/data/catalogue';
import { openDatabase } from '@/data/database';
import { importBoxes } from './import-rows';
import { boxesForSale } from './market/ask-market';
import { keepBuildAsSet, OWN_MAKER } from './own-sets';
import { openWorkbench } from './snapshot';
import { NOW, SMALL_BOX } from './testing/workspace';

const context = () => ({ handle: openDatabase(':memory:', NOW), newId: countingIds('t'), now: NOW });
const pieces = (lots: readonly { qty: number; extra: boolean }[]) =>
  lots.reduce((s, l) => s + (l.extra ? 0 : l.qty), 0);

describe('sets of one’s own', () => {
  it('what was imported is in the catalogue, whole, and is nothing that anybody sells', () => {
    const c = context();
    const before = boxesForSale(c.handle).length;
    importBoxes({ ...SMALL_BOX, boxes: [{ ...SMALL_BOX.boxes[0]!, setCode: '' }], request: 'r' }, c);
    const [set] = readCatalogue(c.handle.db);
    expect(set).toMatchObject({ name: SMALL_BOX.boxes[0]!.setName, maker: OWN_MAKER, pieces: 112 });
    expect(readSetLots(c.handle.db, set!.code)).toHaveLength(SMALL_BOX.boxes[0]!.lots.length);
    expect(boxesForSale(c.handle)).toHaveLength(before);
  });

  it('imported again it stands there once; a set of the catalogue is left as it is', () => {
    const c = context();
    const [box] = SMALL_BOX.boxes;
    writeSet(c.handle.db, { code: 'HW 1', name: 'Kiosk', maker: 'Hollin & Wake', year: 2001 }, []);
    importBoxes({ ...SMALL_BOX, boxes: [{ ...box!, setCode: 'HW 1' }], request: 'a' }, c);
    expect(readCatalogue(c.handle.db)).toMatchObject([{ name: 'Kiosk', pieces: 0 }]);
    for (const request of ['b', 'c'])
      importBoxes({ ...SMALL_BOX, boxes: [{ ...box!, setCode: '' }], request }, c);
    expect(readCatalogue(c.handle.db)).toHaveLength(2);
  });

  it('what stands of a build can be kept as one, by zone, and be built again with the same pieces', () => {
    const c = context();
    const done = importBoxes({ ...SMALL_BOX, request: 'r' }, c);
    const build = (done.ok && done.value.build) as BuildId;
    const { code } = keepBuildAsSet(c.handle, build, NOW)!;
    const lots = readSetLots(c.handle.db, code);
    const workbench = openWorkbench(c.handle, build)!;
    expect(pieces(lots)).toBe(workbench.built.figures({ of: 'build' }).onModel);
    expect(new Set(lots.map((l) => l.zone))).toEqual(new Set(['Porch', 'Gallery']));
    const again = importBoxes(
      {
        ...SMALL_BOX,
        request: 'again',
        boxes: [
          { ...SMALL_BOX.boxes[0]!, setCode: code, lots: lots.map((l) => ({ ...l, condition: null })) },
        ],
      },
      c,
    );
    const twin = openWorkbench(c.handle, (again.ok && again.value.build) as BuildId)!;
    expect(twin.built.figures({ of: 'build' }).onModel).toBe(pieces(lots));
    expect(keepBuildAsSet(c.handle, 'none' as BuildId, NOW)).toBeUndefined();
  });
});
