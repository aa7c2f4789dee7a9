'use client';

import type { ScrapCuts } from '@/core/stickers';
import type { CutProblem } from '@/core/stickers/cutting';
import type { StripJob } from '@/core/records';
import { inkOn } from '@/core/colour';
import { usePalette } from '@/ui/palette-context';
import { formatLength } from '@/core/shared/forms';

interface ScrapDrawingProps {
  readonly cut: ScrapCuts;
  readonly problem: CutProblem;
  readonly job: StripJob;
}

const PAD = 9;
const PIXELS = 5;

/** A name that fits along its stripe, mm high. */
const fontOf = (name: string, w: number, h: number): number =>
  Math.min(2.6, Math.min(w, h) * 0.8, Math.max(w, h) / (0.55 * Math.max(1, name.length)));

/** How many earlier cuts have their number where this one's would stand: it then stands further out. */
const numbersAt = (cuts: ScrapCuts['cuts'], i: number): number =>
  cuts.slice(0, i).filter((c) => c.beside === cuts[i]!.beside && Math.abs(c.at - cuts[i]!.at) < 2.4).length;

/** A piece of a sheet with the stripes that come out of it, to scale and in its colour, and the cuts by their numbers. */
export function ScrapDrawing({ cut, problem, job }: ScrapDrawingProps) {
  const palette = usePalette();
  const { scrap, placed, cuts, rests } = cut;
  const { w, h } = scrap.field.rests[scrap.rest]!;
  const colour = scrap.field.colour ? palette.get(scrap.field.colour) : undefined;
  const ink = colour ? inkOn(colour) : 'currentColor';
  const y = (at: number, high: number) => h - at - high;
  return (
    <svg
      width={(w + 2 * PAD) * PIXELS}
      viewBox={`${-PAD} ${-PAD} ${w + 2 * PAD} ${h + 2 * PAD}`}
      role="img"
      aria-label={`${scrap.sheet.name}, ${scrap.field.name}, ${formatLength(w)} by ${formatLength(h)}: ${placed.length} stripes, ${cuts.length} cuts`}
      className="max-w-full"
    >
      <rect width={w} height={h} fill={colour?.hex ?? 'none'} stroke="currentColor" strokeWidth={0.25} />
      {rests.map((r) => (
        <rect
          key={`${r.x} ${r.y}`}
          x={r.x}
          y={y(r.y, r.h)}
          width={r.w}
          height={r.h}
          fill="none"
          stroke={ink}
          strokeWidth={0.2}
          strokeDasharray="0.8 0.8"
        />
      ))}
      {placed.map((p, i) => {
        const size = problem.strips.find((s) => s.id === p.strip);
        if (!size) return null;
        const [pw, ph] = p.along ? [size.l, size.w] : [size.w, size.l];
        const name = job.strips.find((s) => s.id === p.strip)?.name ?? '';
        return (
          <g key={i}>
            <rect x={p.x} y={y(p.y, ph)} width={pw} height={ph} fill="none" stroke={ink} strokeWidth={0.35} />
            {fontOf(name, pw, ph) >= 1.1 && (
              <text
                x={p.x + pw / 2}
                y={y(p.y, ph) + ph / 2}
                fill={ink}
                fontSize={fontOf(name, pw, ph)}
                textAnchor="middle"
                dominantBaseline="central"
                transform={pw >= ph ? undefined : `rotate(-90 ${p.x + pw / 2} ${y(p.y, ph) + ph / 2})`}
              >
                {name}
              </text>
            )}
          </g>
        );
      })}
      {cuts.map((c, i) => {
        const [x1, y1] = c.beside ? [c.at, c.piece.y] : [c.piece.x, c.at];
        const [x2, y2] = c.beside ? [c.at, c.piece.y + c.piece.h] : [c.piece.x + c.piece.w, c.at];
        const out = 2.2 + 2.6 * numbersAt(cuts, i);
        const [tx, ty] = c.beside ? [x1, -out] : [w + out, h - y1];
        return (
          <g key={i} aria-hidden>
            <line x1={x1} y1={h - y1} x2={x2} y2={h - y2} stroke={ink} strokeWidth={0.15} />
            <text
              x={tx}
              y={ty}
              fontSize={2.4}
              textAnchor="middle"
              dominantBaseline="central"
              fill="currentColor"
            >
              {i + 1}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
