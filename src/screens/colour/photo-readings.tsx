import { formatFixed } from '@/core/shared/forms';
import { hexOfLab } from '@/core/colour';
import { elementName } from '@/core/parts';
import type { PhotoReading } from '@/core/photo';
import { Button } from '@/ui/button';
import { SPOT_DOUBTS } from '../words/inspection';
import type { LotChoiceValue } from './lot-choice';

interface PhotoReadingsProps {
  readonly reading: PhotoReading;
  /** Which parts each spot shows. */
  readonly choices: readonly LotChoiceValue[];
  readonly onKeep: (spot: number) => void;
}

/** What each marked spot of a photo was read as, and how sure that is. */
export const PhotoReadings = ({ reading, choices, onKeep }: PhotoReadingsProps) => (
  <ul>
    {reading.spots.map((s, i) => {
      const of = choices[i];
      return (
        <li key={i} className="border-rule flex min-h-10 items-center gap-3 border-b">
          <span
            aria-hidden
            style={{ background: hexOfLab(s.lab) }}
            className="border-edge size-7 rounded-xs border"
          />
          <span className="flex-1">
            {i + 1}. L* {formatFixed(s.lab.l)} a* {formatFixed(s.lab.a)} b* {formatFixed(s.lab.b)} ±{' '}
            {formatFixed(s.error, 2)}, for {of?.qty} {of?.lot ? elementName(of.lot.element) : ''}
            <span className="text-faint block text-[12px]">
              {s.pixels} pixels; left out {percent(s.clipped)} clipped, {percent(s.glare)} glare,{' '}
              {percent(s.shadow)} shadow
              {s.doubt && ` · ▲ ${SPOT_DOUBTS[s.doubt]}`}
            </span>
          </span>
          <Button onClick={() => onKeep(i)}>Keep</Button>
        </li>
      );
    })}
  </ul>
);

const percent = (share: number): string => `${Math.round(100 * share)} %`;
