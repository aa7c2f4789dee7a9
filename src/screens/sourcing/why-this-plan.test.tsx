// @vitest-environment happy-dom
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { PREFERENCES, type PlanReason } from '@/core/market';
import type { SourcingTools } from './use-sourcing';
import { WhyThisPlan } from './why-this-plan';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const reason = (better: boolean): PlanReason => ({
  question: { of: 'fewer parcels', most: 2 },
  more: better ? -90 : 40,
  atLeast: better ? -90 : 40,
  unmet: 0,
  stays: false,
  better,
});
/** What the server says, line by line. */
const saying = (...lines: readonly unknown[]) =>
  vi.stubGlobal('fetch', () =>
    Promise.resolve(new Response(lines.map((l) => `${JSON.stringify(l)}\n`).join(''))),
  );

function show(takeBetter: () => Promise<boolean>) {
  const asked = { run: 'r', lots: [], plan: {}, market: { sellers: [], boxes: [] } };
  const sourcing = { asked, askedWith: PREFERENCES, takeBetter } as unknown as SourcingTools;
  render(<WhyThisPlan sourcing={sourcing} />);
  return userEvent.setup();
}
const takeIt = () => screen.queryByRole('button', { name: 'Take the better plan' });

describe('why a plan is as it is', () => {
  it('is told in sentences, and there is nothing to take where the plan holds', async () => {
    saying({ questions: 1 }, { reason: reason(false) }, { reasons: [] });
    const user = show(vi.fn());
    await user.click(screen.getByRole('button', { name: 'Work out why' }));
    expect(await screen.findByText('One parcel fewer, 2 in all, costs £0.40 more.')).toBeTruthy();
    expect(takeIt()).toBeNull();
  });

  it('a better plan is taken by one press, and what was said of the one before goes', async () => {
    saying({ questions: 1 }, { reason: reason(true) }, { reasons: [] });
    const takeBetter = vi.fn(() => Promise.resolve(true));
    const user = show(takeBetter);
    await user.click(screen.getByRole('button', { name: 'Work out why' }));
    const says = 'There is a better plan with a parcel fewer: it costs £0.90 less.';
    expect(await screen.findByText(says)).toBeTruthy();
    await user.click((await screen.findByRole('button', { name: 'Take the better plan' }))!);
    expect(takeBetter).toHaveBeenCalledOnce();
    expect(screen.queryByText(says)).toBeNull();
  });

  it('one that is not known any more is a sentence that says what to do', async () => {
    saying({ questions: 1 }, { reason: reason(true) }, { reasons: [] });
    const user = show(() => Promise.resolve(false));
    await user.click(screen.getByRole('button', { name: 'Work out why' }));
    await user.click((await screen.findByRole('button', { name: 'Take the better plan' }))!);
    expect(await screen.findByText(/not kept any more\. Find the plan again/)).toBeTruthy();
  });
});
