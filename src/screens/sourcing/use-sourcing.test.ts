// @vitest-environment happy-dom
import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { useSourcing } from './use-sourcing';

/** What was asked of the server, as "method path". */
let asked: string[] = [];

beforeEach(() => {
  asked = [];
  vi.stubGlobal('fetch', (path: string, init?: RequestInit) => {
    asked.push(`${init?.method ?? 'GET'} ${path}`);
    return Promise.resolve(new Response('{"reason":{"fault":"not taken"}}\n'));
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const known = { palette: [], build: null };
const sourcing = (missing: number) => renderHook(() => useSourcing({ lots: [], missing }, known));

it('asks nobody for a plan of nothing, however it is told to: nothing is missing, and nothing failed', async () => {
  const { result } = sourcing(0);
  await act(() => result.current.run());
  expect([asked, result.current.step, result.current.failure]).toEqual([[], 'idle', null]);
});

it('asks where something is missing, and says what came of it', async () => {
  const { result } = sourcing(3);
  await act(() => result.current.run());
  await waitFor(() => expect(result.current.step).toBe('failed'));
  expect(asked).toHaveLength(1);
});
