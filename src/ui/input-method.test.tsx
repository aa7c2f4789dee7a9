// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { leaveToInputMethod } from './input-method';

function pressed(how: KeyboardEventInit & { keyCode?: number }, leaves = true) {
  const heard = vi.fn();
  window.addEventListener('keydown', heard);
  const end = leaves ? leaveToInputMethod() : () => {};
  render(<input aria-label="Note" onKeyDown={(e) => heard(e.key)} />);
  // What is not stopped is heard by the field, and by the keys of the page.
  const isFree = fireEvent.keyDown(screen.getByLabelText('Note'), how);
  end();
  window.removeEventListener('keydown', heard);
  cleanup();
  return { times: heard.mock.calls.length, isFree };
}

it.each(['Enter', 'Escape', 'ArrowDown', 'k'])(
  'the %s of an input method reaches no field and no command, and does there what it does',
  (key) => {
    expect(pressed({ key, isComposing: true })).toEqual({ times: 0, isFree: true });
    expect(pressed({ key, keyCode: 229 })).toEqual({ times: 0, isFree: true });
  },
);

it('any other key is heard as it was, and all are once nothing is left to it', () => {
  expect(pressed({ key: 'Enter', keyCode: 13 }).times).toBe(2);
  expect(pressed({ key: 'Enter', isComposing: true }, false).times).toBe(2);
});
