'use client';

import { useState } from 'react';
import { wallOffers, type WallOffer } from '@/core/fit';
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

/** What would do where bricks must be bought: plates, or another colour for a whole course. Asked for by a press. */
export function WallOffers({ job, onTake }: WallOffersProps) {
  const workbench = useBuild((s) => s.workbench);
  const [asked, setAsked] = useState<{ job: WallJob; offers: readonly WallOffer[] } | null>(null);
  const offers = asked?.job === job ? asked.offers : null;
  return (
    <section aria-label="What else would do" className="no-print mt-3">
      {!offers && (
        <Button onClick={() => setAsked({ job, offers: wallOffers(workbench, job) })}>
          What else would do?
        </Button>
      )}
      {offers?.length === 0 && <p role="status">Nothing else that is at hand is as firm and costs less.</p>}
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
    </section>
  );
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
