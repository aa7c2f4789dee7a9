'use client';

import { formatLength, formatNumber, lengthAs, lengthUnit } from '@/core/shared/forms';
import { useMemo, useState } from 'react';
import {
  fillings,
  fillingsHere,
  hingedWalls,
  keepFloorJob,
  newFloorJob,
  roundOf,
  type Filling,
} from '@/core/fit';
import { Button } from '@/ui/button';
import { Check } from '@/ui/field';
import { useBuild } from '../common/build-store';
import { fillingWords, lacksWords } from '../words/fit';
import { LengthBox } from '../common/length-box';
import { NumberBox } from '../common/number-box';
import { PointsSum } from './points-sum';
import { Sum, Sums } from '../common/result';
import { RingSum } from './ring-sum';

/** Levels, angles, rings and rounds: and heights to named points. */
export function LevelsTab({ onFloor }: { onFloor: () => void }) {
  return (
    <Sums
      title="What fills this height, and where does this angle meet a stud?"
      says={`A stud is ${formatLength(8)}, a brick ${formatLength(9.6)}, a plate ${formatLength(3.2)}; five plates on their side are two studs.`}
    >
      <Levels onFloor={onFloor} />
      <PointsSum />
      <HingedWalls />
      <RingSum />
      <RoundPlates />
    </Sums>
  );
}

