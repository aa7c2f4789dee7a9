// @vitest-environment happy-dom
import { act, screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { takeSnapshot } from '@/server/snapshot';
import { useBuild } from '../common/build-store';
import { onBuild } from '../testing/on-build';
import { LogLine } from './log-line';
import { readTyped, useEnter } from './use-enter';

/** The log line with its Enter, in the first modification. */
function Line() {
  const workbench = useBuild((s) => s.workbench);
  const line = useBuild((s) => s.line);
  const logPlanned = useBuild((s) => s.logPlanned);
  const [modification] = workbench.modifications;
  const reading = readTyped(workbench, { line, logPlanned, zone: null }, modification ?? null, undefined);
  const enter = useEnter(reading, null);
  return <LogLine reading={reading} onEnter={enter} onCancel={() => {}} onSources={() => {}} />;
}

/** The line in a window that knows all, or in one that still learns what is at hand until it is told to. */
function open(complete = false) {
  const built = onBuild(<Line />, undefined, (handle, build) => ({
    ...takeSnapshot(handle, build)!,
    complete,
  }));
  const { store } = built;
  let known = () => {};
  const learnt = new Promise<void>((done) => (known = done));
  const first = store.getState().workbench.modifications[0]!;
  act(() => store.setState({ learn: () => learnt, selected: first.id }));
  const before = store.getState().workbench.entries.length;
  return {
    ...built,
    line: screen.getByRole('combobox') as HTMLInputElement,
    tellAll: () => act(async () => known()),
    added: () =>
      store
        .getState()
        .workbench.entries.slice(before)
        .map((e) => e.movements.map((m) => `${m.qty} ${m.element}`).join()),
  };
}

describe('Enter in the log line', () => {
  it('logs at once where all is known, and leaves the line for the next', async () => {
    const { user, line, added } = open(true);
    await user.type(line, '-1 plate 2x3 chalk{Enter}');
    expect(line.value).toBe('');
    expect(added()).toEqual(['1 plate 2x3|chalk']);
  });

  it('just after opening takes the line, and logs it when what is at hand is known', async () => {
    const { user, line, added, tellAll } = open();
    await user.type(line, '-1 plate 2x3 chalk{Enter}');
    expect([line.value, added()]).toEqual(['', []]);
    await tellAll();
    await waitFor(() => expect(added()).toEqual(['1 plate 2x3|chalk']));
    expect(line.value).toBe('');
  });

  it('who types on meanwhile has a line of his own: both are logged, in their order, and nothing is joined', async () => {
    const { user, line, added, tellAll } = open();
    await user.type(line, '-1 plate 2x3 chalk{Enter}');
    await user.type(line, '-2 plate 2x3 chalk{Enter}');
    await user.type(line, '-3 plate');
    expect(line.value).toBe('-3 plate');
    await tellAll();
    await waitFor(() => expect(added()).toEqual(['1 plate 2x3|chalk', '2 plate 2x3|chalk']));
    expect(line.value).toBe('-3 plate');
  });

  it('gives back what cannot be logged, or tells it where the next line stands there', async () => {
    const one = open();
    await one.user.type(one.line, '-1 nothing of the kind{Enter}');
    await one.tellAll();
    await waitFor(() => expect(one.line.value).toBe('-1 nothing of the kind'));
    expect(one.added()).toEqual([]);
  });

  it('gives the line back where what is at hand cannot be learnt, and goes on with the next', async () => {
    const { user, line, store, added, tellAll } = open();
    const { learn } = store.getState();
    act(() => store.setState({ learn: () => Promise.reject(new Error('no answer')) }));
    await user.type(line, '-1 plate 2x3 chalk{Enter}');
    await waitFor(() => expect(line.value).toBe('-1 plate 2x3 chalk'));
    act(() => store.setState({ learn }));
    await user.type(line, '{Enter}');
    await tellAll();
    await waitFor(() => expect(added()).toEqual(['1 plate 2x3|chalk']));
  });

  it('asks before a window closes while a line waits, and no longer after', async () => {
    const closing = () => {
      const event = new Event('beforeunload', { cancelable: true });
      window.dispatchEvent(event);
      return event.defaultPrevented;
    };
    const { user, line, added, tellAll } = open();
    expect(closing()).toBe(false);
    await user.type(line, '-1 plate 2x3 chalk{Enter}');
    expect(closing()).toBe(true);
    await tellAll();
    await waitFor(() => expect(added()).toHaveLength(1));
    expect(closing()).toBe(false);
  });

  it('tells what could not be logged where something else was typed by then', async () => {
    const { user, line, store, tellAll, added } = open();
    await user.type(line, '-1 nothing of the kind{Enter}');
    await user.type(line, '-2 plate');
    await tellAll();
    await waitFor(() =>
      expect(store.getState().notice?.text).toBe('“-1 nothing of the kind” could not be logged as it is.'),
    );
    expect([line.value, added()]).toEqual(['-2 plate', []]);
  });

  it('says that a line waits where it takes long, and nothing of an empty one', async () => {
    vi.useFakeTimers({ shouldAdvanceTime: true });
    try {
      const { user, line, store } = open();
      await user.type(line, '{Enter}');
      vi.advanceTimersByTime(2000);
      expect(store.getState().notice).toBeNull();
      await user.type(line, '-1 plate 2x3 chalk{Enter}');
      act(() => vi.advanceTimersByTime(900));
      await waitFor(() =>
        expect(store.getState().notice?.text).toMatch(/^“-1 plate 2x3 chalk” is logged when/),
      );
    } finally {
      vi.useRealTimers();
    }
  });
});
