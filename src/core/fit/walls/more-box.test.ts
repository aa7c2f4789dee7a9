import { describe, expect, it } from 'vitest';
import { added } from '../../ledger';
import { asId, type BoxOfferId } from '../../shared/ids';
import { coursesOf, wallJobOf, wallsOf } from '../../testing/fit';
import { did, makeWorkbench, TEST_BUILD, withBox } from '../../testing/workbench';
import { el } from '../../testing/world';
import { moreBoxes } from './more-box';

const PRICES = [1, 2, 3, 4, 6, 8, 10, 12, 16].map((n) => `brick 1x${n} ash ${10 * n}`);
const SHED = { [el('brick 1x4', 'ash')]: 4, [el('brick 1x2', 'ash')]: 4, [el('tile 2x2', 'bark')]: 30 };

/** A wall of 48 studs, of which the shed that is being broken up fills half. */
const job = wallJobOf({ walls: wallsOf(16), courses: coursesOf('ash', 'ash', 'ash') });
const bench = (price: number | null) =>
  withBox(
    makeWorkbench({ zones: { Wall: ['1 brick 1x2 chalk'] }, prices: PRICES }),
    'Shed',
    SHED,
    TEST_BUILD,
    price,
  );

describe('one more box', () => {
  it('is told with what it saves buying, how much of it lies in the walls, and at which price', () => {
    const [more] = moreBoxes(bench(900), job);
    expect(more).toMatchObject({ setName: 'Shed', price: 900, pieces: 38, guessed: false });
    // Half of the wall is bought without it, at ten for a stud; joints may ask for a few beyond the box.
    expect(more!.less).toBeGreaterThan(100);
    expect(more!.less + more!.costs).toBeGreaterThanOrEqual(240);
    expect(more!.used).toBeGreaterThan(0);
    expect(more!.used).toBeLessThanOrEqual(8);
  });

  it('goes by an offer of one’s own before what was paid, and has no price where nobody knows one', () => {
    const b = bench(900);
    const offer = {
      id: asId<BoxOfferId>('offer'),
      code: 'Shed',
      setName: 'Shed',
      condition: 'second-hand' as const,
      price: 450,
      copies: 1,
      seller: 'Market hall',
      days: 3,
    };
    did(b, { label: 'offer', diff: added('boxOffer', offer) });
    expect(moreBoxes(b, job)[0]!.price).toBe(450);
    expect(moreBoxes(bench(null), job)[0]!.price).toBeNull();
    expect(moreBoxes(bench(0), job)[0]!.price).toBeNull();
  });

  it('is not told where it holds nothing for the walls, or nothing has to be bought', () => {
    expect(moreBoxes(bench(900), { ...job, courses: coursesOf('kelp', 'kelp') })).toEqual([]);
    expect(moreBoxes(bench(900), { ...job, courses: coursesOf('ash') })).toEqual([]);
  });
});
