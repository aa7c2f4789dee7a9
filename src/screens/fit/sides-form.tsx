'use client';

import type { sidesAgree } from '@/core/fit';
import type { Plot } from '@/core/records';
import { studs } from '../words/plot';
import { NumberBox } from '../common/number-box';

interface SidesFormProps {
  readonly plot: Plot;
  readonly off: ReturnType<typeof sidesAgree>;
  readonly onKeep: (changed: Plot['changed']) => void;
}

const SIDES = ['left', 'right', 'front', 'back'] as const;

/** What the build grew by on each side, held against how much longer and wider it is. */
export function SidesForm({ plot, off, onKeep }: SidesFormProps) {
  return (
    <section aria-label="Change on each side" className="border-rule bg-sheet mt-2 rounded-lg border p-4">
      <h2 className="mb-1 text-[16px]">Change on each side, studs</h2>
      <div className="flex flex-wrap gap-3">
        {SIDES.map((side) => (
          <NumberBox
            key={side}
            label={side}
            value={plot.changed[side]}
            least={-2000}
            most={2000}
            onChange={(n) => onKeep({ ...plot.changed, [side]: n })}
          />
        ))}
      </div>
      {off && <p role="status">{offWords(off)}</p>}
    </section>
  );
}

function offWords({ length, width }: NonNullable<ReturnType<typeof sidesAgree>>): string {
  const says = [
    length === 0 ? '' : `left and right come to ${studs(Math.abs(length))} ${length > 0 ? 'more' : 'less'}`,
    width === 0 ? '' : `front and back come to ${studs(Math.abs(width))} ${width > 0 ? 'more' : 'less'}`,
  ].filter(Boolean);
  return says.length === 0
    ? 'The sides come to what it grew by.'
    : `▲ ${says.join('; ')} than it grew by as measured.`;
}
