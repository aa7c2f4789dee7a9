'use client';

import { formatDay } from '@/core/shared/forms';
import { useMemo, useState } from 'react';
import type { Stage } from '@/core/records';
import { growthOf, type GrowthPoint } from '@/core/show';
import { Field, Select } from '@/ui/field';
import { count, modNo, priced, signed } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { useInAddress } from '../common/use-in-address';
import { entrySaid } from '../words/entry-words';

interface GrowthAxisProps {
  readonly planned: boolean;
  readonly stages: readonly Stage[];
}

const [W, H] = [1000, 160];

/** The build, or one of its phases or modifications, growing line by line: a time axis that can be dragged. */
export function GrowthAxis({ planned, stages }: GrowthAxisProps) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const [wanted, setOf] = useInAddress('of', 'all');
  const parts = [
    { id: 'all', words: 'the whole build' },
    ...[...workbench.records.phase.values()].map((p) => ({ id: p.id, words: `phase ${p.name}` })),
    ...workbench.modifications.map((m) => ({ id: m.id, words: `${modNo(m.no)} ${m.title}` })),
  ];
  // An address may name what is gone.
  const of = parts.some((p) => p.id === wanted) ? wanted : 'all';
  const points = useMemo(() => {
    void version;
    const mods = workbench.modifications.filter((m) => m.id === of || m.phase === of);
    return growthOf(workbench, planned, of === 'all' ? null : new Set(mods.map((m) => m.id)));
  }, [workbench, version, planned, of]);
  return (
    <section aria-label="Line by line" className="mt-6">
      <div className="mb-2 flex flex-wrap items-end gap-3">
        <h2 className="text-[16px]">Line by line</h2>
        <Field label="Of">
          <Select value={of} onChange={(e) => setOf(e.target.value)}>
            {parts.map((p) => (
              <option key={p.id} value={p.id}>
                {p.words}
              </option>
            ))}
          </Select>
        </Field>
      </div>
      {points.length === 0 ? (
        <p className="text-soft">Nothing of it is {planned ? 'planned' : 'done'} yet.</p>
      ) : (
        <Axis
          key={`${of} ${points.length}`}
          points={points}
          stages={of === 'all' ? stages : []}
          isWhole={of === 'all'}
        />
      )}
    </section>
  );
}

interface AxisProps {
  readonly points: readonly GrowthPoint[];
  readonly stages: readonly Stage[];
  /** False where a part of the build is followed: then what stood is not known from it, only what it changed. */
  readonly isWhole: boolean;
}

/** The curve of the pieces on the model; what moves with the finger is one line and one sentence. */
function Axis({ points, stages, isWhole }: AxisProps) {
  const [at, setAt] = useState(points.length - 1);
  const curve = useMemo(() => curveOf(points), [points]);
  const point = points[Math.min(at, points.length - 1)]!;
  const x = (i: number) => (points.length > 1 ? (i / (points.length - 1)) * W : W);
  return (
    <>
      <svg
        viewBox={`0 0 ${W} ${H}`}
        preserveAspectRatio="none"
        className="bg-sheet border-rule h-40 w-full border"
        aria-hidden
      >
        <path
          d={curve}
          fill="none"
          stroke="currentColor"
          strokeWidth={1.5}
          vectorEffect="non-scaling-stroke"
        />
        {stages.map((s) => {
          const i = points.findLastIndex((p) => p.entry.no <= s.no);
          return i < 0 ? null : (
            <line
              key={s.id}
              x1={x(i)}
              x2={x(i)}
              y1={0}
              y2={H}
              stroke="currentColor"
              strokeDasharray="3 3"
              vectorEffect="non-scaling-stroke"
              opacity={0.5}
            />
          );
        })}
        <line
          x1={x(at)}
          x2={x(at)}
          y1={0}
          y2={H}
          stroke="currentColor"
          strokeWidth={2}
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      <input
        type="range"
        min={0}
        max={points.length - 1}
        value={at}
        aria-label="How far the log has come"
        aria-valuetext={`entry ${point.entry.no}: ${isWhole ? `${count(point.onModel)} on the model` : `net ${signed(point.net)}`}`}
        onChange={(e) => setAt(Number(e.target.value))}
        className="w-full"
      />
      <p role="status" aria-live="polite">
        <b>Entry {count(point.entry.no)}</b>, {formatDay(point.entry.loggedAt)}:{' '}
        <bdi>{entrySaid(point.entry)}</bdi>.{' '}
        {isWhole && (
          <>
            <b>{count(point.onModel)}</b> on the model,{' '}
          </>
        )}
        net <b>{signed(point.net)}</b>, <b>{priced(point.outOfPocket, point.unpriced)}</b> out of pocket.
      </p>
    </>
  );
}

/** The pieces on the model over the lines, from the least to the most of them. */
function curveOf(points: readonly GrowthPoint[]): string {
  const low = points.reduce((n, p) => Math.min(n, p.onModel), Infinity);
  const high = points.reduce((n, p) => Math.max(n, p.onModel), -Infinity);
  const y = (n: number) => H - 8 - ((n - low) / Math.max(1, high - low)) * (H - 16);
  const x = (i: number) => (points.length > 1 ? (i / (points.length - 1)) * W : W);
  return points.map((p, i) => `${i === 0 ? 'M' : 'L'}${x(i).toFixed(1)} ${y(p.onModel).toFixed(1)}`).join('');
}
