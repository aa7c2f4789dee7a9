'use client';

import type { StageNow } from '@/core/show';
import { count } from '@/ui/numbers';
import { usePalette } from '@/ui/palette-context';

interface ColourBarsProps {
  readonly colours: StageNow['colours'];
  /** All pieces. */
  readonly of: number;
}

const MOST = 8;

/** Pieces by colour as bars in their true colours, each with its name and number. */
export function ColourBars({ colours, of }: ColourBarsProps) {
  const palette = usePalette();
  const shown = colours.slice(0, MOST);
  const others = colours.slice(MOST).reduce((n, c) => n + c.pieces, 0);
  return (
    <ul className="text-[12px]">
      {shown.map((c) => (
        <li key={c.colour} className="flex items-center gap-1.5 py-0.5">
          <span
            aria-hidden
            className="border-edge block h-3 border"
            style={{
              width: `${Math.max(2, (60 * c.pieces) / Math.max(1, of))}%`,
              background: palette.get(c.colour)?.hex ?? 'transparent',
            }}
          />
          <span className="min-w-0 truncate">
            {count(c.pieces)} {c.colour}
          </span>
        </li>
      ))}
      {others > 0 && <li className="text-soft">{count(others)} in other colours</li>}
    </ul>
  );
}
