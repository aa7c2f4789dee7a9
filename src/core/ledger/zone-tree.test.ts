import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { asId, type BuildId, type ZoneId } from '../shared/ids';
import { ZONES } from '../testing/world';
import { zoneTreeFault, type Zone } from './index';

const zone = (id: string, parent: string | null, build = 'b'): Zone => ({
  id: asId<ZoneId>(id),
  build: asId<BuildId>(build),
  parent: parent === null ? null : asId<ZoneId>(parent),
  name: id,
  position: 0,
});

describe('the zones of a build', () => {
  it.each([
    ['none at all', [], undefined],
    ['a tree', [...ZONES], undefined],
    ['no root', [zone('a', 'a')], 'no root'],
    ['two roots', [zone('a', null), zone('c', null)], 'two roots'],
    ['a circle beside the root', [zone('a', null), zone('c', 'd'), zone('d', 'c')], 'circle'],
    ['a zone within itself', [zone('a', null), zone('c', 'c')], 'circle'],
    ['a parent that is gone', [zone('a', null), zone('c', 'x')], 'parent is not there'],
    ['a parent in another build', [zone('a', null), zone('c', 'a', 'other')], 'parent is not there'],
  ] as const)('%s', (_, zones, fault) => expect(zoneTreeFault(zones)?.fault).toBe(fault));

  it('any tree is sound, in whatever order; one parent turned to a child of its own is not', () =>
    fc.assert(
      fc.property(fc.array(fc.nat(), { minLength: 2, maxLength: 30 }), fc.nat(), (parents, pick) => {
        const tree = parents.map((p, i) => zone(`z${i}`, i === 0 ? null : `z${p % i}`));
        const mixed = tree.toSorted((a, b) => (a.name < b.name ? 1 : -1));
        expect(zoneTreeFault(mixed)).toBeUndefined();
        const i = 1 + (pick % (tree.length - 1));
        const turned = tree.map((z, k) => (k === i ? { ...z, parent: z.id } : z));
        expect(zoneTreeFault(turned)?.fault).toBe('circle');
      }),
    ));
});
