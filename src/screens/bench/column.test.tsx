// @vitest-environment happy-dom
import { act, cleanup, render, screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import type { Workbench } from '@/core/workbench';
import { BuildContext } from '../common/build-store';
import { OpenedContext } from '../common/opened-context';
import { onBuild } from '../testing/on-build';
import { Column } from './column';

afterEach(() => {
  vi.useRealTimers();
  cleanup();
});

/** A column of a build whose books were opened in the page; `whole` is called when the whole workspace is known. */
function ofALongLog(learn: () => Promise<void>, openedHere = true) {
  const { store } = onBuild(null);
  store.setState({ learn });
  const workbench: Workbench | null = openedHere ? store.getState().workbench : null;
  render(
    <OpenedContext value={workbench}>
      <BuildContext value={store}>
        <Column shows>its rows</Column>
      </BuildContext>
    </OpenedContext>,
  );
}
const rows = () => screen.queryByText('its rows');

it('a column of a long log comes once the whole workspace is known, so that it is drawn once', async () => {
  let whole = () => {};
  ofALongLog(() => new Promise((done) => (whole = done)));
  await act(() => Promise.resolve());
  expect(rows()).toBeNull();
  const column = screen.getByText('In a moment…').parentElement!;
  expect(column.getAttribute('aria-busy')).toBe('true');
  await act(async () => whole());
  expect(rows()).not.toBeNull();
  expect(screen.queryByText('In a moment…')).toBeNull();
  expect(column.getAttribute('aria-busy')).toBeNull();
});

it('and where that cannot be had, after a moment without it', async () => {
  vi.useFakeTimers();
  ofALongLog(() => new Promise(() => {}));
  await act(() => vi.advanceTimersByTimeAsync(900));
  expect(rows()).toBeNull();
  await act(() => vi.advanceTimersByTimeAsync(200));
  expect(rows()).not.toBeNull();
});

it('one that the server drew is there from the first', () => {
  const learn = vi.fn(() => Promise.resolve());
  ofALongLog(learn, false);
  expect(rows()).not.toBeNull();
  expect(learn).not.toHaveBeenCalled();
});
