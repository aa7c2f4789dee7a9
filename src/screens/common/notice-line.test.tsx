// @vitest-environment happy-dom
import { act, screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { deleteEntries } from '@/core/workbench';
import { onBuild } from '../testing/on-build';
import { NoticeLine } from './notice-line';

describe('the notice', () => {
  const open = () => onBuild(<NoticeLine />, (t) => void t.log('-2 plate 2x3 chalk'));
  const logged = (store: ReturnType<typeof open>['store']) =>
    store.getState().workbench.entries.filter((e) => e.modification);

  it('says what was deleted and has it back by one press', async () => {
    const { store, user } = open();
    const { perform } = store.getState();
    act(() => perform(deleteEntries(logged(store))));
    expect(logged(store)).toEqual([]);
    await user.click(await screen.findByText('Undo'));
    await waitFor(() => expect(logged(store)).toHaveLength(1));
    expect(screen.getByText(/^Undone: /)).toBeTruthy();
  });

  it('offers no undo of it once something else was done', async () => {
    const { store } = open();
    const { perform } = store.getState();
    act(() => perform(deleteEntries(logged(store))));
    const { notice } = store.getState();
    act(() => store.setState({ undoRedo: { undo: { id: 'later', label: 'later' }, redo: null }, notice }));
    expect(screen.queryByText('Undo')).toBeNull();
  });

  it('what happened elsewhere stays until it is dismissed, whatever is done meanwhile', async () => {
    const { store, user } = open();
    act(() => store.setState({ notice: { kind: 'elsewhere', text: 'Changed in another window.' } }));
    act(() => store.getState().perform(deleteEntries(logged(store))));
    expect(screen.getByText('Changed in another window.')).toBeTruthy();
    await user.click(screen.getByText('Dismiss'));
    await waitFor(() => expect(store.getState().notice).toBeNull());
  });

  it('what was done goes by itself after a while, with its undo', async () => {
    vi.useFakeTimers();
    const { store } = open();
    act(() => store.getState().perform(deleteEntries(logged(store))));
    expect(screen.getByText('Undo')).toBeTruthy();
    await act(() => vi.advanceTimersByTimeAsync(10_000));
    expect(store.getState().notice).toBeNull();
    vi.useRealTimers();
  });

  it('what failed is tried again by one press', async () => {
    const { store, user } = open();
    const again = deleteEntries(logged(store));
    act(() => store.setState({ notice: { kind: 'refused', text: 'It failed.', again } }));
    await user.click(screen.getByText('Try again'));
    await waitFor(() => expect(logged(store)).toEqual([]));
  });
});
