// @vitest-environment happy-dom
import fs from 'node:fs';
import path from 'node:path';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import { ActSelect } from './act-select';

afterEach(cleanup);
const OPTIONS = [
  { value: 'a', words: 'A1' },
  { value: 'b', words: 'B1' },
];

it('does nothing while its list is walked through, and what was chosen once its button is pressed', async () => {
  const acts = vi.fn();
  render(<ActSelect label="Merge into" verb="Merge" none="into…" options={OPTIONS} onAct={acts} />);
  const button = screen.getByRole('button', { name: 'Merge: Merge into' });
  expect(button).toHaveProperty('disabled', true);
  await userEvent.selectOptions(screen.getByRole('combobox'), 'a');
  await userEvent.selectOptions(screen.getByRole('combobox'), 'b');
  expect(acts).not.toHaveBeenCalled();
  await userEvent.click(button);
  expect(acts.mock.calls).toEqual([['b']]);
  // It starts anew: a second press does nothing.
  expect(screen.getByRole('combobox')).toHaveProperty('value', '');
});

it('forgets a choice that is no longer there', async () => {
  const all = { label: 'Into', verb: 'Merge', none: '…', onAct: vi.fn() };
  const { rerender } = render(<ActSelect {...all} options={OPTIONS} />);
  await userEvent.selectOptions(screen.getByRole('combobox'), 'b');
  rerender(<ActSelect {...all} options={OPTIONS.slice(0, 1)} />);
  expect(screen.getByRole('button')).toHaveProperty('disabled', true);
});

it('is the only list that does something: no other begins anew after each choice', () => {
  const found: string[] = [];
  const look = (folder: string): void => {
    for (const entry of fs.readdirSync(folder, { withFileTypes: true })) {
      const file = path.join(folder, entry.name);
      if (entry.isDirectory()) look(file);
      else if (/\.tsx$/.test(file) && !file.includes('act-select')) {
        const text = fs.readFileSync(file, 'utf8');
        for (const [, inside] of text.matchAll(/<[sS]elect\s([^>]*?)>/g))
          if (/value=""/.test(inside!)) found.push(file);
      }
    }
  };
  look(path.resolve('src/screens'));
  expect(found).toEqual([]);
});
