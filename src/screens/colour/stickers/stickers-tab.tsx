'use client';

import { Button } from '@/ui/button';
import { useInAddress } from '../../common/use-in-address';
import { OnPartsPart } from './on-parts-part';
import { SheetsPart } from './sheets-part';
import { StripesPart } from './stripes-part';

const PARTS = [
  { name: 'on parts', words: 'On parts', Part: OnPartsPart },
  { name: 'sheets', words: 'Sticker sheets', Part: SheetsPart },
  { name: 'stripes', words: 'Cut stripes', Part: StripesPart },
] as const;

/** Stickers: on parts, on the sheets they came from, and stripes cut from what is left of those. */
export function StickersTab() {
  const [wanted, choose] = useInAddress('stickers', PARTS[0].name, 'push');
  const { name, Part } = PARTS.find((p) => p.name === wanted) ?? PARTS[0];
  return (
    <div className="flex h-full min-h-0 flex-col print:block">
      <div role="group" aria-label="Stickers" className="border-rule no-print flex gap-2 border-b px-4 py-2">
        {PARTS.map((p) => (
          <Button
            key={p.name}
            aria-pressed={p.name === name}
            look={p.name === name ? 'main' : 'plain'}
            onClick={() => choose(p.name)}
          >
            {p.words}
          </Button>
        ))}
      </div>
      <div className="min-h-0 flex-1">
        <Part />
      </div>
    </div>
  );
}
