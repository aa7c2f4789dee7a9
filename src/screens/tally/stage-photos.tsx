'use client';

import { useRef, useState, type MouseEvent } from 'react';
import type { Stage } from '@/core/records';
import { changeStage, laidOver } from '@/core/show';
import { Button } from '@/ui/button';
import { useBuild } from '../common/build-store';

/** Photos of two stages over each other, with a slider between them; two points on each lay them alike. */
export function StagePhotos({ stages }: { stages: readonly Stage[] }) {
  const withPhoto = stages.filter((s) => s.photo !== null);
  const [first, last] = [withPhoto[0], withPhoto.at(-1)];
  if (!first) return null;
  if (!last || first === last)
    return (
      <p className="text-soft mt-4">
        A photo of one more stage, and both can be laid over each other with a slider between them.
      </p>
    );
  return <Over key={`${first.photo} ${last.photo}`} under={first} over={last} />;
}

const src = (s: Stage) => `/api/photos/${s.photo}`;

function Over({ under, over }: { under: Stage; over: Stage }) {
  const [at, setAt] = useState(50);
  const [size, setSize] = useState({ w: 4, h: 3 });
  const [box, setBox] = useState({ w: 0, h: 0 });
  const holder = useRef<HTMLDivElement>(null);
  const measure = () => {
    const r = holder.current?.getBoundingClientRect();
    if (r) setBox({ w: r.width, h: r.height });
  };
  const matrix = laidOver(over.marks, under.marks, box.w || 1, box.h || 1);
  return (
    <section aria-label="Photos over each other" className="mt-5 max-w-3xl">
      <h2 className="mb-1 text-[16px]">
        <bdi>{under.name}</bdi> under <bdi>{over.name}</bdi>
      </h2>
      <div
        ref={holder}
        className="border-rule relative w-full overflow-hidden border"
        style={{ aspectRatio: `${size.w} / ${size.h}` }}
      >
        {/* Kept photos are served by this machine, at the size they are kept in. */}
        {/* eslint-disable-next-line @next/next/no-img-element */}
        <img
          src={src(under)}
          alt={`${under.name}: the photo below`}
          className="absolute inset-0 size-full object-fill"
          onLoad={(e) => {
            setSize({ w: e.currentTarget.naturalWidth, h: e.currentTarget.naturalHeight });
            requestAnimationFrame(measure);
          }}
        />
        <div
          className="absolute inset-0"
          style={{ clipPath: `inset(0 0 0 ${at}%)`, willChange: 'clip-path' }}
        >
          {/* eslint-disable-next-line @next/next/no-img-element */}
          <img
            src={src(over)}
            alt={`${over.name}: the photo above`}
            className="size-full object-fill"
            style={{ transformOrigin: '0 0', transform: `matrix(${matrix.join(', ')})` }}
          />
        </div>
        <span
          aria-hidden
          className="absolute inset-y-0 w-0.5 bg-white"
          style={{ left: `${at}%`, mixBlendMode: 'difference' }}
        />
      </div>
      <input
        type="range"
        min={0}
        max={100}
        step={0.5}
        value={at}
        aria-label={`How much of ${under.name} is seen`}
        aria-valuetext={`${Math.round(at)} % ${under.name}, ${Math.round(100 - at)} % ${over.name}`}
        onChange={(e) => setAt(Number(e.target.value))}
        className="w-full"
      />
      <details>
        <summary className="min-h-7">Lay them alike by two points on each</summary>
        <p className="text-soft mb-2">
          The same two places on both: two corners of the base do well. A third press begins anew; arrow keys
          move the last point.
        </p>
        <div className="grid gap-3 sm:grid-cols-2">
          <MarkPhoto stage={under} />
          <MarkPhoto stage={over} />
        </div>
      </details>
    </section>
  );
}

/** Two points on a photo. */
function MarkPhoto({ stage }: { stage: Stage }) {
  const perform = useBuild((s) => s.perform);
  const put = (marks: Stage['marks']) => perform(changeStage(stage, { marks }));
  const press = (e: MouseEvent<HTMLButtonElement>) => {
    const r = e.currentTarget.getBoundingClientRect();
    const share = (n: number) => Math.round(Math.min(1, Math.max(0, n)) * 1e4) / 1e4;
    // Pressed by a key: the point begins in the middle, and arrows move it.
    const byKey = e.detail === 0;
    const mark = byKey
      ? { x: 0.5, y: 0.5 }
      : { x: share((e.clientX - r.left) / r.width), y: share((e.clientY - r.top) / r.height) };
    put(stage.marks.length >= 2 ? [mark] : [...stage.marks, mark]);
  };
  const move = (key: string, far: boolean): boolean => {
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[key];
    const last = stage.marks.at(-1);
    if (!by || !last) return false;
    const step = far ? 0.05 : 0.005;
    const within = (n: number) => Math.min(1, Math.max(0, n));
    put([
      ...stage.marks.slice(0, -1),
      { x: within(last.x + by[0]! * step), y: within(last.y + by[1]! * step) },
    ]);
    return true;
  };
  return (
    <div>
      <button
        type="button"
        className="relative block w-full cursor-crosshair"
        aria-label={`${stage.name}: ${stage.marks.length < 2 ? `mark point ${stage.marks.length + 1}` : 'both points are marked'}`}
        onClick={press}
        onKeyDown={(e) => move(e.key, e.shiftKey) && e.preventDefault()}
      >
        {/* eslint-disable-next-line @next/next/no-img-element */}
        <img src={src(stage)} alt="" className="w-full" />
        {stage.marks.map((m, i) => (
          <span
            key={i}
            aria-hidden
            className="absolute grid size-5 -translate-1/2 place-items-center rounded-full border-2 border-white text-[11px] font-bold text-white"
            style={{ left: `${m.x * 100}%`, top: `${m.y * 100}%`, mixBlendMode: 'difference' }}
          >
            {i + 1}
          </span>
        ))}
      </button>
      <p className="flex items-center gap-2 py-1">
        <bdi className="min-w-0 flex-1 truncate">{stage.name}</bdi>
        <Button disabled={stage.marks.length === 0} onClick={() => put([])}>
          No points
        </Button>
      </p>
    </div>
  );
}
