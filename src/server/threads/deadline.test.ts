import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Deadline } from './deadline';

describe('the end of the time that work has', () => {
  beforeEach(() => vi.useFakeTimers());
  afterEach(() => vi.useRealTimers());

  it('is when it was to be, where something has been found', () => {
    const over = vi.fn();
    new Deadline(2000, over).found();
    vi.advanceTimersByTime(1999);
    expect(over).not.toHaveBeenCalled();
    vi.advanceTimersByTime(1);
    expect(over).toHaveBeenCalledOnce();
  });

  it('is with the first that is found, where nothing was found by then', () => {
    const over = vi.fn();
    const deadline = new Deadline(2000, over);
    vi.advanceTimersByTime(30_000);
    expect(over).not.toHaveBeenCalled();
    deadline.found();
    expect(over).toHaveBeenCalledOnce();
  });

  it('comes even where nothing is ever found, and not at all once it is cleared', () => {
    const [over, never] = [vi.fn(), vi.fn()];
    new Deadline(2000, over);
    const cleared = new Deadline(2000, never);
    vi.advanceTimersByTime(3000);
    cleared.clear();
    cleared.found();
    vi.advanceTimersByTime(600_000);
    expect(over).toHaveBeenCalledOnce();
    expect(never).not.toHaveBeenCalled();
  });
});
