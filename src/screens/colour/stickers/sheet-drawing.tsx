'use client';

import { formatLength } from '@/core/shared/forms';
import type { SheetField } from '@/core/records';
import { inkOn } from '@/core/colour';
import { usePalette } from '@/ui/palette-context';
import { areaWords } from '../../words/stickers';
import { leftOf } from '@/core/stickers';

const PIXELS = 3;

/** A field of a sheet to scale: what is left of it in its colour, what is gone as an outline. */
export function SheetDrawing({ field }: { field: SheetField }) {
  const palette = usePalette();
  const colour = field.colour ? palette.get(field.colour) : undefined;
  return (
    <svg
      width={(field.w + 2) * PIXELS}
      viewBox={`-1 -1 ${field.w + 2} ${field.h + 2}`}
      role="img"
      aria-label={`${field.name}, ${formatLength(field.w)} by ${formatLength(field.h)}, ${areaWords(leftOf(field))} left`}
      className="max-w-full"
    >
      <rect
        width={field.w}
        height={field.h}
        fill="none"
        stroke="currentColor"
        strokeWidth={0.3}
        strokeDasharray="1 1"
      />
      {field.rests.map((r, i) => (
        <g key={i}>
          <rect
            x={r.x}
            y={field.h - r.y - r.h}
            width={r.w}
            height={r.h}
            fill={colour?.hex ?? 'none'}
            stroke="currentColor"
            strokeWidth={0.2}
          />
          {field.motif && (
            <text
              x={r.x + r.w / 2}
              y={field.h - r.y - r.h / 2}
              fontSize={Math.min(3.5, r.h / 2)}
              textAnchor="middle"
              dominantBaseline="central"
              fill={colour ? inkOn(colour) : 'currentColor'}
            >
              {field.motif}
            </text>
          )}
        </g>
      ))}
    </svg>
  );
}
