import { describe, expect, it } from 'vitest';
import { offerBox } from '@/core/market';
import { el } from '@/core/testing/world';
import { writeSet } from '@/data/catalogue';
import { coverModels } from './cover-models';
import { boxesForSale } from './market/ask-market';
import { OWN_MAKER } from './own-sets';
import { testBuild } from './testing/workspace';

const ash = el('brick 1x2', 'ash');
const lot = (qty: number) => ({ element: ash, qty, extra: false, zone: '' });
const offered = () => {
  const build = testBuild();
  writeSet(build.handle.db, { code: 'MY-1', name: 'My own tram', maker: OWN_MAKER, year: 2026 }, [lot(40)]);
  const offer = {
    code: 'MY-1',
    setName: 'My own tram',
    condition: 'second-hand' as const,
    price: 900,
    copies: 2,
    seller: 'the market hall',
    days: 3,
  };
  const act = (more: Partial<typeof offer>, id: string) =>
    build.act(offerBox({ ...offer, ...more }, { newId: () => id, now: '' }), id);
  return { ...build, offer, offerAs: act };
};

describe('a box at a price of one’s own', () => {
  it('stands among those for sale with what the catalogue says is in it, and is not simulated', () => {
    const { handle, offerAs } = offered();
    expect(boxesForSale(handle).filter((b) => b.own)).toEqual([]);
    expect(offerAs({}, 'b1').ok).toBe(true);
    expect(boxesForSale(handle).filter((b) => b.own)).toMatchObject([
      { code: 'MY-1', price: 900, copies: 2, seller: 'the market hall', lots: [{ element: ash, qty: 40 }] },
    ]);
  });

  it('is there once for a set and a condition: the cheaper of two', () => {
    const { handle, offerAs } = offered();
    offerAs({}, 'b1');
    offerAs({ price: 700, seller: 'a friend' }, 'b2');
    offerAs({ condition: 'new' as never, price: 1500 }, 'b3');
    offerAs({ code: 'NOT-THERE' }, 'b4');
    expect(
      boxesForSale(handle)
        .flatMap((b) => (b.own ? [[b.condition, b.price]] : []))
        .sort(),
    ).toEqual([
      ['new', 1500],
      ['second-hand', 700],
    ]);
  });
});

describe('boxes that are owned and that nobody sells', () => {
  it('count with what is in them', async () => {
    const { handle, build } = offered();
    const musts = [{ part: 'brick 1x2', colour: 'ash', qty: 12 }];
    const ask = (copies: number) =>
      coverModels(handle, {
        models: [{ id: 'm', build, name: 'Wall', musts, colours: [], shares: false }] as never,
        owned: [{ code: 'ATTIC', name: 'From the attic', copies, lots: [{ element: ash, qty: 10 }] }],
      });
    expect(await ask(2)).toMatchObject({ cost: 0, short: [], left: 8 });
    expect(await ask(1)).toMatchObject({ copies: [], short: [{ element: ash, qty: 2 }] });
  });
});
