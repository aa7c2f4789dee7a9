// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { isFilledIn, NumberBox } from './number-box';

afterEach(cleanup);

const type = (text: string) => fireEvent.change(screen.getByLabelText('Copies'), { target: { value: text } });
const field = () => screen.getByLabelText<HTMLInputElement>('Copies');

function Copies({
  live,
  onTaken,
  most = 10,
}: {
  live?: boolean;
  onTaken: (n: number) => void;
  most?: number;
}) {
  const [value, setValue] = useState(1);
  const take = (n: number) => {
    onTaken(n);
    setValue(n);
  };
  return (
    <form data-testid="form">
      <NumberBox label="Copies" least={1} most={most} value={value} onChange={take} live={live} />
      <button type="button" onClick={() => setValue(7)}>
        seven
      </button>
    </form>
  );
}

describe('a number that is typed', () => {
  it('can be emptied and typed anew: nothing is put in its place meanwhile', () => {
    const taken = vi.fn();
    render(<Copies live onTaken={taken} />);
    type('');
    expect(field().value).toBe('');
    expect(taken).not.toHaveBeenCalled();
    type('5');
    expect(field().value).toBe('5');
    expect(taken.mock.calls).toEqual([[5]]);
  });

  it.each(['0', '11', '2.5', 'two', '', '-3'])(
    'says what it can be where it is “%s”, stays, and no form takes it',
    (text) => {
      const taken = vi.fn();
      render(<Copies live onTaken={taken} />);
      type(text);
      fireEvent.blur(field());
      expect(field().value).toBe(text);
      expect(screen.getByRole('status').textContent).toBe('▲ a whole number from 1 to 10');
      expect(field().getAttribute('aria-invalid')).toBe('true');
      expect(field().validationMessage).toBe('a whole number from 1 to 10');
      expect(screen.getByTestId<HTMLFormElement>('form').checkValidity()).toBe(false);
      expect(isFilledIn(screen.getByTestId('form'))).toBe(false);
      expect(document.activeElement).toBe(field());
      expect(taken).not.toHaveBeenCalled();
      type('4');
      expect(screen.queryByRole('status')).toBeNull();
      expect(isFilledIn(screen.getByTestId('form'))).toBe(true);
    },
  );

  it('says so where there is but one number', () => {
    render(<Copies most={1} onTaken={vi.fn()} />);
    type('2');
    expect(screen.getByRole('status').textContent).toBe('▲ it can only be 1');
  });

  it('is taken as it is left, or by Enter, where nothing follows from each letter', () => {
    const taken = vi.fn();
    render(<Copies onTaken={taken} />);
    type('8');
    expect(taken).not.toHaveBeenCalled();
    fireEvent.keyDown(field(), { key: 'Enter' });
    type('9');
    fireEvent.blur(field());
    expect(taken.mock.calls).toEqual([[8], [9]]);
  });

  it('goes up and down by the arrow keys, within its bounds', () => {
    const taken = vi.fn();
    render(<Copies live onTaken={taken} most={3} />);
    for (const key of ['ArrowDown', 'ArrowUp', 'ArrowUp', 'ArrowUp', 'ArrowDown'])
      fireEvent.keyDown(field(), { key });
    expect(taken.mock.calls).toEqual([[2], [3], [2]]);
  });

  it('is unfolded where a form cannot take it', () => {
    render(
      <form data-testid="form">
        <details>
          <NumberBox label="Copies" least={1} most={10} value={1} onChange={vi.fn()} />
        </details>
      </form>,
    );
    type('99');
    const details = document.querySelector('details')!;
    expect(details.open).toBe(false);
    screen.getByTestId<HTMLFormElement>('form').checkValidity();
    expect(details.open).toBe(true);
  });

  it('gives way to what comes from elsewhere', () => {
    render(<Copies live onTaken={vi.fn()} />);
    type('99');
    fireEvent.click(screen.getByText('seven'));
    expect(field().value).toBe('7');
    expect(screen.queryByRole('status')).toBeNull();
  });
});
