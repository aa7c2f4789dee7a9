'use client';

import { editNumber, formatLength, formatNumber } from '@/core/shared/forms';
import { useState } from 'react';
import { atScale, FIGURE_MM, grownBy, PERSON_MM, scaleFrom } from '@/core/fit';
import { Button } from '@/ui/button';
import { useBuild } from '../common/build-store';
import { LengthBox } from '../common/length-box';
import { NumberBox } from '../common/number-box';
import { Figure, Sum, Sums } from '../common/result';

/** Scale: how big it is at 1:n, which n a model has, and what a larger wheel makes of it. */
export function ScaleTab() {
  const [n, setN] = useState(44);
  return (
    <Sums
      title={`How big is it at 1:${trim(n)}?`}
      says={`A figure stands ${formatLength(FIGURE_MM)} tall; for a person of ${editNumber(1.7)} m that is 1:44. Its width is another scale: what it sits in is built wider.`}
    >
      <AtScale n={n} onN={setN} />
      <FindScale onN={setN} />
      <LargerWheel />
    </Sums>
  );
}

const tenth = (n: number): number => Math.round(n * 10) / 10;
const trim = (n: number): string => formatNumber(tenth(n));

function AtScale({ n, onN }: { n: number; onN: (n: number) => void }) {
  const [real, setReal] = useState(4.2);
  const size = atScale(real * 1000, n);
  return (
    <Sum
      title="A real size in studs"
      form={
        <>
          <NumberBox label="Scale, 1 to" value={tenth(n)} least={1} most={2000} parts onChange={onN} />
          <NumberBox label="Real size, metres" value={real} least={0} most={2000} parts onChange={setReal} />
        </>
      }
    >
      {size && (
        <>
          <div className="flex flex-wrap gap-4" role="status">
            <Figure value={formatLength(size.mm)} words="in the model" />
            <Figure
              value={`${size.studs} studs`}
              words={`${formatLength(Math.abs(size.error))} ${size.error < 0 ? 'short' : 'over'}`}
            />
            <Figure
              value={`${size.bricks} bricks${size.plates > 0 ? ` + ${size.plates} ${size.plates === 1 ? 'plate' : 'plates'}` : ''}`}
              words="as a height"
            />
          </div>
          <SizeBar mm={size.mm} />
        </>
      )}
    </Sum>
  );
}

/** A figure beside the size, in one scale. */
function SizeBar({ mm }: { mm: number }) {
  const tall = Math.max(mm, FIGURE_MM);
  const scale = 90 / tall;
  return (
    <svg
      width={150}
      height={96}
      viewBox="0 0 150 96"
      role="img"
      aria-label={`${formatLength(mm)} beside a figure`}
      className="mt-2"
    >
      <g stroke="currentColor" fill="var(--color-sheet)" strokeWidth={1}>
        <rect x={50} y={92 - mm * scale} width={40} height={mm * scale} />
        <path d={`M10 92v${-FIGURE_MM * scale * 0.74}h16v${FIGURE_MM * scale * 0.74}z`} />
        <rect x={13} y={92 - FIGURE_MM * scale} width={10} height={FIGURE_MM * scale * 0.24} rx={2} />
      </g>
      <path d="M0 92.5H150" stroke="currentColor" />
    </svg>
  );
}

function FindScale({ onN }: { onN: (n: number) => void }) {
  const [model, setModel] = useState(FIGURE_MM);
  const [real, setReal] = useState(PERSON_MM / 1000);
  const n = scaleFrom(model, real * 1000);
  return (
    <Sum
      title="Which scale is it?"
      form={
        <>
          <LengthBox label="In the model" value={model} least={0.1} most={10_000} onChange={setModel} />
          <NumberBox label="Really, metres" value={real} least={0.01} most={2000} parts onChange={setReal} />
        </>
      }
    >
      {n !== undefined && (
        <p role="status" className="flex flex-wrap items-center gap-3">
          <Figure value={`1:${trim(n)}`} words="by a wheel, a door, a figure: whatever is known" />
          <Button onClick={() => onN(n)}>Take it above</Button>
        </p>
      )}
    </Sum>
  );
}

function LargerWheel() {
  const workbench = useBuild((s) => s.workbench);
  const card = workbench.records.inspectionCard.get(workbench.build);
  const built = card?.built ?? card?.found;
  const [size, setSize] = useState({
    length: built ? Math.round(built.length) : 32,
    width: built ? Math.round(built.width) : 8,
    height: built ? Math.round(built.height * 3) : 30,
  });
  const [wheel, setWheel] = useState(24);
  const [next, setNext] = useState(30);
  const grown = grownBy(wheel, next, size);
  return (
    <Sum
      title="What the next larger wheel makes of it"
      form={
        <>
          <LengthBox label="Wheel now" value={wheel} least={1} most={500} onChange={setWheel} />
          <LengthBox label="Wheel then" value={next} least={1} most={500} onChange={setNext} />
          <NumberBox
            label="Long, studs"
            value={size.length}
            least={1}
            most={2000}
            onChange={(length) => setSize({ ...size, length })}
          />
          <NumberBox
            label="Wide, studs"
            value={size.width}
            least={1}
            most={2000}
            onChange={(width) => setSize({ ...size, width })}
          />
          <NumberBox
            label="High, plates"
            value={size.height}
            least={1}
            most={6000}
            onChange={(height) => setSize({ ...size, height })}
          />
        </>
      }
    >
      {grown && (
        <>
          <p role="status">
            <b>
              {grown.length} x {grown.width} studs, {grown.height} plates high
            </b>
            : {trim(grown.factor * 100)} % of what it was, rounded by {trim(grown.off * 100)} % at most. The
            width stays {size.width % 2 === 0 ? 'even' : 'odd'}, so the middle stays where it is.
          </p>
          <Outlines
            before={[size.length * 8, size.height * 3.2, wheel]}
            after={[grown.length * 8, grown.height * 3.2, next]}
          />
        </>
      )}
    </Sum>
  );
}

type Side = readonly [length: number, height: number, wheel: number];

/** Both from the side, in one scale: dashed as it is, solid as it would be. */
function Outlines({ before, after }: { before: Side; after: Side }) {
  const scale = Math.min(340 / Math.max(before[0], after[0]), 120 / Math.max(before[1], after[1]));
  const shape = ([length, height, wheel]: Side, dashes: string) => (
    <g fill="none" stroke="currentColor" strokeDasharray={dashes}>
      <rect
        x={2}
        y={126 - height * scale}
        width={length * scale}
        height={Math.max(1, (height - wheel / 2) * scale)}
      />
      {[0.2, 0.8].map((at) => (
        <circle
          key={at}
          cx={2 + length * scale * at}
          cy={126 - (wheel * scale) / 2}
          r={(wheel * scale) / 2}
        />
      ))}
    </g>
  );
  return (
    <svg
      width={346}
      height={128}
      viewBox="0 0 346 128"
      role="img"
      aria-label="Before, dashed, and after, solid"
      className="mt-2 max-w-full"
    >
      {shape(before, '4 3')}
      {shape(after, '')}
    </svg>
  );
}
