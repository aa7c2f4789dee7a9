// @vitest-environment happy-dom
import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { firstFitOf, type CutPlan, type CutProblem } from '@/core/stickers/cutting';
import { randomCut } from '@/core/testing/cutting';
import { streamedRuns } from '../../testing/streamed-runs';
import { useCutting } from './use-cutting';

const size = { colours: 2, fields: 4, kinds: 6, count: 2 };
const [problem, other] = [randomCut(31, size), randomCut(34, size)];

let { runs, stopped } = streamedRuns<CutProblem>();
beforeEach(() => ({ runs, stopped } = streamedRuns<CutProblem>()));
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const cutting = (of: CutProblem) => renderHook(({ p }) => useCutting(p), { initialProps: { p: of } });
const better: CutPlan = { ...firstFitOf(problem), placed: [], seconds: 1 };

describe('a way of cutting that gets better', () => {
  it('is there at once, and is the server’s when it answers', async () => {
    const { result } = cutting(problem);
    expect(result.current).toMatchObject({ step: 'first', plan: firstFitOf(problem) });
    await waitFor(() => expect(runs).toHaveLength(1));
    act(() => runs[0]!.say({ progress: better }));
    await waitFor(() => expect(result.current).toMatchObject({ step: 'looking', plan: better }));
    act(() => runs[0]!.say({ plan: { ...better, proven: true } }));
    await waitFor(() => expect(result.current).toMatchObject({ step: 'done', plan: { proven: true } }));
  });

  it('says that the server did not answer, the first time too', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network')));
    const { result } = cutting(problem);
    await waitFor(() => expect(result.current.step).toBe('failed'));
    expect(result.current.plan).toEqual(firstFitOf(problem));
  });

  it('never shows what was found for another problem, whatever comes of this one', async () => {
    const { result, rerender } = cutting(problem);
    await waitFor(() => expect(runs).toHaveLength(1));
    act(() => runs[0]!.say({ plan: better }));
    await waitFor(() => expect(result.current.step).toBe('done'));
    rerender({ p: other });
    await waitFor(() => expect(runs).toHaveLength(2));
    act(() => runs[1]!.say({ reason: { fault: 'busy' } }));
    await waitFor(() => expect(result.current.step).toBe('failed'));
    expect(result.current.plan).toEqual(firstFitOf(other));
  });

  it('that is stopped before there is a better one has not failed', async () => {
    const { result } = cutting(problem);
    await waitFor(() => expect(runs).toHaveLength(1));
    act(() => result.current.stop());
    expect(stopped).toEqual([`/api/cut?run=${runs[0]!.name}`]);
    act(() => runs[0]!.say({ reason: { fault: 'stopped' } }));
    await waitFor(() => expect(result.current).toMatchObject({ step: 'stopped', plan: firstFitOf(problem) }));
  });
});
