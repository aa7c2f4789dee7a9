import type { TrackClearance } from '@/core/fit';
import type { Track } from '@/core/records';

/** The wall from the side against the vehicle's body: courses that must go back are drawn so far back. */
export function TrackCourses({ track, passes }: { track: Track; passes: TrackClearance }) {
  const tall = Math.max(track.to, ...passes.courses.map((c) => c.to));
  const wall = track.distance * 8;
  const reach = track.side === 'inside' ? passes.swept.inside : passes.swept.outside;
  const wide = Math.max(wall, reach) + 60;
  return (
    <svg
      viewBox={`-4 ${-tall - 4} ${wide + 8} ${tall + 8}`}
      className="mt-2 h-40 w-full max-w-md"
      role="img"
      aria-label={`The wall from the side: ${passes.courses
        .map((c) => `course ${c.course + 1} ${c.back === 0 ? 'stays' : `goes back ${c.back} studs`}`)
        .join(', ')}`}
    >
      <g stroke="currentColor" strokeWidth={tall / 160}>
        <rect x={0} y={-track.to} width={reach} height={track.to - track.from} fill="var(--color-rule)" />
        <path
          d={`M${reach + track.room} ${-track.to - track.room}V${-track.from + track.room}`}
          strokeDasharray={`${tall / 40}`}
        />
        {passes.courses.map((c) => (
          <rect
            key={c.course}
            x={wall + c.back * 8}
            y={-c.to}
            width={40}
            height={c.to - c.from}
            fill={c.back > 0 ? 'var(--color-sheet)' : 'var(--color-wash)'}
          />
        ))}
        <path d={`M-4 0H${wide}`} />
      </g>
    </svg>
  );
}
