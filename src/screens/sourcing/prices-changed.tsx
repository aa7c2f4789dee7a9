import { elementName } from '@/core/parts';
import { addedCost, stillSold, type MarketAnswer, type PriceChange } from '@/core/market';
import { Button } from '@/ui/button';
import { count, money } from '@/ui/numbers';
import type { AskedAgain } from './plan-need';

/** What came of asking the sellers again before a plan is ordered. */
export type Asked = 'asking' | 'failed' | AskedAgain;

/** What changed between the plan and the order: shown, and asked again. Nothing is bought until it is answered. */
export function PricesChanged({
  asked,
  onBuy,
  onAgain,
  onDrop,
}: {
  asked: Exclude<Asked, 'asking'>;
  onBuy: (at: MarketAnswer) => void;
  onAgain: () => void;
  onDrop: () => void;
}) {
  if (asked === 'failed')
    return (
      <div role="alert" className="border-ink mb-3 rounded-md border p-3">
        <p className="mb-2">
          ▲ The sellers did not answer, so nothing was ordered. The plan stands; order again.
        </p>
        <Button onClick={onDrop}>All right</Button>
      </div>
    );
  const { changes, now } = asked;
  const more = addedCost(changes);
  const whole = stillSold(changes);
  return (
    <div role="alert" className="border-ink mb-3 rounded-md border p-3">
      <p className="mb-2 font-semibold">
        ▲{' '}
        {whole
          ? `Prices have changed since the plan was made: ${money(Math.abs(more))} ${more < 0 ? 'less' : 'more'} in all.`
          : 'Some of it is not sold any more as it was planned. Find the plan again.'}
      </p>
      <ul className="mb-3 max-h-48 overflow-auto" tabIndex={0} aria-label="What has changed">
        {changes.map((c, i) => (
          <li key={i}>{words(c)}</li>
        ))}
      </ul>
      <span className="flex flex-wrap gap-2">
        {whole && (
          <Button look="main" onClick={() => onBuy(now)}>
            Order at the new prices
          </Button>
        )}
        <Button look={whole ? 'plain' : 'main'} onClick={onAgain}>
          Find the plan again
        </Button>
        <Button onClick={onDrop}>Not now</Button>
      </span>
    </div>
  );
}

function words(c: PriceChange): string {
  switch (c.change) {
    case 'price':
      return `${c.seller}: ${count(c.qty)} ${elementName(c.element)}, ${money(c.was)} each, now ${money(c.now)}`;
    case 'stock':
      return `${c.seller}: ${count(c.qty)} ${elementName(c.element)} were planned, ${count(c.left)} are left`;
    case 'postage':
      return `${c.seller}: postage or least order have changed`;
    case 'box':
      return c.now === null ? `${c.name}: sold` : `${c.name}: ${money(c.was)} a box, now ${money(c.now)}`;
  }
}
