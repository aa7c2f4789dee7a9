import type { ReactNode } from 'react';
import type { CardKind } from '@/core/photo';
import { Button } from '@/ui/button';
import { Field, Select } from '@/ui/field';
import { NumberBox } from '../common/number-box';

type Placed = 'card' | 'spot';

interface PhotoMarkingProps {
  readonly placing: Placed;
  readonly onPlacing: (placing: Placed) => void;
  readonly placed: Readonly<Record<Placed, number>>;
  readonly card: CardKind;
  readonly onCard: (card: CardKind) => void;
  readonly radius: number;
  readonly onRadius: (radius: number) => void;
  readonly children: ReactNode;
}

/** Beside the photo: what is placed next, which card it is, and how large the ring. */
export const PhotoMarking = ({
  placing,
  onPlacing,
  placed,
  card,
  onCard,
  radius,
  onRadius,
  children,
}: PhotoMarkingProps) => (
  <div className="flex flex-col gap-2">
    <div className="flex gap-1" role="group" aria-label="What is placed next">
      {(['card', 'spot'] as const).map((p) => (
        <Button
          key={p}
          look={placing === p ? 'main' : 'plain'}
          aria-pressed={placing === p}
          onClick={() => onPlacing(p)}
        >
          {p === 'card' ? `card (${placed.card})` : `part (${placed.spot})`}
        </Button>
      ))}
    </div>
    <Field label="Card">
      <Select value={card} onChange={(e) => onCard(e.target.value as CardKind)}>
        <option value="grey">grey, 18 %</option>
        <option value="white">white, 90 %</option>
      </Select>
    </Field>
    <NumberBox
      label="Ring, pixels"
      least={4}
      most={4000}
      value={Math.round(radius)}
      onChange={onRadius}
      live
    />
    {children}
  </div>
);
