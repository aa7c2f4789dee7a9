// @vitest-environment happy-dom
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import type { BuyingPlan, ProblemId } from '@/core/sourcing';
import { ByHand } from './by-hand';
import { ClosingBounds } from './closing-bounds';

afterEach(cleanup);

const shown = (byHand: BuyingPlan['byHand'], lack = 0, cost = 4127): string => {
  const unmet = lack > 0 ? [{ lot: 'l' as ProblemId, qty: lack }] : [];
  return render(<ByHand plan={{ cost, unmet, byHand }} credit={0} />).container.textContent;
};

describe('what people come to by hand', () => {
  it('is compared where it gets as much', () => {
    const text = shown({
      cheapestEach: 9000,
      fewestSellers: 5000,
      unmet: { cheapestEach: 0, fewestSellers: 0 },
    });
    expect(text).toContain('£8.73saved against the better');
    expect(text).not.toContain('fewer');
  });

  it('says how much less it gets, and saves nothing against that', () => {
    const text = shown(
      { cheapestEach: 2345, fewestSellers: 5000, unmet: { cheapestEach: 130, fewestSellers: 18 } },
      18,
    );
    expect(text).toContain('£23.45cheapest for each kind, 112 pieces fewer');
    expect(text).toContain('£8.73saved against the one that gets as much');
  });

  it('is not compared where neither gets as much', () => {
    const text = shown({
      cheapestEach: 2345,
      fewestSellers: 3842,
      unmet: { cheapestEach: 130, fewestSellers: 1 },
    });
    expect(text).toContain('one big seller first, 1 piece fewer');
    expect(text).toContain('–nothing to compare: neither gets as much');
    expect(text).not.toContain('saved');
  });

  it('is compared as before where a kept plan does not tell', () => {
    expect(shown({ cheapestEach: 9000, fewestSellers: 5000 }, 3)).toContain('£8.73saved against the better');
  });
});

describe('the bounds that close on each other', () => {
  const bounds = [{ seconds: 1, cost: 4127, floor: 0 }];

  it('say what is proven, and that nothing is, where nothing is', () => {
    const { rerender } = render(<ClosingBounds bounds={bounds} busy plan={null} />);
    expect(screen.getByText(/nothing is proven yet/)).toBeTruthy();
    expect(screen.getByRole('img').getAttribute('aria-label')).not.toContain('£0.00');
    rerender(<ClosingBounds bounds={bounds} busy={false} plan={{ cost: 4127, floor: 2722 }} />);
    expect(document.body.textContent).toContain('cannot cost less than £27.22');
  });

  it('draw no plan that gets less than the last does', () => {
    const drawn = (from: number) => {
      const all = [
        { seconds: 1, cost: 2000, floor: 0, unmet: 40 },
        { seconds: 2, cost: 5000, floor: 0, unmet: 3 },
        { seconds: 3, cost: 4127, floor: 0, unmet: 3 },
      ];
      const { container } = render(<ClosingBounds bounds={all.slice(from)} busy plan={null} />);
      return container.querySelector('path[stroke-width="2"]')!.getAttribute('d');
    };
    expect(drawn(0)).toBe(drawn(1));
  });
});
