import type { StreetHouse } from '@/core/fit';

const PLATE = 0.4;

/** A door as it is drawn, studs: what is known of it is only where it stands and how high its sill lies. */
const DOOR = { width: 4, height: 15 * PLATE };

/**
 * Houses of a street from the front, in one scale: widths in studs, storeys as lines, cornices as bars that stand out, doors
 * over their sills, kerbs before them, the own house drawn stronger.
 */
export function Street({ houses }: { houses: readonly StreetHouse[] }) {
  const wide = Math.max(1, ...houses.map((h) => h.from + h.width));
  const tall = Math.max(10, ...houses.flatMap((h) => [...h.storeys, ...h.cornices])) * PLATE + 2;
  return (
    <svg
      viewBox={`-1 ${-tall} ${wide + 2} ${tall + 4}`}
      className="max-h-72 w-full"
      role="img"
      aria-label={`${houses.map((h) => `${h.name}, ${h.width} studs`).join('; ')}`}
    >
      {houses.map((h) => {
        const top = Math.max(6, ...h.storeys, ...h.cornices) * PLATE;
        return (
          <g key={`${h.name}${h.from}`} stroke="var(--background-ink)" strokeWidth={h.isOwn ? 0.3 : 0.12}>
            <rect x={h.from} y={-top} width={h.width} height={top} fill="var(--background-lit)" />
            {h.storeys.map((s) => (
              <path
                key={s}
                d={`M${h.from} ${-s * PLATE}h${h.width}`}
                strokeDasharray={h.isOwn ? '' : '0.8 0.5'}
              />
            ))}
            {h.cornices.map((c) => (
              <rect
                key={`c${c}`}
                x={h.from - 0.4}
                y={-c * PLATE - 0.2}
                width={h.width + 0.8}
                height={0.4}
                fill="var(--background-ink)"
              />
            ))}
            {h.doors.map((d) => (
              <rect
                key={`d${d.at} ${d.sill}`}
                x={h.from + d.at}
                y={-d.sill * PLATE - DOOR.height}
                width={DOOR.width}
                height={DOOR.height}
                fill="none"
              />
            ))}
            {h.kerb !== null && h.kerb > 0 && (
              <rect x={h.from} y={-h.kerb * PLATE} width={h.width} height={h.kerb * PLATE} />
            )}
            <text
              x={h.from + h.width / 2}
              y={2.6}
              textAnchor="middle"
              fontSize={Math.min(2, (1.7 * h.width) / Math.max(1, h.name.length))}
              stroke="none"
              fill="var(--background-ink)"
              fontWeight={h.isOwn ? 700 : 400}
            >
              {h.name}
            </text>
          </g>
        );
      })}
      <path d={`M-1 0H${wide + 1}`} stroke="var(--background-ink)" strokeWidth={0.2} />
    </svg>
  );
}
