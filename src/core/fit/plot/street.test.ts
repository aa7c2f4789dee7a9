import { describe, expect, it } from 'vitest';
import { neighbourOf } from '../../testing/fit';
import { makeWorkbench } from '../../testing/workbench';
import { plotOf } from './plot';
import { doorSteps, housesMeet, lineSteps, sharedBase, streetOf } from './street';

const plot = { ...plotOf(makeWorkbench({ zones: { Front: ['1 brick 1x2 ash'] } })), width: 64, depth: 32 };
const house = { name: 'House', width: 32, depth: 32 };

describe('a street', () => {
  it('meets storey by storey, or misses by plates', () => {
    expect(lineSteps([2, 32, 62], [2, 30])).toEqual([
      { own: 2, other: 2, plates: 0 },
      { own: 32, other: 30, plates: 2 },
      { own: 62, other: 30, plates: 32 },
    ]);
    expect(lineSteps([2], [])).toEqual([]);
  });

  it('stands side by side with the build in its place', () => {
    const street = streetOf(
      {
        ...plot,
        storeys: [3],
        neighbours: [neighbourOf(), neighbourOf({ name: 'Chandler', width: 24 })],
        place: 1,
      },
      house,
    );
    expect(street.map((h) => [h.name, h.from, h.isOwn])).toEqual([
      ['Bakery', 0, false],
      ['House', 16, true],
      ['Chandler', 48, false],
    ]);
  });

  it('meets at cornices and kerbs too, and says nothing of what is not known', () => {
    const own = { storeys: [2], cornices: [58], kerb: 1 };
    expect(housesMeet(own, { storeys: [], cornices: [60, 20], kerb: 2 })).toEqual({
      storeys: [],
      cornices: [{ own: 58, other: 60, plates: -2 }],
      kerb: -1,
    });
    expect(housesMeet(own, { storeys: [], cornices: [], kerb: null }).kerb).toBeNull();
  });

  it('has a step for every two plates that a sill lies over the kerb, or under it', () => {
    const doors = [
      { name: 'front', at: 4, sill: 5 },
      { name: 'level', at: 8, sill: 1 },
      { name: 'cellar', at: 40, sill: 0 },
    ];
    expect(doorSteps({ doors, kerb: 1, width: 32 })).toEqual([
      { name: 'front', at: 4, plates: 4, steps: 2, isOutside: false },
      { name: 'level', at: 8, plates: 0, steps: 0, isOutside: false },
      { name: 'cellar', at: 40, plates: -1, steps: 1, isOutside: true },
    ]);
    expect(doorSteps({ doors, kerb: null, width: 64 }).map((d) => d.plates)).toEqual([5, 1, 0]);
  });

  it('says what is left of a base that houses share', () => {
    const shared = (shares: boolean, width: number) => {
      const on = { ...plot, neighbours: [neighbourOf({ shares, width }), neighbourOf({ name: 'Far' })] };
      return sharedBase(streetOf(on, house), on);
    };
    expect(shared(false, 16)).toBeNull();
    expect(shared(true, 16)).toEqual({ names: ['House', 'Bakery'], left: 16 });
    expect(shared(true, 40)!.left).toBe(-8);
  });
});
