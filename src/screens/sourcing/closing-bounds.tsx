'use client';

import { formatFixed } from '@/core/shared/forms';
import type { BuyingPlan } from '@/core/sourcing';
import { money } from '@/ui/numbers';
import type { Bound } from './plan-need';

/** The best cost from above and the proven floor from below, closing on each other as the time goes. */
export function ClosingBounds({
  bounds: all,
  busy,
  plan,
}: {
  bounds: readonly Bound[];
  busy: boolean;
  plan: Pick<BuyingPlan, 'cost' | 'floor'> | null;
}) {
  const last = all.at(-1);
  if (!last) return <p className="text-soft mb-3">{busy ? 'The first plan comes in a moment.' : ''}</p>;
  const [cost, floor] = plan ? [plan.cost, plan.floor] : [last.cost, last.floor];
  // A plan that got less cost less for that alone.
  const bounds = all.filter((b) => b.unmet === last.unmet);
  // A floor of nothing is none: it is not known what the best could cost.
  const isProven = floor > 0;
  const most = Math.max(...bounds.map((b) => b.cost));
  const top = Math.max(1, most * 1.05);
  const end = Math.max(0.1, last.seconds);
  const x = (b: Bound) => (560 * b.seconds) / end;
  const y = (v: number) => 90 - (84 * v) / top;
  const stair = (of: (b: Bound) => number) =>
    bounds
      .map(
        (b, i) =>
          `${i === 0 ? 'M' : 'H'}${x(b).toFixed(1)}${i === 0 ? ` ${y(of(b)).toFixed(1)}` : `V${y(of(b)).toFixed(1)}`}`,
      )
      .join('');
  return (
    <figure className="mb-4">
      <svg
        viewBox="0 0 560 94"
        className="h-24 w-full max-w-2xl"
        role="img"
        aria-label={`Best ${money(cost)}, ${isProven ? `cannot cost less than ${money(floor)}` : 'nothing is proven yet'}`}
      >
        <path d="M0 90H560" stroke="var(--color-rule)" />
        <path d={`${stair((b) => b.cost)}H560`} fill="none" stroke="currentColor" strokeWidth={2} />
        {isProven && (
          <path
            d={`${stair((b) => b.floor)}H560`}
            fill="none"
            stroke="currentColor"
            strokeWidth={1.5}
            strokeDasharray="5 3"
          />
        )}
      </svg>
      <figcaption className="text-soft">
        best <b>{money(cost)}</b> (line),{' '}
        {isProven ? (
          <>
            cannot cost less than <b>{money(floor)}</b> (dashed)
          </>
        ) : (
          'below it nothing is proven yet'
        )}
        , after {formatFixed(last.seconds)} s
      </figcaption>
    </figure>
  );
}
