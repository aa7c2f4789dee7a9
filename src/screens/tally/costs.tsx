import { costsOf, type AllIn, type Figures, type Tally } from '@/core/ledger';
import { allInWords, count, knownMoney, priced } from '@/ui/numbers';

/** What a build cost, both ways, what is left of it, and all in. */
export function Costs({
  figures,
  spares,
  boxes,
  whole,
}: {
  figures: Figures;
  spares: string;
  boxes: Tally['inBoxes'];
  whole: AllIn;
}) {
  const cost = costsOf(figures);
  const cells: [string, string, string][] = [
    [
      priced(cost.outOfPocket, figures.boughtUnpriced),
      'out of pocket',
      `of it ${priced(figures.sharedCost, figures.sharedUnpriced)} postage and donor boxes`,
    ],
    [
      priced(cost.worth, figures.unpriced),
      'worth of what went in',
      `less ${priced(figures.worthBack, figures.backUnpriced)} that came back to hand leaves ${priced(cost.worthLessBack, figures.unpriced + figures.backUnpriced)}`,
    ],
    [
      `${count(figures.sparesLeft)}`,
      'spares left',
      `worth ${spares}, ${count(figures.usedAgain)} used again${boxes.pieces > 0 ? `; ${count(boxes.pieces)} more in its boxes, worth ${priced(boxes.worth, boxes.unpriced)}` : ''}`,
    ],
    [
      allInWords(whole),
      'all in, with the boxes it began from',
      whole.boxes === 0 && whole.unpricedBoxes > 0
        ? 'what these boxes cost is not known: say it on the bench, key U'
        : `of it ${knownMoney(whole.boxes, whole.unpricedBoxes)} for these boxes`,
    ],
  ];
  return (
    <dl className="border-rule mb-6 grid grid-cols-2 border-y md:grid-cols-4">
      {cells.map(([value, words, aside]) => (
        <div key={words} className="py-2 pr-3">
          <dd className="figure-md">{value}</dd>
          <dt>{words}</dt>
          <dd className="text-faint text-[12px]">{aside}</dd>
        </div>
      ))}
    </dl>
  );
}
