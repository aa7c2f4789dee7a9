'use client';

import { useState } from 'react';
import type { DrawnPiece, LaidWalls, StatedWalls } from '@/core/fit';
import { elementName } from '@/core/parts';
import type { WallJob } from '@/core/records';
import { Elevation } from './elevation';
import { useRoom } from './use-room';

interface DrawingsProps {
  readonly job: WallJob;
  readonly stated: StatedWalls;
  readonly laid: LaidWalls;
  readonly upTo: number | null;
}

/** Pixels of a millimetre at most: a brick of four studs is then as long as a thumb. */
const MOST_SCALE = 4.4;
const LEAST_SCALE = 0.9;

/** All walls of a job in one scale, as wide as there is room. */
export function WallDrawings({ job, stated, laid, upTo }: DrawingsProps) {
  const { box, room } = useRoom();
  const [hovered, setHovered] = useState<DrawnPiece | null>(null);
  const longest = Math.max(...stated.problem.walls.map((w) => w.length));
  const scale = Math.max(LEAST_SCALE, Math.min(MOST_SCALE, room / (longest * 8 + 14)));
  const piece = hovered;
  return (
    <div ref={box} className="overflow-x-auto">
      {job.walls.map((w) => (
        <figure key={w.id} className="mb-3">
          <figcaption className="font-head font-bold">
            <bdi>{w.name}</bdi>, seen from outside
          </figcaption>
          <Elevation
            job={job}
            stated={stated}
            laid={laid}
            wall={w.id}
            scale={scale}
            upTo={upTo}
            hovered={hovered}
            onHover={setHovered}
          />
        </figure>
      ))}
      <p className="text-background-soft min-h-5">
        {piece
          ? `Course ${piece.course + 1}, from stud ${piece.at}: ${piece.plates ? '3 × ' : ''}${elementName(piece.element)}, ${piece.bought ? 'to buy' : 'at hand'}.`
          : 'Numbers are studs. A small ring = to buy, a rhomb = a joint over a joint, dashed = an opening or a place left open, dotted = another wall’s piece.'}
      </p>
    </div>
  );
}
