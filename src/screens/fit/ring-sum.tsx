'use client';

import { formatLength, formatNumber } from '@/core/shared/forms';
import { deleteRing, keepRing, newRing, ringOf } from '@/core/fit';
import type { Ring } from '@/core/records';
import { KeptSum } from './kept-sum';
import { NameField } from '../common/name-field';
import { NumberBox } from '../common/number-box';
import { Figure } from '../common/result';

const SIZES = [
  ['panels', 'Panels', 3, 200, false],
  ['length', 'Studs long', 0.5, 200, true],
  ['thick', 'Studs thick', 0, 50, true],
] as const;

/** A ring of hinged panels, kept with the build: its radius inside and outside, its gaps, where a stud can hold it. */
export const RingSum = () => (
  <KeptSum
    type="ring"
    title="A ring of panels"
    label="Ring"
    says="A glasshouse, a tower, a rim: of so many panels, so long and so thick."
    words="Say how it is made"
    make={newRing}
    keep={keepRing}
    remove={deleteRing}
    form={(ring, onKeep) => (
      <>
        <NameField label="Name" value={ring.name} onKeep={(name) => onKeep({ name })} />
        {SIZES.map(([key, label, least, most, parts]) => (
          <NumberBox
            key={key}
            label={label}
            value={ring[key]}
            least={least}
            most={most}
            parts={parts}
            onChange={(n) => onKeep({ [key]: n })}
          />
        ))}
      </>
    )}
    answer={(ring) => <RingAnswer ring={ring} />}
  />
);

function RingAnswer({ ring: of }: { ring: Ring }) {
  const ring = ringOf(of.panels, of.length, of.thick);
  if (!ring)
    return <p role="status">▲ Panels so thick meet inside the ring: make them longer, thinner or more.</p>;
  return (
    <div className="flex flex-wrap items-start gap-4">
      <RingDrawing panels={of.panels} />
      <div>
        <div className="flex flex-wrap gap-4">
          <Figure value={formatLength(ring.inner)} words="to the middle of a panel" />
          <Figure value={formatLength(ring.outer)} words="to a corner" />
          <Figure value={`${formatNumber(ring.turn)}°`} words="from one to the next" />
          <Figure value={formatLength(ring.gap)} words="gap outside a corner" />
        </div>
        <p role="status" className="mt-2">
          {ring.offGrid === null
            ? 'No two pairs of panels lie in the grid: a ring of a multiple of four does.'
            : ring.offGrid <= 0.2
              ? 'Studs can hold the panels at front, back and sides.'
              : `The panels at front, back and sides lie ${formatLength(ring.offGrid)} off half a stud: hold them loose, or by a turned plate.`}
        </p>
      </div>
    </div>
  );
}

function RingDrawing({ panels }: { panels: number }) {
  const at = (i: number) => {
    const a = ((i + 0.5) * 2 * Math.PI) / panels - Math.PI / 2;
    return `${(40 * Math.cos(a)).toFixed(2)} ${(40 * Math.sin(a)).toFixed(2)}`;
  };
  return (
    <svg width={92} height={92} viewBox="-46 -46 92 92" aria-hidden>
      <path
        d={`M${Array.from({ length: panels }, (_, i) => at(i)).join('L')}z`}
        fill="none"
        stroke="currentColor"
        strokeWidth={3}
      />
    </svg>
  );
}
