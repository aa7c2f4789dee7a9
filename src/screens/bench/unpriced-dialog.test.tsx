// @vitest-environment happy-dom
import { screen, waitFor } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { changed } from '@/core/ledger';
import { keepSticker, logStickerAct, newSticker, stickersNow } from '@/core/stickers';
import { testSource } from '@/core/testing/workbench';
import { el } from '@/core/testing/world';
import type { TestBuild } from '@/server/testing/workspace';
import { onBuild } from '../testing/on-build';
import { UnpricedDialog } from './unpriced-dialog';

/** A box, pieces and a sticker, none of which has a price. */
function nothingPriced({ act, open, log }: TestBuild) {
  const [box] = open().records.copy.values();
  act({ label: 'nobody knows', diff: changed('copy', box!, { price: null }) });
  log('+3 brick 1x2 slate bought');
  const zone = open().zones.find((z) => z.name === 'Porch')!.id;
  act(
    keepSticker(
      open(),
      newSticker(open(), testSource('s'), { name: 'band', zone, elements: [el('brick 1x2', 'ash')] }),
    ),
  );
  const wish = { act: 'renewed with its part', planned: false, modification: null, zone: null } as const;
  const [sticker] = stickersNow(open());
  act(logStickerAct(open(), sticker!, { ...wish, elements: [], cost: null, note: '' }, testSource('a')));
}

it('lists boxes, pieces and what was done with stickers, and gives each its price', async () => {
  const closed = vi.fn();
  const { t, store, user } = onBuild(<UnpricedDialog onClose={closed} />, nothingPriced);
  const left = () => store.getState().workbench.built.figures({ of: 'build' }).boughtUnpriced;
  expect(left()).toBe(4);
  screen.getByText('1 box, 3 pieces of 1 kind and 1 sticker without a price');
  await user.type(screen.getByLabelText('What was paid for the box Test house'), '40');
  await user.type(screen.getByLabelText('Price each of brick 1x2 slate new'), 'x');
  const give = screen.getByRole<HTMLButtonElement>('button', { name: 'Give 1 of them a price' });
  expect(give.disabled).toBe(true);
  expect(screen.getByRole('alert').textContent).toContain('“x” is not a price.');
  await user.clear(screen.getByLabelText('Price each of brick 1x2 slate new'));
  await user.click(give);
  expect(closed).not.toHaveBeenCalled();
  screen.getByText('3 pieces of 1 kind and 1 sticker without a price');
  await user.type(screen.getByLabelText('Price each of brick 1x2 slate new'), '0.07');
  await user.type(
    screen.getByLabelText(/^What entry \d+ cost, with the sticker on brick 1x2 ash$/),
    '2{Enter}',
  );
  expect(closed).toHaveBeenCalledOnce();
  screen.getByText('Everything has a price');
  expect(left()).toBe(0);
  await waitFor(() => {
    const kept = t.open();
    expect(kept.built.figures({ of: 'build' })).toMatchObject({
      outOfPocket: 3 * 7 + 200,
      boughtUnpriced: 0,
    });
    expect([...kept.records.copy.values()].map((c) => c.price)).toEqual([4000]);
  });
});
