// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { ReactNode } from 'react';
import { Dialog } from '@/ui/dialog';
import { keepFocus } from '@/ui/keep-focus';
import { CommandPalette } from './command-palette';
import { bindingsOf, keyWords } from './keys';
import { commandsNow, useCommands, type Command } from './use-commands';

afterEach(cleanup);

function Part({ commands, listening = true }: { commands: Command[]; listening?: boolean }) {
  useCommands(commands, listening);
  return <input aria-label="field" />;
}
const press = (key: string, more: object = {}, target: Element = document.body) =>
  fireEvent.keyDown(target, { key, code: /^\d$/.test(key) ? `Digit${key}` : '', ...more });

describe('keys', () => {
  it.each([
    ['l', ['l'], 'L'],
    ['ctrl+shift+z', ['$mod+Shift+z'], 'Ctrl Shift Z'],
    ['alt+3', ['Alt+Digit3'], 'Alt 3'],
    ['/', ['/', 'Shift+/'], '/'],
    [' ', ['Space'], 'Space'],
    ['F1', ['F1'], 'F1'],
    ['Enter', ['Enter'], 'Enter'],
  ])('%s', (key, bindings, words) => expect([bindingsOf(key), keyWords(key)]).toEqual([bindings, words]));
});

describe('commands', () => {
  it('run by their key, outside of fields, but for those that work everywhere', () => {
    const [plain, anywhere] = [vi.fn(), vi.fn()];
    render(
      <Part
        commands={[
          { name: 'Plan', key: 'p', run: plain },
          { name: 'All', key: 'ctrl+k', everywhere: true, run: anywhere },
        ]}
      />,
    );
    press('p');
    press('k', { ctrlKey: true });
    expect([plain.mock.calls.length, anywhere.mock.calls.length]).toEqual([1, 1]);
    const field = screen.getByLabelText('field');
    press('p', {}, field);
    press('k', { ctrlKey: true }, field);
    press('p', { ctrlKey: true });
    expect([plain.mock.calls.length, anywhere.mock.calls.length]).toEqual([1, 2]);
  });

  it('run as they are now, and only while their part of the page is there and listens', () => {
    const [first, second] = [vi.fn(), vi.fn()];
    const of = (run: () => void): Command[] => [{ name: 'Plan', key: 'p', run }];
    const { rerender, unmount } = render(<Part commands={of(first)} />);
    rerender(<Part commands={of(second)} />);
    press('p');
    rerender(<Part commands={of(second)} listening={false} />);
    press('p');
    expect([first.mock.calls.length, second.mock.calls.length]).toEqual([0, 1]);
    expect(commandsNow()).toEqual([]);
    rerender(<Part commands={of(second)} />);
    expect(commandsNow().map((c) => c.name)).toEqual(['Plan']);
    unmount();
    press('p');
    expect([second.mock.calls.length, commandsNow()]).toEqual([1, []]);
  });

  it('lie still under an open dialog, but for those of the dialog', () => {
    const [under, within] = [vi.fn(), vi.fn()];
    const Sheet = () => {
      useCommands([{ name: 'Keep', key: 'k', run: within }], true, true);
      return <div role="dialog" data-state="open" />;
    };
    render(
      <>
        <Part commands={[{ name: 'Plan', key: 'p', run: under }]} />
        <Sheet />
      </>,
    );
    press('p');
    press('k');
    expect([under.mock.calls.length, within.mock.calls.length]).toEqual([0, 1]);
  });

  it('are listed by name with their keys, each once, and run from the list', async () => {
    const run = vi.fn();
    const close = vi.fn();
    const parts = (
      <>
        <Part commands={[{ name: 'Undo', key: 'ctrl+z', run: vi.fn() }]} />
        <Part
          commands={[
            { name: 'Undo', key: 'ctrl+z', run },
            { name: 'Plan', run: vi.fn() },
          ]}
        />
      </>
    );
    const { rerender } = render(parts);
    rerender(
      <>
        {parts}
        <CommandPalette onClose={close} />
      </>,
    );
    expect(screen.getAllByRole('option').map((o) => o.textContent)).toEqual(['UndoCtrl Z', 'Plan']);
    await userEvent.setup().click(screen.getByText('Undo'));
    expect([run.mock.calls.length, close.mock.calls.length]).toEqual([1, 1]);
  });

  it('are typed into the list that is open, though a sheet before it gives the focus back late', async () => {
    const end = keepFocus();
    const page = (over: ReactNode) => (
      <>
        <input aria-label="on the page" />
        {over}
      </>
    );
    const { rerender } = render(page(null));
    screen.getByLabelText('on the page').focus();
    const sheet = (
      <Dialog open onOpenChange={vi.fn()} title="Sheet">
        <input aria-label="field" />
      </Dialog>
    );
    rerender(page(sheet));
    rerender(page(<CommandPalette onClose={vi.fn()} />));
    const line = screen.getByRole('combobox');
    expect(document.activeElement).toBe(line);
    await new Promise((done) => setTimeout(done, 20));
    expect(document.activeElement).toBe(line);
    rerender(page(null));
    await new Promise((done) => setTimeout(done, 20));
    expect(document.activeElement).toBe(screen.getByLabelText('on the page'));
    end();
  });
});
