import { formatLength, formatLengths } from '@/core/shared/forms';
import { inMillimetres } from '@/core/inspection';
import type { Size } from '@/core/ledger';

interface DrawingProps {
  readonly found: Size | null;
  readonly built: Size | null;
}

/** Room around and between the two views, as a share of the larger. */
const GAP = 0.12;

/** Both sizes to scale, from above and from the front: as found dashed, as built in full, on one ground. */
export function SizeDrawing({ found, built }: DrawingProps) {
  const sizes = [
    { words: 'as found', size: found && inMillimetres(found), dash: true },
    { words: 'as built', size: built && inMillimetres(built), dash: false },
  ].flatMap((s) => (s.size ? [{ ...s, size: s.size }] : []));
  if (sizes.length === 0) return null;
  const most = (of: keyof Size) => Math.max(...sizes.map((s) => s.size[of]));
  const [length, width, height] = [most('length'), most('width'), most('height')];
  const gap = GAP * Math.max(length, height, width);
  const [w, h] = [2 * length + 3 * gap, Math.max(width, height) + 2 * gap];
  const text = 0.28 * gap;
  const view = (x: number, y: number, a: number, b: number, dash: boolean, key: string) => (
    <rect
      key={key}
      x={x}
      y={y}
      width={a}
      height={b}
      fill={dash ? 'none' : 'currentColor'}
      fillOpacity={0.07}
      stroke="currentColor"
      strokeWidth={2}
      strokeDasharray={dash ? '6 5' : undefined}
      vectorEffect="non-scaling-stroke"
    />
  );
  const says = sizes
    .map(
      (s) =>
        `${s.words} ${formatLengths([s.size.length, s.size.width])}, ${formatLength(s.size.height)} high`,
    )
    .join('; ');
  return (
    <figure className="min-w-0 md:col-span-2 xl:col-span-1 xl:row-span-2">
      <svg
        viewBox={`0 0 ${w} ${h}`}
        role="img"
        aria-label={`To scale, from above and from the front: ${says}`}
        className="max-h-[60vh] w-full"
      >
        {sizes.map(({ size, dash, words }) =>
          view(gap, h - gap - size.width, size.length, size.width, dash, `above ${words}`),
        )}
        {sizes.map(({ size, dash, words }) =>
          view(2 * gap + length, h - gap - size.height, size.length, size.height, dash, `front ${words}`),
        )}
        {(
          [
            [gap, 'from above'],
            [2 * gap + length, 'from the front'],
          ] as const
        ).map(([x, words]) => (
          <text key={words} x={x} y={h - 0.4 * gap} fontSize={text} fill="currentColor">
            {words}
          </text>
        ))}
      </svg>
      <figcaption className="text-soft text-[12px]">
        To scale; dashed as found, in full as built. Both stand on one ground at the same corner.
      </figcaption>
    </figure>
  );
}
