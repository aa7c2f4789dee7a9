'use client';

import { useState } from 'react';
import type { FloorPiece, LaidFloor } from '@/core/fit';
import { elementName, splitElementKey } from '@/core/parts';
import type { FloorJob } from '@/core/records';
import { inkOn } from '@/core/colour';
import { usePalette } from '@/ui/palette-context';
import { useRoom } from './use-room';

/** Units of the drawing in one stud. */
const STUD = 10;

interface FloorPlanProps {
  readonly job: FloorJob;
  readonly laid: Omit<LaidFloor, 'shares'>;
  readonly layer: number;
}

/** A layer of a floor from above, in true colours: the front is at the bottom. */
export function FloorPlan({ job, laid, layer }: FloorPlanProps) {
  const { box, room } = useRoom();
  const [hovered, setHovered] = useState<FloorPiece | null>(null);
  const scale = Math.max(0.9, Math.min(3, room / (job.width * STUD + 14)));
  const [width, depth] = [job.width * STUD, job.depth * STUD];
  const flip = (y: number, d: number) => depth - (y + d) * STUD;
  const mine = laid.pieces.filter((p) => p.layer === layer);
  const empty = laid.empty.filter((e) => e.layer === layer);
  return (
    <div ref={box} className="overflow-x-auto">
      <svg
        width={(width + 14) * scale}
        height={(depth + 14) * scale}
        viewBox={`-11 -2 ${width + 14} ${depth + 14}`}
        role="img"
        aria-label={`${job.name}, ${job.width} x ${job.depth} studs from above: ${mine.length} pieces`}
      >
        {mine.map((p) => (
          <PlanPiece
            key={`${p.x} ${p.y}`}
            piece={p}
            y={flip(p.y, p.d)}
            here={p === hovered}
            onHover={setHovered}
          />
        ))}
        {empty.map((e) => (
          <rect
            key={`${e.x} ${e.y}`}
            x={e.x * STUD + 0.6}
            y={flip(e.y, 1) + 0.6}
            width={STUD - 1.2}
            height={STUD - 1.2}
            fill="none"
            stroke="var(--background-ink)"
            strokeWidth={0.6}
            strokeDasharray="1.8 1.2"
          />
        ))}
        {job.keepOut.map((k) => (
          <KeepOut key={`${k.x} ${k.y}`} box={k} y={flip(k.y, k.d)} />
        ))}
        {laid.joints.map((j) => (
          <path
            key={`${j.x} ${j.y}`}
            d={`M${j.x * STUD} ${depth - j.y * STUD - 2}l1.6 2l-1.6 2l-1.6 -2z`}
            fill="#ffffff"
            stroke="#161616"
            strokeWidth={0.6}
          />
        ))}
        <g fontSize={4.6} fill="var(--background-soft)">
          {Array.from({ length: Math.floor(job.width / 2) + 1 }, (_, i) => (
            <text key={i} x={2 * i * STUD} y={depth + 8} textAnchor="middle">
              {2 * i}
            </text>
          ))}
          {Array.from({ length: Math.floor(job.depth / 2) + 1 }, (_, i) => (
            <text key={i} x={-3} y={depth - 2 * i * STUD + 1.6} textAnchor="end">
              {2 * i}
            </text>
          ))}
        </g>
      </svg>
      <p className="text-background-soft min-h-5">
        {hovered
          ? `From stud ${hovered.x}, ${hovered.y}: ${elementName(hovered.element)}, ${hovered.bought ? 'to buy' : 'at hand'}.`
          : 'Seen from above, the front at the bottom. A small ring = to buy, a rhomb = four corners or seams that meet, dashed = left open or kept free.'}
      </p>
    </div>
  );
}

function PlanPiece({
  piece: p,
  y,
  here,
  onHover,
}: {
  piece: FloorPiece;
  y: number;
  here: boolean;
  onHover: (piece: FloorPiece | null) => void;
}) {
  const palette = usePalette();
  const colour = palette.get(splitElementKey(p.element).colour);
  const ink = inkOn(colour);
  return (
    <g onPointerEnter={() => onHover(p)} onPointerLeave={() => onHover(null)}>
      <title>{`${elementName(p.element)} from stud ${p.x}, ${p.y}, ${p.bought ? 'to buy' : 'at hand'}`}</title>
      <rect
        x={p.x * STUD + 0.2}
        y={y + 0.2}
        width={p.w * STUD - 0.4}
        height={p.d * STUD - 0.4}
        fill={colour?.hex ?? '#9a9a9a'}
        stroke={here ? 'var(--background-ink)' : ink}
        strokeOpacity={here ? 1 : 0.5}
        strokeWidth={here ? 1 : 0.4}
      />
      {p.bought && (
        <circle
          cx={p.x * STUD + p.w * STUD - 2.2}
          cy={y + 2.2}
          r={1.1}
          fill="none"
          stroke={ink}
          strokeWidth={0.5}
        />
      )}
    </g>
  );
}

const KeepOut = ({ box, y }: { box: FloorJob['keepOut'][number]; y: number }) => (
  <g>
    <rect
      x={box.x * STUD}
      y={y}
      width={box.w * STUD}
      height={box.d * STUD}
      fill="none"
      stroke="var(--background-soft)"
      strokeWidth={0.6}
      strokeDasharray="2.4 1.4"
    />
    <text
      x={(box.x + box.w / 2) * STUD}
      y={y + (box.d * STUD) / 2 + 1.4}
      textAnchor="middle"
      fontSize={Math.min(4.6, (box.w * STUD) / (0.56 * Math.max(1, box.name.length)))}
      fill="var(--background-ink)"
    >
      {box.name}
    </text>
  </g>
);
