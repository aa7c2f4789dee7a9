// @vitest-environment happy-dom
import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { asId, type BuildId } from '@/core/shared/ids';
import type { Builds, ListedBuild } from '@/server/build-list';
import { useBuilds } from './use-builds';

const PAGE = 12;
let there: string[] = [];
let asked: string[] = [];
/** Answers that still say that figures are being worked out. */
let stillCounting = 0;

const listed = (name: string): ListedBuild => ({ id: asId<BuildId>(name), name }) as ListedBuild;
const pageFrom = (from: number, find = ''): Builds => {
  const fits = there.filter((n) => n.includes(find));
  const builds = fits.slice(from, from + PAGE).map(listed);
  const waiting = stillCounting > 0 ? stillCounting-- : 0;
  return { builds, found: fits.length, here: there.length, archived: 0, waiting } as unknown as Builds;
};

beforeEach(() => {
  there = Array.from({ length: 30 }, (_, i) => `build ${i}`);
  asked = [];
  stillCounting = 0;
  vi.stubGlobal('fetch', async (path: string) => {
    asked.push(path);
    const query = new URL(path, 'http://x').searchParams;
    return Response.json({ ok: true, value: pageFrom(Number(query.get('from')), query.get('find') ?? '') });
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const list = () =>
  renderHook(({ first, find }) => useBuilds(first, find, false), {
    initialProps: { first: pageFrom(0), find: '' },
  });
const names = (shown: Builds) => shown.builds.map((b) => b.name);

describe('the list of builds', () => {
  it('shows what its page brings, and more where that is asked for', async () => {
    const { result } = list();
    expect(names(result.current.builds)).toEqual(there.slice(0, 12));
    await act(() => result.current.more());
    expect(names(result.current.builds)).toEqual(there.slice(0, 24));
    expect(asked).toHaveLength(1);
  });

  it('shows as many as there were when something was done elsewhere, and none that is gone', async () => {
    const { result, rerender } = list();
    await act(() => result.current.more());
    there = ['new one', ...there.filter((n) => n !== 'build 3' && n !== 'build 15')];
    rerender({ first: pageFrom(0), find: '' });
    await waitFor(() => expect(names(result.current.builds)).toEqual(there.slice(0, 24)));
  });

  it('asks no further than there are builds, where fewer are left', async () => {
    const { result, rerender } = list();
    await act(() => result.current.more());
    there = there.slice(0, 5);
    rerender({ first: pageFrom(0), find: '' });
    await act(() => new Promise((done) => setTimeout(done, 30)));
    expect(names(result.current.builds)).toEqual(there);
    expect(asked).toHaveLength(1);
  });

  it('begins at the top of what is looked for', async () => {
    const { result, rerender } = list();
    await act(() => result.current.more());
    rerender({ first: result.current.builds, find: 'build 2' });
    await waitFor(() => expect(result.current.builds.found).toBe(11));
    expect(names(result.current.builds)).toEqual(there.filter((n) => n.includes('build 2')));
  });

  it('says that it is of what was looked for before, until the answer to what is looked for has come', async () => {
    const said: [string, boolean, number][] = [];
    const { rerender } = renderHook(
      ({ first, find }) => {
        const { builds, isStale } = useBuilds(first, find, false);
        said.push([find, isStale, builds.found]);
      },
      { initialProps: { first: pageFrom(0), find: '' } },
    );
    rerender({ first: pageFrom(0), find: 'build 2' });
    await waitFor(() => expect(said.at(-1)).toEqual(['build 2', false, 11]));
    for (const [find, isStale, found] of said)
      expect([find, isStale]).toEqual([find, found !== (find ? 11 : 30)]);
  });

  it('never gets shorter while figures are still to come', async () => {
    const counting = { ...pageFrom(0), waiting: 5 };
    const lengths: number[] = [];
    const { result } = renderHook(() => {
      const all = useBuilds(counting, '', false);
      lengths.push(all.builds.builds.length);
      return all;
    });
    stillCounting = 5;
    await act(() => result.current.more());
    await waitFor(() => expect(stillCounting).toBe(0), { timeout: 5000 });
    await waitFor(() => expect(result.current.builds.waiting).toBe(0));
    expect(names(result.current.builds)).toEqual(there.slice(0, 24));
    expect(lengths).toEqual([...lengths].sort((a, b) => a - b));
  });
});
