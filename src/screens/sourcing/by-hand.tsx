'use client';

import type { BuyingPlan } from '@/core/sourcing';
import { money, pieces } from '@/ui/numbers';

/** What the two ways come to that people do it by, and what is saved against the better of those that get as much. */
export function ByHand({
  plan,
  credit,
}: {
  readonly plan: Pick<BuyingPlan, 'cost' | 'unmet' | 'byHand'>;
  /** What left-over parts of boxes are worth, which the plan's cost has in it. */
  readonly credit: number;
}) {
  const { cheapestEach, fewestSellers, unmet } = plan.byHand;
  const lack = plan.unmet.reduce((sum, u) => sum + u.qty, 0);
  const ways = [
    { words: 'cheapest for each kind', cost: cheapestEach, fewer: (unmet?.cheapestEach ?? lack) - lack },
    { words: 'one big seller first', cost: fewestSellers, fewer: (unmet?.fewestSellers ?? lack) - lack },
  ];
  // What leaves more unmet costs less for that alone.
  const alike = ways.filter((way) => way.fewer <= 0).map((way) => way.cost);
  const against = alike.length === 2 ? 'the better' : 'the one that gets as much';
  return (
    <dl className="border-rule mb-4 grid max-w-3xl grid-cols-3 gap-x-3 border-y py-2">
      {ways.map(({ words, cost, fewer }) => (
        <div key={words}>
          <dd className="figure-md">{money(cost)}</dd>
          <dt className="text-faint">
            {words}
            {fewer > 0 && <b className="text-ink">, {pieces(fewer)} fewer</b>}
          </dt>
        </div>
      ))}
      <div>
        <dd className="figure-md">
          {alike.length === 0 ? '–' : money(Math.max(0, Math.min(...alike) - plan.cost))}
        </dd>
        <dt className="text-faint">
          {alike.length === 0
            ? 'nothing to compare: neither gets as much'
            : `saved against ${against}${credit > 0 ? ', left-overs counted' : ''}`}
        </dt>
      </div>
    </dl>
  );
}
