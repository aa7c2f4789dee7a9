'use client';

import { useState, type KeyboardEvent, type MouseEvent } from 'react';
import type { CardKind } from '@/core/photo';
import type { SheetField } from '@/core/records';
import { FIELD_UNITS, fieldOf, MARK_NAMES, toMillimetres, type FieldUnit, type Mark } from '@/core/stickers';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Field, Select } from '@/ui/field';
import { NumberBox } from '../../common/number-box';
import { formatLength } from '@/core/shared/forms';
import { useFieldColour } from './use-field-colour';

interface MarkFieldProps {
  readonly photo: string;
  readonly onField: (size: { readonly w: number; readonly h: number }, lab: SheetField['lab']) => void;
  readonly onClose: () => void;
}

/** How far an arrow key moves a mark, pixels of the photo. */
const STEP = 2;

/** A field's size from a photo: a length that is known sets the scale, two corners the field. Arrow keys move the last mark. */
export function MarkField({ photo, onField, onClose }: MarkFieldProps) {
  const [marks, setMarks] = useState<readonly Mark[]>([]);
  const [unit, setUnit] = useState<FieldUnit>('studs');
  const [length, setLength] = useState(8);
  const [size, setSize] = useState<{ w: number; h: number } | null>(null);
  const field = fieldOf(marks, toMillimetres(length, unit));
  const [card, setCard] = useState<CardKind>('white');
  const colour = useFieldColour(photo, marks, card);
  const next = MARK_NAMES[marks.length];
  const place = (e: MouseEvent<HTMLElement>) => {
    if (!size || marks.length >= MARK_NAMES.length) return;
    const box = e.currentTarget.getBoundingClientRect();
    // Pressed by a key: the mark begins in the middle, and arrows move it.
    const byKey = e.detail === 0;
    const x = byKey ? size.w / 2 : ((e.clientX - box.left) / box.width) * size.w;
    const y = byKey ? size.h / 2 : ((e.clientY - box.top) / box.height) * size.h;
    setMarks([...marks, { x, y }]);
  };
  const move = (e: KeyboardEvent<HTMLElement>) => {
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[e.key];
    const last = marks.at(-1);
    if (!by || !last) return;
    e.preventDefault();
    const far = e.shiftKey ? STEP * 10 : STEP;
    setMarks([...marks.slice(0, -1), { x: last.x + by[0]! * far, y: last.y + by[1]! * far }]);
  };
  return (
    <Dialog
      open
      wide
      onOpenChange={(open) => !open && onClose()}
      title="Mark a field on the photo"
      says="Straight from above, with a row of studs or a ruler beside the sheet. First the two ends of a length that you know, then two opposite corners of the field; last, for its colour, a white or grey card in the same light."
    >
      <div className="flex flex-wrap items-end gap-3">
        <NumberBox
          label="The known length"
          value={length}
          least={0.1}
          most={2000}
          parts
          onChange={setLength}
        />
        <Field label="in">
          <Select value={unit} onChange={(e) => setUnit(e.target.value as FieldUnit)}>
            {Object.keys(FIELD_UNITS).map((u) => (
              <option key={u}>{u}</option>
            ))}
          </Select>
        </Field>
        <Field label="The card is">
          <Select value={card} onChange={(e) => setCard(e.target.value as CardKind)}>
            <option value="white">white paper</option>
            <option value="grey">grey, 18 %</option>
          </Select>
        </Field>
        <p role="status" className="min-w-48 flex-1 pb-1">
          {marks.length >= 4 &&
            (field ? `${formatLength(field.w)} by ${formatLength(field.h)}. ` : '▲ That is no field. ')}
          {next && `Next: ${next}${field ? ', for its colour, or add the field without' : ''}.`}
          {colour.says}
        </p>
        <Button disabled={marks.length === 0} onClick={() => setMarks(marks.slice(0, -1))}>
          Take the last mark back
        </Button>
        <Button
          look="main"
          disabled={!field || colour.reading}
          onClick={() => field && onField(field, colour.lab)}
        >
          Add the field
        </Button>
      </div>
      <button
        type="button"
        aria-label={next ? `The photo: mark ${next}` : 'The photo: all is marked'}
        onClick={place}
        onKeyDown={move}
        className="relative mt-3 block w-full cursor-crosshair"
      >
        {/* Kept photos are served by this machine, at the size they are kept in. */}
        {/* eslint-disable-next-line @next/next/no-img-element */}
        <img
          src={`/api/photos/${photo}`}
          alt=""
          className="w-full"
          onLoad={(e) => setSize({ w: e.currentTarget.naturalWidth, h: e.currentTarget.naturalHeight })}
        />
        {size && (
          <svg
            viewBox={`0 0 ${size.w} ${size.h}`}
            className="pointer-events-none absolute inset-0 size-full"
            aria-hidden
          >
            {marks[1] && <MarkLine from={marks[0]!} to={marks[1]} width={size.w / 300} />}
            {marks[3] && (
              <rect
                x={Math.min(marks[2]!.x, marks[3].x)}
                y={Math.min(marks[2]!.y, marks[3].y)}
                width={Math.abs(marks[3].x - marks[2]!.x)}
                height={Math.abs(marks[3].y - marks[2]!.y)}
                fill="none"
                stroke="white"
                strokeWidth={size.w / 300}
                style={{ mixBlendMode: 'difference' }}
              />
            )}
            {marks.map((m, i) => (
              <circle
                key={i}
                cx={m.x}
                cy={m.y}
                r={size.w / 120}
                fill="none"
                stroke="white"
                strokeWidth={size.w / 400}
                style={{ mixBlendMode: 'difference' }}
              />
            ))}
          </svg>
        )}
      </button>
    </Dialog>
  );
}

const MarkLine = ({ from, to, width }: { from: Mark; to: Mark; width: number }) => (
  <line
    x1={from.x}
    y1={from.y}
    x2={to.x}
    y2={to.y}
    stroke="white"
    strokeWidth={width}
    style={{ mixBlendMode: 'difference' }}
  />
);
