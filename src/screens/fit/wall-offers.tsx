'use client';

import { useState } from 'react';
import { moreBoxes, wallOffers, type MoreBox, type WallOffer } from '@/core/fit';
import type { WallJob } from '@/core/records';
import { Button } from '@/ui/button';
import { count, money } from '@/ui/numbers';
import { usePalette } from '@/ui/palette-context';
import { useBuild } from '../common/build-store';
import { differenceWords } from '../words/colour';

interface WallOffersProps {
  readonly job: WallJob;
  readonly onTake: (job: WallJob) => void;
}

/** What would do where bricks must be bought: plates, another colour for a whole course, one more box. Asked for by a press. */
export function WallOffers({ job, onTake }: WallOffersProps) {
  const workbench = useBuild((s) => s.workbench);
  const [asked, setAsked] = useState<{
    job: WallJob;
    offers: readonly WallOffer[];
    boxes: readonly MoreBox[];
  } | null>(null);
  const { offers, boxes } = asked?.job === job ? asked : { offers: null, boxes: [] };
  return (
    <section aria-label="What else would do" className="no-print mt-3">
      {!offers && (
        <Button
          onClick={() =>
            setAsked({ job, offers: wallOffers(workbench, job), boxes: moreBoxes(workbench, job) })
          }
        >
          What else would do?
        </Button>
      )}
      {offers?.length === 0 && boxes.length === 0 && (
        <p role="status">Nothing else that is at hand is as firm and costs less.</p>
      )}
      {offers && offers.length > 0 && (
        <ul className="bg-sheet text-ink rounded-md p-2">
          {offers.slice(0, 6).map((o) => (
            <li key={keyOf(o)} className="border-rule flex flex-wrap items-center gap-3 border-b py-1">
              <span className="min-w-52 flex-1">
                <OfferWords offer={o} />
              </span>
              <span>
                saves {o.guessed ? 'about ' : ''}
                <b>{money(o.saves)}</b>
              </span>
              <Button aria-label={`Use ${keyOf(o)}`} onClick={() => onTake(o.job)}>
                Use it
              </Button>
            </li>
          ))}
        </ul>
      )}
      {boxes.length > 0 && (
        <ul aria-label="One more box" className="bg-sheet text-ink mt-2 rounded-md p-2">
          {boxes.map((b, i) => (
            <li key={i} className="border-rule border-b py-1">
              {boxWords(b)}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** "One more Net loft, £20.00: 34 of its 412 pieces lie in these walls, which then cost £2.10 less; £17.90 more in all." */
function boxWords(b: MoreBox): string {
  const about = b.guessed ? 'about ' : '';
  const all =
    b.price === null
      ? 'nobody knows a price of it'
      : b.less >= b.price
        ? `${money(b.less - b.price)} less in all`
        : `${money(b.price - b.less)} more in all, for what is left over of it`;
  return `One more ${b.setName}${b.price === null ? '' : `, ${money(b.price)}`}: ${count(b.used)} of its ${count(b.pieces)} pieces lie in these walls, which then cost ${about}${money(b.less)} less; ${all}.`;
}

const keyOf = (o: WallOffer): string =>
  o.offer === 'plates' ? 'three plates for a brick' : `${o.to} for ${o.from}`;

function OfferWords({ offer: o }: { offer: WallOffer }) {
  const palette = usePalette();
  if (o.offer === 'plates') return <>Three plates where a brick lacks</>;
  return (
    <span className="flex items-center gap-2">
      <span
        aria-hidden
        style={{ background: palette.get(o.to)?.hex }}
        className="border-edge size-5 rounded-xs border"
      />
      <span>
        {o.to} for {o.from} in {count(o.courses)} {o.courses === 1 ? 'course' : 'courses'},{' '}
        {differenceWords(o.deltaE)}
      </span>
    </span>
  );
}
