'use client';

import { useMemo, useState } from 'react';
import { laidWalls, piecesLaid, planWalls, wallsProblem, WAYS, type StatedWalls, type Way } from '@/core/fit';
import type { WallJob } from '@/core/records';
import { useBuild } from '../common/build-store';
import { useCommands } from '../commands';
import { wallFaultWords } from '../words/fit';
import { useLaying, type LayingTools } from './use-laying';

/** How long each way is looked for, in seconds. What is at hand alone leaves less to choose. */
const SECONDS: Readonly<Record<Way, number>> = { firm: 12, 'as it lies': 5 };

/** The problem of each way; a sentence where walls cannot stand as they are wanted. */
export function useStated(job: WallJob) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  return useMemo(() => {
    void version;
    const [firm, lies] = WAYS.map((way) => wallsProblem(workbench, job, way));
    if (firm!.ok && lies!.ok) return { firm: firm!.value, 'as it lies': lies!.value };
    const bad = [firm!, lies!].find((s) => !s.ok);
    return bad && !bad.ok ? wallFaultWords(bad.reason) : 'These walls cannot be laid.';
  }, [workbench, version, job]);
}

/** Goes from course to course by key; null = all of them. */
export function useCourses(job: WallJob) {
  const [upTo, setUpTo] = useState<number | null>(null);
  const last = job.courses.length - 1;
  const go = (by: number) =>
    setUpTo((c) => (c === null ? (by > 0 ? 0 : last) : Math.max(0, Math.min(last, c + by))));
  useCommands([
    { name: 'Next course', key: 'ArrowRight', run: () => go(1) },
    { name: 'Course before', key: 'ArrowLeft', run: () => go(-1) },
    { name: 'All courses', key: 'a', run: () => setUpTo(null) },
  ]);
  return { upTo: upTo === null ? null : Math.min(upTo, last), go, all: () => setUpTo(null) };
}

/** Both ways of laying walls, each with its search, and how each stands beside the other. */
export function useBothWays(stated: ReturnType<typeof useStated>) {
  const of = (way: Way) => (typeof stated === 'string' ? null : stated[way]);
  const tools: Readonly<Record<Way, LayingTools>> = {
    firm: useLaying(of('firm')?.problem ?? null, SECONDS.firm),
    'as it lies': useLaying(of('as it lies')?.problem ?? null, SECONDS['as it lies']),
  };
  const counted = (way: Way) => {
    const [l, s] = [tools[way].laying, of(way)];
    return l && s && { joints: l.joints, unfilled: l.unfilled, pieces: piecesLaid(s, l.pieces) };
  };
  /** Money that rests on a part without a price is not told. */
  const isGuess = tools.firm.laying?.pieces.some((p) => of('firm')?.parts.get(p.part)?.supply.guessed);
  return { of, tools, counted, isGuess: isGuess ?? false };
}

type Pieces = Parameters<typeof planWalls>[3];

/** The walls piece by piece, as they are drawn. */
export const useLaid = (job: WallJob, stated: StatedWalls | null, laid: Pieces | null) =>
  useMemo(() => (stated && laid ? laidWalls(job, stated, laid) : null), [job, stated, laid]);

/** What the laying would be as planned entries: the same that are booked when it is planned. */
export function usePlan(job: WallJob, stated: StatedWalls | null, laid: Pieces | null) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  return useMemo(() => {
    void version;
    if (!stated || !laid) return null;
    let n = 0;
    return planWalls(workbench, job, stated, laid, { newId: () => `try-${n++}`, now: '' });
  }, [workbench, version, job, stated, laid]);
}
