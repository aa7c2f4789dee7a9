'use client';

import { BRICK_MM, STUD_MM } from '@/core/inspection';
import { courseLevels, type DrawnPiece, type LaidWalls, type StatedWalls } from '@/core/fit';
import { elementName, splitElementKey } from '@/core/parts';
import type { WallJob } from '@/core/records';
import { inkOn } from '@/core/colour';
import { usePalette } from '@/ui/palette-context';

const PLATE_MM = BRICK_MM / 3;

interface ElevationProps {
  readonly job: WallJob;
  readonly stated: StatedWalls;
  readonly laid: LaidWalls;
  readonly wall: string;
  /** Pixels of one millimetre. */
  readonly scale: number;
  /** Only courses up to this one, which is drawn out; null = all. */
  readonly upTo: number | null;
  readonly hovered: DrawnPiece | null;
  readonly onHover: (piece: DrawnPiece | null) => void;
}

/** A wall as it is seen from outside, in true colours and true proportions: each piece with its length in studs. */
export function Elevation(props: ElevationProps) {
  const { job, stated, laid, wall, scale, upTo } = props;
  const levels = courseLevels(job);
  const length = stated.problem.walls.find((w) => w.id === wall)?.length ?? 0;
  const tall = levels.at(-1)! * PLATE_MM;
  const [left, under] = [10, 8];
  const width = length * STUD_MM;
  const top = (course: number) => tall - levels[course + 1]! * PLATE_MM;
  const height = (course: number) => (levels[course + 1]! - levels[course]!) * PLATE_MM;
  const shift = stated.teeth.get(wall) ?? 0;
  const isShown = (course: number) => upTo === null || course <= upTo;
  const name = job.walls.find((w) => w.id === wall)?.name ?? wall;
  const mine = laid.pieces.filter((p) => p.wall === wall && p.row === 0 && isShown(p.course));
  const joints = laid.joints.filter((j) => j.wall === wall && (upTo === null || j.course < upTo));
  return (
    <svg
      width={(width + left + 2) * scale}
      height={(tall + under + 3) * scale}
      viewBox={`${-left} -2 ${width + left + 2} ${tall + under + 3}`}
      role="img"
      aria-label={`${name}, ${length} studs and ${job.courses.length} courses: ${mine.length} pieces, ${joints.length} weak joints`}
      className="max-w-full"
    >
      <Ground length={length} tall={tall} job={job} top={top} />
      {otherWalls(props).map((e) => (
        <rect
          key={`${e.course} ${e.at}`}
          x={e.at * STUD_MM + 0.5}
          y={top(e.course) + 0.5}
          width={STUD_MM - 1}
          height={height(e.course) - 1}
          fill="none"
          stroke="var(--background-soft)"
          strokeWidth={0.4}
          strokeDasharray="0.5 1"
        />
      ))}
      {mine.map((p) => (
        <Piece key={`${p.course} ${p.at}`} {...props} piece={p} y={top(p.course)} height={height(p.course)} />
      ))}
      {laid.empty
        .filter((e) => e.wall === wall && isShown(e.course))
        .map((e) => (
          <rect
            key={`${e.course} ${e.at}`}
            x={e.at * STUD_MM + 0.4}
            y={top(e.course) + 0.4}
            width={STUD_MM - 0.8}
            height={height(e.course) - 0.8}
            fill="none"
            stroke="var(--background-ink)"
            strokeWidth={0.5}
            strokeDasharray="1.4 1"
          />
        ))}
      {stated.openings
        .filter((o) => o.wall === wall)
        .map((o) => (
          <g key={`${o.name}${o.from}${o.bottom}`}>
            <rect
              x={(o.from + shift) * STUD_MM}
              y={top(o.bottom + o.courses - 1)}
              width={o.width * STUD_MM}
              height={(levels[o.bottom + o.courses]! - levels[o.bottom]!) * PLATE_MM}
              fill="none"
              stroke="var(--background-soft)"
              strokeWidth={0.5}
              strokeDasharray="2 1.2"
            />
            <text
              x={(o.from + shift + o.width / 2) * STUD_MM}
              y={tall - ((levels[o.bottom]! + levels[o.bottom + o.courses]!) / 2) * PLATE_MM + 1.4}
              textAnchor="middle"
              fontSize={Math.min(4, (o.width * STUD_MM) / (0.56 * Math.max(1, o.name.length)))}
              fill="var(--background-ink)"
            >
              {o.name}
            </text>
          </g>
        ))}
      {joints.map((j) => (
        <Weak key={`${j.course} ${j.border}`} x={j.border * STUD_MM} y={top(j.course)} />
      ))}
    </svg>
  );
}

