// @vitest-environment happy-dom
import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { quickLaying, type LayPlan, type LayProblem } from '@/core/fit/lay';
import { randomWalls } from '@/core/testing/laying';
import { streamedRuns } from '../testing/streamed-runs';
import { useLaying } from './use-laying';

const problem = randomWalls(3, { length: 10, courses: 4 });
const other = randomWalls(5, { length: 10, courses: 4 });
const first = (of: LayProblem) => quickLaying(of).plan({ proven: false, seconds: 0 });

let { runs, stopped } = streamedRuns<LayProblem>();
beforeEach(() => ({ runs, stopped } = streamedRuns<LayProblem>()));
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const laying = (of: LayProblem | null) => renderHook(({ p }) => useLaying(p, 5), { initialProps: { p: of } });
const answer = (more: Partial<LayPlan>): { plan: LayPlan } => ({
  plan: { ...first(problem), seconds: 1, ...more },
});

describe('a laying that gets better', () => {
  it('is there at once, and is the server’s when it answers', async () => {
    const { result } = laying(problem);
    expect(result.current).toMatchObject({ step: 'first', laying: { pieces: first(problem).pieces } });
    await waitFor(() => expect(runs).toHaveLength(1));
    expect(runs[0]!.problem).toEqual(problem);
    act(() => runs[0]!.say(answer({ money: 1, proven: true })));
    await waitFor(() =>
      expect(result.current).toMatchObject({ step: 'done', laying: { money: 1, proven: true } }),
    );
  });

  it('is not looked for again while the problem says the same, and at once when it says another', async () => {
    const { result, rerender } = laying(problem);
    await waitFor(() => expect(runs).toHaveLength(1));
    rerender({ p: structuredClone(problem) });
    await new Promise((done) => setTimeout(done, 700));
    expect(runs).toHaveLength(1);
    rerender({ p: other });
    expect(result.current.laying?.pieces).toEqual(first(other).pieces);
    expect(runs[0]!.signal.aborted).toBe(true);
    await waitFor(() => expect(runs).toHaveLength(2));
    // What the first run still says is not of this problem.
    runs[0]!.say(answer({ money: 7 }));
    await new Promise((done) => setTimeout(done, 30));
    expect(result.current.laying?.pieces).toEqual(first(other).pieces);
  });

  it('says that it was stopped, and goes on when it is asked to', async () => {
    const { result } = laying(problem);
    await waitFor(() => expect(runs).toHaveLength(1));
    act(() => result.current.stop());
    expect(stopped).toEqual([`/api/lay?run=${runs[0]!.name}`]);
    act(() => runs[0]!.say(answer({})));
    await waitFor(() => expect(result.current.step).toBe('stopped'));
    act(() => result.current.look());
    await waitFor(() => expect(runs).toHaveLength(2));
    act(() => runs[1]!.say(answer({})));
    await waitFor(() => expect(result.current.step).toBe('done'));
  });

  it('that is stopped while it waits in the line has not failed: the first one stands', async () => {
    const { result } = laying(problem);
    await waitFor(() => expect(runs).toHaveLength(1));
    act(() => runs[0]!.say({ place: 1 }));
    await waitFor(() => expect(result.current.step).toBe('waiting'));
    act(() => result.current.stop());
    act(() => runs[0]!.say({ reason: { fault: 'stopped' } }));
    await waitFor(() => expect(result.current.step).toBe('stopped'));
    expect(result.current.laying?.pieces).toEqual(first(problem).pieces);
  });

  it('keeps the first one, and says so, where the server does not answer', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network')));
    const { result } = laying(problem);
    await waitFor(() => expect(result.current.step).toBe('failed'));
    expect(result.current.laying?.pieces).toEqual(first(problem).pieces);
  });

  it('is none where there is nothing to lay', () => {
    expect(laying(null).result.current).toMatchObject({ laying: null, step: 'first' });
  });
});