function Levels({ onFloor }: { onFloor: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [height, setHeight] = useState(16);
  const [tolerance, setTolerance] = useState(0.2);
  const [halves, setHalves] = useState(true);
  const [sideways, setSideways] = useState(true);
  const [size, setSize] = useState({ width: 6, depth: 4 });
  const version = useBuild((s) => s.version);
  const found = useMemo(() => {
    void version;
    return fillingsHere(workbench, fillings(height, { tolerance, halves, sideways }));
  }, [workbench, version, height, tolerance, halves, sideways]);
  const [first] = found;
  const lay = (f: Filling) => {
    const job = newFloorJob(workbench, workbench.zones[1]?.id ?? workbench.rootZone.id, source());
    const layers = Math.min(2, Math.max(1, f.plates));
    const name = `Raised by ${f.plates} ${f.plates === 1 ? 'plate' : 'plates'}`;
    perform(keepFloorJob(workbench, { ...job, ...size, name, family: 'plate', layers, pattern: 'free' }));
    onFloor();
  };
  return (
    <Sum
      title="Levels"
      form={
        <>
          <LengthBox label="Height or gap" value={height} least={0.1} most={2000} onChange={setHeight} />
          <LengthBox label="Off by at most" value={tolerance} least={0} most={5} onChange={setTolerance} />
          <Check words="half plates of brackets" on={halves} onChange={setHalves} />
          <Check words="parts on their side" on={sideways} onChange={setSideways} />
        </>
      }
    >
      <p role="status">
        {first
          ? `${fillingWords(first)} fill ${formatLength(height)}${first.error === 0 ? ' exactly' : `, ${formatLength(Math.abs(first.error))} too ${first.error > 0 ? 'tall' : 'low'}`}${first.lacks.length > 0 ? `; ${lacksWords(first)}` : ', at hand'}.`
          : `Nothing fills ${formatLength(height)} within ${formatLength(tolerance)}: allow more, or half plates and parts on their side.`}
      </p>
      {found.length > 0 && (
        <table className="mt-2 w-full max-w-md">
          <caption className="sr-only">All fillings, those at hand first, the nearest before</caption>
          <thead>
            <tr className="text-faint border-rule border-b text-left text-[12px]">
              <th scope="col" className="font-normal">
                Filling
              </th>
              <th scope="col" className="pl-4 text-right font-normal whitespace-nowrap">
                {lengthUnit()}
              </th>
              <th scope="col" className="pl-4 text-right font-normal whitespace-nowrap">
                off by, {lengthUnit()}
              </th>
            </tr>
          </thead>
          <tbody>
            {found.slice(0, 8).map((f) => (
              <tr key={fillingWords(f)} className="border-rule border-b">
                <td className="py-1">
                  <span className="flex items-end gap-2">
                    <Pile filling={f} /> {fillingWords(f)}
                    {f.lacks.length > 0 && <span className="text-soft">({lacksWords(f)})</span>}
                  </span>
                </td>
                <td className="text-right">{formatNumber(lengthAs(f.mm))}</td>
                <td className="text-right">{formatNumber(lengthAs(f.error))}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {first && first.plates > 0 && (
        <div className="mt-3 flex flex-wrap items-end gap-3">
          <NumberBox
            label="Under so many studs"
            value={size.width}
            least={1}
            most={96}
            onChange={(width) => setSize({ ...size, width })}
          />
          <NumberBox
            label="by"
            value={size.depth}
            least={1}
            most={96}
            onChange={(depth) => setSize({ ...size, depth })}
          />
          <Button onClick={() => lay(first)}>
            Lay the {first.plates === 1 ? 'plate' : `${first.plates} layers of plates`} from what is at hand
          </Button>
        </div>
      )}
    </Sum>
  );
}

/** What lies on what, to scale: bricks, plates, half plates, and parts on their side with their studs to the right. */
function Pile({ filling: f }: { filling: Filling }) {
  const heights = [
    ...Array<number>(f.bricks).fill(9.6),
    ...Array<number>(f.plates).fill(3.2),
    ...Array<number>(f.halves).fill(1.6),
    ...Array<number>(f.sideways).fill(8),
  ];
  const all = heights.reduce((s, h) => s + h, 0);
  const scale = Math.min(1.2, 46 / all);
  let at = all;
  return (
    <svg width={30} height={all * scale + 2} viewBox={`-1 -1 ${30 / scale} ${all + 2}`} aria-hidden>
      {heights.map((h, i) => {
        at -= h;
        const side = i >= f.bricks + f.plates + f.halves;
        return (
          <g key={i} fill="var(--color-sheet)" stroke="currentColor" strokeWidth={0.5 / scale}>
            <rect x={0} y={at} width={side ? 3.2 * 3 : 16} height={h} />
            {side && <rect x={9.6} y={at + 1.6} width={1.7} height={h - 3.2} />}
          </g>
        );
      })}
    </svg>
  );
}

function HingedWalls() {
  const [longest, setLongest] = useState(20);
  const [tolerance, setTolerance] = useState(0.2);
  const found = hingedWalls(longest, tolerance);
  return (
    <Sum
      title="Hinged walls that meet studs again"
      form={
        <>
          <NumberBox label="Longest, studs" value={longest} least={2} most={64} onChange={setLongest} />
          <LengthBox label="Off by at most" value={tolerance} least={0} most={1} onChange={setTolerance} />
        </>
      }
    >
      <p role="status" className="mb-2">
        {found.length === 0
          ? 'None so short: the first is 5 studs long, 4 along and 3 across.'
          : `${found.length} walls up to ${longest} studs. Measured from hinge pin to the stud that holds the end.`}
      </p>
      <ul className="grid grid-cols-2 gap-x-4 sm:grid-cols-3">
        {found.slice(0, 18).map((w) => (
          <li key={`${w.along} ${w.across}`} className="border-rule flex items-center gap-2 border-b py-1">
            <svg width={26} height={18} viewBox={`-1 -1 ${w.along + 2} ${w.across + 2}`} aria-hidden>
              <path
                d={`M0 ${w.across}H${w.along}V0z`}
                fill="none"
                stroke="currentColor"
                strokeWidth={w.along / 22}
              />
            </svg>
            <span>
              <b>{formatNumber(w.length)}</b> long: {w.along} and {w.across}, {formatNumber(w.angle)}°
              {w.error !== 0 && (
                <span className="text-soft">
                  {' '}
                  ({w.error < 0 ? '−' : ''}
                  {formatNumber(lengthAs(Math.abs(w.error)))} {lengthUnit()})
                </span>
              )}
            </span>
          </li>
        ))}
      </ul>
    </Sum>
  );
}

function RoundPlates() {
  const [diameter, setDiameter] = useState(12);
  const round = roundOf(diameter);
  const widest = Math.max(1, ...(round?.rows ?? []));
  return (
    <Sum
      title="A round of plates"
      form={<NumberBox label="Studs across" value={diameter} least={2} most={60} onChange={setDiameter} />}
    >
      {round && (
        <div className="flex flex-wrap items-start gap-4">
          <svg width={120} height={120} viewBox={`-0.5 -0.5 ${diameter + 1} ${diameter + 1}`} aria-hidden>
            {round.rows.map((n, y) => (
              <rect
                key={y}
                x={(diameter - n) / 2}
                y={y}
                width={n}
                height={1}
                fill="var(--color-sheet)"
                stroke="currentColor"
                strokeWidth={diameter / 120}
              />
            ))}
            <circle
              cx={diameter / 2}
              cy={diameter / 2}
              r={diameter / 2}
              fill="none"
              stroke="currentColor"
              strokeDasharray={`${diameter / 30}`}
              strokeWidth={diameter / 120}
            />
          </svg>
          <p role="status" className="max-w-60">
            Rows of {round.rows.slice(0, Math.ceil(diameter / 2)).join(', ')} studs to the middle, and back.
            The widest is {widest}; the edge is off the circle by {formatLength(round.error)} at most.
          </p>
        </div>
      )}
    </Sum>
  );
}
