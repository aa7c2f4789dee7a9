'use client';

import type { LaidWalls } from '@/core/fit';
import { splitElementKey } from '@/core/parts';
import type { WallJob } from '@/core/records';
import { Button, Key } from '@/ui/button';

interface CoursesProps {
  readonly job: WallJob;
  readonly laid: LaidWalls;
  readonly upTo: number | null;
  readonly go: (by: number) => void;
  readonly all: () => void;
}

/** The guide for building: course by course, each wall from its left end; on paper all of them. */
export function WallCourses({ job, laid, upTo, go, all }: CoursesProps) {
  return (
    <section aria-label="Course by course" className="mt-2">
      <div className="no-print flex flex-wrap items-center gap-2">
        <Button onClick={() => go(-1)} disabled={upTo === 0}>
          <Key>←</Key> Course before
        </Button>
        <Button onClick={() => go(1)} disabled={upTo === job.courses.length - 1}>
          <Key>→</Key> Next course
        </Button>
        {upTo !== null && (
          <Button onClick={all}>
            <Key>A</Key> All courses
          </Button>
        )}
        <Button onClick={() => window.print()}>Print the guide</Button>
      </div>
      <ol className={upTo === null ? 'mt-2 hidden print:block' : 'mt-2'} aria-live="polite">
        {job.courses.map((_, c) => (
          <li key={c} className={upTo !== null && upTo !== c ? 'hidden print:list-item' : 'mb-2'}>
            <b>Course {c + 1}</b>
            {job.walls.map((w) => {
              const mine = laid.pieces.filter((p) => p.wall === w.id && p.course === c);
              return mine.length === 0 ? null : (
                <p key={w.id}>
                  <bdi>{w.name}</bdi>, from the left:{' '}
                  {mine.map((p) => pieceWords(p, job.thick > 1)).join(' · ')}
                </p>
              );
            })}
          </li>
        ))}
      </ol>
    </section>
  );
}

function pieceWords(p: LaidWalls['pieces'][number], thick: boolean): string {
  const { part, colour } = splitElementKey(p.element);
  const where = thick && p.row > 0 ? ' (inside)' : '';
  return `${p.plates ? '3 × ' : ''}${part} ${colour}${p.bought ? ' ○' : ''}${where}`;
}
