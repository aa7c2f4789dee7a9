// @vitest-environment happy-dom
import { act, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { asId, type BuildId, type EntryId } from '@/core/shared/ids';
import { takeSnapshot } from '@/server/snapshot';
import { useBuild } from '../common/build-store';
import { onBuild } from '../testing/on-build';
import { LogLine } from './log-line';
import { readTyped, useEnter } from './use-enter';
import type { Typed } from './waiting-lines';

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
function open(complete = false, before: (build: BuildId) => void = () => {}) {
  const built = onBuild(<Line />, undefined, (handle, build) => {
    before(build);
    return { ...takeSnapshot(handle, build)!, complete };
  });
  const { store } = built;
  let known = () => {};
  const learnt = new Promise<void>((done) => (known = done));
  const first = store.getState().workbench.modifications[0]!;
  act(() => store.setState({ learn: () => learnt, selected: first.id }));
  const already = store.getState().workbench.entries.length;
  return {
    ...built,
    line: screen.getByRole('combobox') as HTMLInputElement,
    tellAll: () => act(async () => known()),
    added: () =>
      store
        .getState()
        .workbench.entries.slice(already)
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

  describe('a line that a page which is gone had left waiting', () => {
    const left = (build: string, no: number, line: string, over: Partial<Typed> = {}, by = 'gone') =>
      localStorage.setItem(
        `evarn-kept:line:${by}:${no}`,
        JSON.stringify({
          build,
          typed: { line, editing: null, logPlanned: false, zone: null, selected: null, ...over },
        }),
      );
    const kept = () => Object.keys(localStorage).filter((key) => key.startsWith('evarn-kept:line:'));
    const asked: string[] = [];
    beforeEach(() => {
      localStorage.clear();
      vi.stubGlobal('navigator', {
        ...navigator,
        locks: {
          request: async (name: string, take: () => unknown) => (asked.push(name), take()),
          query: async () => ({ held: [{ name: 'evarn-window-alive' }] }),
        },
      });
    });
    afterEach(() => vi.unstubAllGlobals());

    it('is kept in the moment of Enter, and forgotten when it is logged', async () => {
      const { user, line, added, tellAll } = open();
      await user.type(line, '-1 plate 2x3 chalk{Enter}');
      expect(kept()).toHaveLength(1);
      await tellAll();
      await waitFor(() => expect(added()).toEqual(['1 plate 2x3|chalk']));
      await waitFor(() => expect(kept()).toEqual([]));
    });

    it('is logged by the next page of its build, in order, before what is entered there, and said', async () => {
      const { user, line, store, added, tellAll } = open(false, (build) => {
        left(build, 1, '-2 plate 2x3 chalk');
        left(build, 0, '-1 plate 2x3 chalk');
        left('another', 2, '-3 plate 2x3 chalk');
      });
      await waitFor(() => expect(kept()).toHaveLength(3));
      await user.type(line, '-4 plate 2x3 chalk{Enter}');
      await tellAll();
      await waitFor(() =>
        expect(added()).toEqual(['1 plate 2x3|chalk', '2 plate 2x3|chalk', '4 plate 2x3|chalk']),
      );
      expect(store.getState().notice?.text).toBe(
        '“-2 plate 2x3 chalk” was entered before the page was closed, and is logged now.',
      );
      await waitFor(() => expect(kept()).toEqual(['evarn-kept:line:gone:2']));
    });

    it('of a window that lives is left to it', async () => {
      const { user, line, added, tellAll } = open(false, (build) => {
        left(build, 0, '-2 plate 2x3 chalk', {}, 'alive');
      });
      await user.type(line, '-1 plate 2x3 chalk{Enter}');
      await tellAll();
      await waitFor(() => expect(added()).toEqual(['1 plate 2x3|chalk']));
      expect(kept()).toContain('evarn-kept:line:alive:0');
    });

    it('that would have changed an entry which is gone comes back into the field, and logs nothing', async () => {
      const { line, store, added, tellAll } = open(false, (build) => {
        left(build, 0, '-2 plate 2x3 chalk', { editing: asId<EntryId>('gone') });
      });
      await tellAll();
      await waitFor(() => expect(line.value).toBe('-2 plate 2x3 chalk'));
      expect([added(), store.getState().editing]).toEqual([[], null]);
    });
  });
});
