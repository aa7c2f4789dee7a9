// @vitest-environment happy-dom
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { added } from '@/core/ledger';
import { el } from '@/core/testing/world';
import { stockOpening, takeStockSnapshot } from '@/server/snapshot';
import { testBuild } from '@/server/testing/workspace';
import { ask } from '../sending/answers';
import { WithStock } from './with-stock';

vi.mock(import('../sending/answers'), async (original) => ({ ...(await original()), ask: vi.fn() }));
vi.mock(import('next/navigation'), async (original) => ({
  ...(await original()),
  usePathname: () => '/prices',
}));

afterEach(cleanup);

const t = testBuild();
const prices = Array.from({ length: 1600 }, (_, i) => {
  const element = el(`brick 1x${i + 1}`, 'ash');
  return { id: element as string, element, newPrice: 5, usedPrice: null };
});
const shown = (stock: ReturnType<typeof takeStockSnapshot>) => <p>{stock.prices.length} prices</p>;

describe('the pages of own parts and prices', () => {
  it('come with a small collection, and of a large one with what it comes to', () => {
    expect(stockOpening(t.handle)).toMatchObject({ stock: { prices: [] } });
    expect(t.act({ label: 'prices', diff: added('price', ...prices) }).ok).toBe(true);
    const opening = stockOpening(t.handle);
    expect(opening).toEqual({
      later: { revision: expect.any(Number), pieces: 0, kinds: 0, trays: 0, prices: 1600 },
    });
    expect(JSON.stringify(opening).length).toBeLessThan(200);
  });

  it('ask for a large one, say so meanwhile, and again when that failed', async () => {
    const user = userEvent.setup();
    vi.mocked(ask).mockResolvedValueOnce(undefined).mockResolvedValueOnce(takeStockSnapshot(t.handle));
    render(
      <WithStock opening={stockOpening(t.handle)} screen="Prices">
        {shown}
      </WithStock>,
    );
    expect(screen.getByRole('heading', { name: '1,600 prices are known.' })).toBeTruthy();
    expect(screen.getByText('Reading your own parts and prices…')).toBeTruthy();
    await user.click(await screen.findByRole('button', { name: 'Ask again' }));
    expect(await screen.findByText('1600 prices')).toBeTruthy();
    expect(ask).toHaveBeenCalledTimes(2);
  });

  it('have one bar before and after: what is being pressed in it as the list comes stays', async () => {
    let come: (stock: ReturnType<typeof takeStockSnapshot>) => void = () => {};
    vi.mocked(ask).mockReturnValueOnce(new Promise((done) => (come = done)));
    render(
      <WithStock opening={stockOpening(t.handle)} screen="Prices">
        {shown}
      </WithStock>,
    );
    const link = screen.getByRole('link', { name: 'Own parts' });
    link.focus();
    come(takeStockSnapshot(t.handle));
    expect(await screen.findByText('1600 prices')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Own parts' })).toBe(link);
    expect(document.activeElement).toBe(link);
  });
});
