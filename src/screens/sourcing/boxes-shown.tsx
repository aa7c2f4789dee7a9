import type { BuyingPlan } from '@/core/sourcing';
import type { ElementKey } from '@/core/parts';
import { addDays, boxId, boxRefused, type MarketBox } from '@/core/market';
import { count, money } from '@/ui/numbers';
import type { SourcingTools } from './use-sourcing';

/** Pieces of a box that are needed. */
function usefulIn(box: MarketBox, { lots }: SourcingTools): number {
  const wanted = new Map<ElementKey, number>();
  for (const l of lots) wanted.set(l.element, (wanted.get(l.element) ?? 0) + l.qty);
  return box.lots.reduce((sum, l) => {
    const n = Math.min(l.qty, wanted.get(l.element) ?? 0);
    wanted.set(l.element, (wanted.get(l.element) ?? 0) - n);
    return sum + n;
  }, 0);
}

/** Why a box beats single parts, or does not. */
export function BoxesShown({
  plan,
  sourcing,
  today,
}: {
  plan: BuyingPlan;
  sourcing: SourcingTools;
  today: string;
}) {
  const { market, preferences } = sourcing;
  if (!market || market.boxes.length === 0) return null;
  const proven = plan.status === 'optimal';
  const refusedWords = (b: MarketBox) =>
    ({
      'left out': 'is left out, as you chose',
      late: 'does not come in time',
      'shut out': `is sold by ${b.seller}, a seller you excluded or who does not promise genuine parts`,
    })[boxRefused(b, market, preferences)!];
  const copiesOf = (b: MarketBox) => plan.donors.find((d) => d.id === boxId(b))?.copies ?? 0;
  // Of a set that is not bought the cheaper box speaks for both.
  const told = market.boxes.filter(
    (b) =>
      copiesOf(b) > 0 ||
      market.boxes.every((o) => o.code !== b.code || (copiesOf(o) === 0 && o.price >= b.price)),
  );
  return (
    <ul className="mb-4">
      {told.map((b) => {
        const copies = copiesOf(b);
        const useful = usefulIn(b, sourcing);
        const box = `${b.name} (${b.condition}) at ${money(b.price)}`;
        return (
          <li key={boxId(b)}>
            {copies > 0
              ? `${copies} × ${box} of ${b.seller}, about ${addDays(today, b.days)}: ${count(useful)} of its pieces are needed.`
              : boxRefused(b, market, preferences)
                ? `${box} ${refusedWords(b)}.`
                : `${box} is not bought: ${useful === 0 ? 'nothing in it is needed' : proven ? `${count(useful)} of its pieces are needed, and no plan with it is cheaper: that is proven` : `${count(useful)} of its pieces are needed, and no cheaper plan with it was found`}.`}
          </li>
        );
      })}
    </ul>
  );
}
