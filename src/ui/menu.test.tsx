// @vitest-environment happy-dom
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { Dialog } from './dialog';
import { keepFocus } from './keep-focus';
import { Menu } from './menu';

let end = () => {};
beforeEach(() => (end = keepFocus()));
afterEach(() => {
  cleanup();
  end();
});

function Page() {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Menu
        label="More"
        trigger={<button>More</button>}
        items={[{ label: 'Placed in part…', onSelect: () => setOpen(true) }]}
      />
      {open && (
        <Dialog open onOpenChange={() => setOpen(false)} title="Placed in part">
          <input autoFocus aria-label="Pieces placed" />
        </Dialog>
      )}
    </>
  );
}

it('what it opens has the focus where it wants it, and gives it back to the button of the menu', async () => {
  const user = userEvent.setup();
  render(<Page />);
  const button = screen.getByRole('button', { name: 'More' });
  await user.click(button);
  await user.click(screen.getByRole('menuitem'));
  const field = await screen.findByLabelText('Pieces placed');
  await new Promise((done) => setTimeout(done, 30));
  expect(document.activeElement).toBe(field);
  await user.keyboard('{Escape}');
  await waitFor(() => expect(document.activeElement).toBe(button));
});