/** Places at a wall's ends that another wall fills: the one it meets, or the one it is toothed into. */
function otherWalls({ stated, laid, wall, upTo, job }: ElevationProps): { course: number; at: number }[] {
  const length = stated.problem.walls.find((w) => w.id === wall)?.length ?? 0;
  const taken = new Set<string>();
  for (const p of laid.pieces)
    if (p.wall === wall && p.row === 0)
      for (let at = p.at; at < p.at + p.along; at++) taken.add(`${p.course} ${at}`);
  for (const e of laid.empty) if (e.wall === wall) taken.add(`${e.course} ${e.at}`);
  const shift = stated.teeth.get(wall) ?? 0;
  for (const o of stated.openings)
    if (o.wall === wall)
      for (let c = o.bottom; c < o.bottom + o.courses; c++)
        for (let at = o.from; at < o.from + o.width; at++) taken.add(`${c} ${at + shift}`);
  const ends = [...new Set([0, job.thick - 1, length - job.thick, length - 1])];
  return job.courses.flatMap((_, course) =>
    upTo !== null && course > upTo
      ? []
      : ends.flatMap((at) => (at >= 0 && !taken.has(`${course} ${at}`) ? [{ course, at }] : [])),
  );
}

/** Studs along the bottom and courses up the side. */
function Ground({
  length,
  tall,
  job,
  top,
}: {
  length: number;
  tall: number;
  job: WallJob;
  top: (course: number) => number;
}) {
  return (
    <g fontSize={3.6} fill="var(--background-soft)">
      {job.courses.map((_, c) => (
        <text
          key={c}
          x={-2.4}
          y={(c === 0 ? tall : top(c - 1)) - (((c === 0 ? tall : top(c - 1)) - top(c)) / 2 - 1.3)}
          textAnchor="end"
        >
          {c + 1}
        </text>
      ))}
      {Array.from({ length: length + 1 }, (_, x) => (
        <g key={x}>
          <path
            d={`M${x * STUD_MM} ${tall + 0.8}v${x % 2 ? 1 : 1.8}`}
            stroke="var(--background-soft)"
            strokeWidth={0.3}
          />
          {x % (length > 40 ? 4 : 2) === 0 && (
            <text x={x * STUD_MM} y={tall + 6} textAnchor="middle">
              {x}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}

function Piece({
  piece: p,
  y,
  height,
  upTo,
  hovered,
  onHover,
}: ElevationProps & { piece: DrawnPiece; y: number; height: number }) {
  const palette = usePalette();
  const colour = palette.get(splitElementKey(p.element).colour);
  const ink = inkOn(colour);
  const x = p.at * STUD_MM;
  const width = p.along * STUD_MM;
  // Courses that stand keep their colour and lose their numbers; the one that is laid is drawn out.
  const stands = upTo !== null && p.course < upTo;
  const drawnOut = hovered === p || (upTo !== null && !stands);
  return (
    <g onPointerEnter={() => onHover(p)} onPointerLeave={() => onHover(null)}>
      <title>
        {`course ${p.course + 1}, from stud ${p.at}: ${p.plates ? '3 × ' : ''}${elementName(p.element)}, ${p.bought ? 'to buy' : 'at hand'}`}
      </title>
      <rect
        x={x + 0.15}
        y={y + 0.15}
        width={width - 0.3}
        height={height - 0.3}
        fill={colour?.hex ?? '#9a9a9a'}
        stroke={drawnOut ? 'var(--background-ink)' : ink}
        strokeOpacity={drawnOut ? 1 : 0.45}
        strokeWidth={drawnOut ? 0.5 : 0.3}
      />
      {p.plates && (
        <path
          d={`M${x + 0.3} ${y + height / 3}h${width - 0.6}M${x + 0.3} ${y + (2 * height) / 3}h${width - 0.6}`}
          stroke={ink}
          strokeOpacity={0.6}
          strokeWidth={0.3}
        />
      )}
      {!stands && (
        <text x={x + width / 2} y={y + height / 2 + 1.3} textAnchor="middle" fontSize={3.8} fill={ink}>
          {p.along}
        </text>
      )}
      {p.bought && (
        <circle cx={x + width - 1.6} cy={y + 1.6} r={0.8} fill="none" stroke={ink} strokeWidth={0.4} />
      )}
    </g>
  );
}

/** A joint over a joint: a rhomb on the line between the two courses. */
const Weak = ({ x, y }: { x: number; y: number }) => (
  <path
    d={`M${x} ${y - 1.9}l1.5 1.9l-1.5 1.9l-1.5 -1.9z`}
    fill="#ffffff"
    stroke="#161616"
    strokeWidth={0.5}
  />
);
