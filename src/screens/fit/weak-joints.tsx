'use client';

import { useState } from 'react';
import { mendJoint, type Mend, type WallPart, type WeakJoint } from '@/core/fit';
import type { LaidPiece } from '@/core/fit/lay';
import { elementName } from '@/core/parts';
import type { WallJob } from '@/core/records';
import { Button } from '@/ui/button';
import { count, money } from '@/ui/numbers';
import { list } from '../words/places';

interface WeakJointsProps {
  readonly job: WallJob;
  readonly problem: Parameters<typeof mendJoint>[0];
  readonly pieces: readonly LaidPiece[];
  readonly joints: readonly WeakJoint[];
  /** What lies there by the name of its part. */
  readonly elementOf: (part: string) => WallPart | undefined;
  /** Carries a mend out, where the walls were planned. */
  readonly onMend?: (mend: Mend) => void;
}

/** As many as are looked at in one go: each is tried in many ways. */
const MOST = 12;

/** What would mend each joint over a joint: which pieces come out, which go in, what that costs. Asked for by a press. */
export function WeakJoints({ job, problem, pieces, joints, elementOf, onMend }: WeakJointsProps) {
  const [asked, setAsked] = useState<{ pieces: unknown; mends: readonly (Mend | null)[] } | null>(null);
  // At a corner of thick walls a piece may hold two walls: it is laid anew, not mended.
  if (joints.length === 0 || job.thick > 1) return null;
  const mends = asked?.pieces === pieces ? asked.mends : null;
  const looked = joints.slice(0, MOST);
  const words = (laid: readonly LaidPiece[]) =>
    list(
      laid.map((p) => {
        const means = elementOf(p.part);
        return means ? `${means.each > 1 ? `${means.each} × ` : ''}${elementName(means.element)}` : p.part;
      }),
    );
  const costOf = (mend: Mend) => {
    if (mend.money === 0) return 'at hand';
    const guessed = mend.laid.some((p) => elementOf(p.part)?.supply.guessed);
    return guessed ? 'to buy, without a known price' : `to buy for ${money(mend.money)}`;
  };
  return (
    <section aria-label="Weak joints" className="no-print mt-3">
      {!mends && (
        <Button onClick={() => setAsked({ pieces, mends: looked.map((j) => mendJoint(problem, pieces, j)) })}>
          What would mend {joints.length === 1 ? 'the weak joint' : `the ${count(joints.length)} weak joints`}
          ?
        </Button>
      )}
      {mends && (
        <ul className="bg-sheet text-ink rounded-md p-2">
          {looked.map((j, i) => {
            const mend = mends[i];
            return (
              <li
                key={`${j.wall} ${j.course} ${j.border}`}
                className="border-rule flex flex-wrap items-center gap-3 border-b py-1"
              >
                <span className="min-w-52 flex-1">
                  <b>
                    <bdi>{job.walls.find((w) => w.id === j.wall)?.name}</bdi>, courses {j.course + 1} and{' '}
                    {j.course + 2}, at stud {j.border}
                  </b>
                  <span className="text-soft block">
                    {mend
                      ? `Take out ${words(mend.out)}; lay ${words(mend.laid)}, ${costOf(mend)}.`
                      : 'No five pieces beside one another mend it: lay the course anew, or put a plate across.'}
                  </span>
                </span>
                {mend && onMend && <Button onClick={() => onMend(mend)}>Plan it</Button>}
              </li>
            );
          })}
        </ul>
      )}
      {mends && joints.length > MOST && (
        <p className="mt-1">{count(joints.length - MOST)} more are not looked at yet.</p>
      )}
    </section>
  );
}
