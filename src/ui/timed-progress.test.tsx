// @vitest-environment happy-dom
import { act, cleanup, render, screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { TimedProgress } from './timed-progress';

afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

it('says how much of the time is over and what is left, and stays at the end', () => {
  vi.useFakeTimers();
  render(<TimedProgress label="Looking for the best plan" seconds={10} />);
  const bar = screen.getByRole('progressbar', { name: 'Looking for the best plan' });
  expect(bar.getAttribute('aria-valuetext')).toBe('10 s left at most');
  act(() => vi.advanceTimersByTime(4000));
  expect(Number(bar.getAttribute('value'))).toBeCloseTo(4, 0);
  expect(screen.getByText('6 s left at most')).toBeTruthy();
  act(() => vi.advanceTimersByTime(60_000));
  expect(Number(bar.getAttribute('value'))).toBe(10);
  expect(screen.getByText('about to end')).toBeTruthy();
});
