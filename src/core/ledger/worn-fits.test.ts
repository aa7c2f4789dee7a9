import { describe, expect, it } from 'vitest';
import { grade, modelAccount } from '../places';
import { ash, chalk, model, move, porch, root, shipped } from '../testing/tally';
import { BUILT, CONTEXT, el, entry } from '../testing/world';
import { Books, type Entry, type Intent } from './index';
import { WornFits } from './worn-fits';

const ASKED: Pick<Intent, 'condition' | 'hidden'> = { condition: null, hidden: false };
const lay = (id: string, good: number, worn: number, element = chalk, to = model): Entry =>
  entry(id, 'unpack', [
    { ...move(good, element), from: shipped, to },
    { ...move(worn, element, grade('faded')), from: shipped, to },
  ]);
const fits = (entries: readonly Entry[], asked: Partial<typeof ASKED> = {}, element = chalk, zone = root) =>
  new WornFits(new Books(CONTEXT, entries, BUILT), zone, { ...ASKED, ...asked }).fits(element);

describe('whether worn pieces fit', () => {
  it('is so where most pieces of their colour have aged too', () => {
    expect(fits([lay('a', 4, 5)])).toBe(true);
    expect(fits([lay('a', 5, 4)])).toBe(false);
  });

  it('is not where as many are good as worn, nor where there are none of the colour', () => {
    expect(fits([lay('a', 5, 5)])).toBe(false);
    expect(fits([lay('a', 1, 9, ash)])).toBe(false);
  });

  it('goes by the colour, in whatever shape', () => {
    expect(fits([lay('a', 1, 9, el('brick 1x2', 'chalk'))])).toBe(true);
    expect(fits([lay('a', 4, 5), lay('b', 3, 0, el('brick 1x2', 'chalk'))])).toBe(false);
  });

  it('goes by the zone that the pieces go into', () => {
    const entries = [lay('a', 9, 1), lay('b', 1, 9, chalk, modelAccount(porch))];
    expect(fits(entries)).toBe(false);
    expect(fits(entries, {}, chalk, porch)).toBe(true);
  });

  it('is so anywhere where nobody sees them', () => {
    expect(fits([lay('a', 9, 0)], { hidden: true })).toBe(true);
  });

  it('is as it was said, hidden or not', () => {
    expect(fits([lay('a', 9, 0)], { condition: 'yellowed' })).toBe(true);
    expect(fits([lay('a', 0, 9)], { condition: 'new' })).toBe(false);
    expect(fits([lay('a', 0, 9)], { condition: 'used', hidden: true })).toBe(false);
  });

  it('is not asked anew for every place of one line', () => {
    const books = new Books(CONTEXT, [lay('a', 1, 9)], BUILT);
    const asked = new WornFits(books, root, ASKED);
    expect(asked.fits(chalk)).toBe(true);
    books.post(lay('b', 50, 0));
    expect(asked.fits(chalk)).toBe(true);
    expect(new WornFits(books, root, ASKED).fits(chalk)).toBe(false);
  });
});
