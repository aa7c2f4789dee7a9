'use client';

import type { Street } from '@/core/records';
import type { StreetNow } from '@/core/together';
import { usePalette } from '@/ui/palette-context';

/** The table from above, and the street from the front: each build in its main colour, to one scale. */
export function StreetTable({ street, now }: { street: Street; now: StreetNow }) {
  const palette = usePalette();
  const fillOf = (s: StreetNow['standing'][number]) =>
    palette.get(s.of.colours[0]?.colour ?? '')?.hex ?? 'none';
  const tall = Math.max(...now.standing.map((s) => (s.of.size?.height ?? 0) * 1.2), 10);
  const left = Math.min(0, ...now.standing.map((s) => s.x));
  const right = Math.max(street.width, ...now.standing.map((s) => s.x + s.width));
  const box = (y: number, h: number) => `${left - 1} ${y - 1} ${right - left + 2} ${h + 2}`;
  const shown = now.standing.filter((s) => s.of.size);
  return (
    <div className="mb-3 grid gap-3 md:grid-cols-2">
      <figure>
        <svg viewBox={box(0, tall)} className="border-rule bg-sheet max-h-64 w-full border" aria-hidden>
          <line x1={0} x2={street.width} y1={tall} y2={tall} stroke="currentColor" strokeWidth={0.4} />
          {[...shown]
            .sort((a, b) => b.y - a.y)
            .map((s) => {
              const h = s.of.size!.height * 1.2;
              return (
                <rect
                  key={s.of.build}
                  x={s.x}
                  y={tall - h}
                  width={s.width}
                  height={h}
                  fill={fillOf(s)}
                  stroke="currentColor"
                  strokeWidth={0.3}
                />
              );
            })}
        </svg>
        <figcaption className="text-soft text-[12px]">From the front.</figcaption>
      </figure>
      <figure>
        <svg
          viewBox={box(0, street.depth)}
          className="border-rule bg-sheet max-h-64 w-full border"
          aria-hidden
        >
          <rect
            width={street.width}
            height={street.depth}
            fill="none"
            stroke="currentColor"
            strokeWidth={0.4}
          />
          {shown.map((s) => (
            <rect
              key={s.of.build}
              x={s.x}
              y={street.depth - s.y - s.depth}
              width={s.width}
              height={s.depth}
              fill={fillOf(s)}
              stroke="currentColor"
              strokeWidth={0.3}
            />
          ))}
        </svg>
        <figcaption className="text-soft text-[12px]">From above, the front at the bottom.</figcaption>
      </figure>
    </div>
  );
}
