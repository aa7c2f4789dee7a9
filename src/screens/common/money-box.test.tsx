// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { LIMITS } from '@/core/shared/bounds';
import type { Minor } from '@/core/shared/money';
import { MoneyBox } from './money-box';

afterEach(cleanup);

const field = () => screen.getByLabelText<HTMLInputElement>('Postage');
const typeAndLeave = (text: string) => {
  fireEvent.change(field(), { target: { value: text } });
  fireEvent.blur(field());
};

/** A box of money whose amount is kept as those who use it keep theirs; empty means `empty`. */
function Postage({ onTaken, empty }: { onTaken: (amount: Minor | null) => void; empty: Minor | null }) {
  const [value, setValue] = useState<Minor | null>(250);
  const take = (amount: Minor | null) => {
    onTaken(amount);
    setValue(amount ?? empty);
  };
  return <MoneyBox label="Postage" value={value} onChange={take} />;
}

function postage(empty: Minor | null = null) {
  const taken = vi.fn();
  render(<Postage onTaken={taken} empty={empty} />);
  return taken;
}

describe('an amount that is typed', () => {
  it.each([
    ['3.10', 310, '3.10'],
    ['3,10', 310, '3.10'],
    ['£4', 400, '4.00'],
    ['12p', 12, '0.12'],
    ['0', 0, '0.00'],
  ])('%s is taken when the field is left, and written as amounts are', (text, amount, written) => {
    const taken = postage();
    typeAndLeave(text);
    expect(taken.mock.calls).toEqual([[amount]]);
    expect(field().value).toBe(written);
  });

  it.each(['two', '-1', '1.2.3', '100000000.01'])('%s stays, says so, and is not taken', (text) => {
    const taken = postage();
    typeAndLeave(text);
    expect(taken).not.toHaveBeenCalled();
    expect(field().value).toBe(text);
    expect(field().validity.valid).toBe(false);
    expect(screen.getByRole('status').textContent).toBe('▲ an amount like 4.50');
    typeAndLeave('5');
    expect(taken.mock.calls).toEqual([[500]]);
    expect(screen.queryByRole('status')).toBeNull();
  });

  it('takes the most that a record may have', () => {
    const taken = postage();
    typeAndLeave(String(LIMITS.money / 100));
    expect(taken.mock.calls).toEqual([[LIMITS.money]]);
  });

  it('emptied is not known, or what nothing means there', () => {
    const taken = postage();
    typeAndLeave(' ');
    expect(taken.mock.calls).toEqual([[null]]);
    expect(field().value).toBe('');
    cleanup();
    postage(0);
    typeAndLeave('');
    expect(field().value).toBe('0.00');
  });

  it('is taken by Enter, and not again where it is as it was', () => {
    const taken = postage();
    fireEvent.change(field(), { target: { value: '2.5' } });
    fireEvent.keyDown(field(), { key: 'Enter' });
    expect(taken).not.toHaveBeenCalled();
    expect(field().value).toBe('2.50');
  });
});
