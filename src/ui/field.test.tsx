// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { Field, Input } from './field';

afterEach(cleanup);

function form(): HTMLFormElement {
  render(
    <form data-testid="form">
      <Field label="Name">
        <Input required />
      </Field>
      <details>
        <Field label="Whom">
          <Input required />
        </Field>
      </details>
    </form>,
  );
  return screen.getByTestId('form');
}

describe('a field that a form cannot take', () => {
  it('is gone to and says why, the first of them, and no bubble of the browser does', () => {
    form();
    const [name, whom] = [screen.getByLabelText('Name'), screen.getByLabelText('Whom')];
    // False where the browser's own way was prevented.
    expect(fireEvent.invalid(name)).toBe(false);
    expect(fireEvent.invalid(whom)).toBe(false);
    expect(document.activeElement).toBe(name);
    expect(screen.getAllByRole('status').map((s) => s.textContent)).toEqual([
      '▲ it is empty',
      '▲ it is empty',
    ]);
    expect(name.getAttribute('aria-describedby')).toBe(screen.getAllByRole('status')[0]!.id);
    expect(document.querySelector('details')!.open).toBe(true);
  });

  it('says no more once something is typed', () => {
    form();
    const name = screen.getByLabelText('Name');
    fireEvent.invalid(name);
    fireEvent.input(name, { target: { value: 'a' } });
    expect(screen.queryByRole('status')).toBeNull();
    expect(name.hasAttribute('aria-invalid')).toBe(false);
  });
});
