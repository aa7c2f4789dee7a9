'use client';

import { useState } from 'react';
import { cutBack, roomIn, sweptBy, swingRadius, vehiclesAlong } from '@/core/fit';
import { Check } from '@/ui/field';
import { NumberBox } from './number-box';
import { Figure, Sum, Sums } from './result';

/** Clearance: what passes beside a wall, along a platform, through a gate, under a shelf. */
export function ClearanceTab() {
  return (
    <Sums
      title="Does it pass?"
      says="Vehicles by the end-throw and mid-throw of a curve; a hinged wall by the corner that swings furthest; what passes a gate or stands under a shelf by what is left."
    >
      <Railway />
      <Platform />
      <Swing />
      <Gate />
    </Sums>
  );
}

function Railway() {
  const [vehicle, setVehicle] = useState({ length: 240, pivots: 144, width: 48 });
  const [curved, setCurved] = useState(true);
  const [radius, setRadius] = useState(320);
  const [room, setRoom] = useState(4);
  const [wall, setWall] = useState(5);
  const swept = sweptBy(vehicle, curved ? radius : null, room);
  const set = (key: keyof typeof vehicle) => (n: number) => setVehicle({ ...vehicle, [key]: n });
  return (
    <Sum
      title="A railway or tram past a wall"
      form={
        <>
          <NumberBox
            label="Vehicle long, mm"
            value={vehicle.length}
            least={1}
            most={5000}
            parts
            onChange={set('length')}
          />
          <NumberBox
            label="Between bogies, mm"
            value={vehicle.pivots}
            least={0}
            most={5000}
            parts
            onChange={set('pivots')}
          />
          <NumberBox
            label="Wide, mm"
            value={vehicle.width}
            least={1}
            most={1000}
            parts
            onChange={set('width')}
          />
          <Check words="in a curve" on={curved} onChange={setCurved} />
          {curved && (
            <NumberBox
              label="Radius of the middle, mm"
              value={radius}
              least={1}
              most={20_000}
              parts
              onChange={setRadius}
            />
          )}
          <NumberBox label="Room to spare, mm" value={room} least={0} most={200} parts onChange={setRoom} />
          <NumberBox label="The wall is at, studs" value={wall} least={0} most={500} onChange={setWall} />
        </>
      }
    >
      {swept ? (
        <>
          <div className="flex flex-wrap gap-4" role="status">
            <Figure value={`${swept.inside} mm`} words={`inside: a wall from ${swept.insideStuds} studs`} />
            <Figure
              value={`${swept.outside} mm`}
              words={`outside: a wall from ${swept.outsideStuds} studs`}
            />
          </div>
          <p className="mt-2">
            From the middle of the track. {cutText('inside', cutBack(wall, swept.insideStuds))}{' '}
            {cutText('outside', cutBack(wall, swept.outsideStuds))}
          </p>
          <CurveDrawing vehicle={vehicle} radius={curved ? radius : null} swept={swept} />
        </>
      ) : (
        <p role="status">
          ▲ This vehicle cannot stand on this curve: its bogies are further apart than the curve is wide, or
          it is shorter than from bogie to bogie.
        </p>
      )}
    </Sum>
  );
}

const cutText = (side: string, studs: number): string =>
  studs === 0
    ? `The wall may stand ${side}.`
    : `On the ${side} it must go back ${studs} ${studs === 1 ? 'stud' : 'studs'}.`;

/** The vehicle on the curve from above, with what it sweeps: dashed. */
function CurveDrawing({
  vehicle,
  radius,
  swept,
}: {
  vehicle: { length: number; pivots: number; width: number };
  radius: number | null;
  swept: { inside: number; outside: number };
}) {
  const w = vehicle.length * 1.3;
  const h = (swept.inside + swept.outside) * 1.6;
  const middle = radius === null ? 0 : radius - Math.sqrt(radius ** 2 - (vehicle.pivots / 2) ** 2);
  const arc = (offset: number): string => {
    if (radius === null) return `M${-w / 2} ${-offset}H${w / 2}`;
    const r = radius + offset;
    const x = Math.min(w / 2, r);
    const y = radius - Math.sqrt(Math.max(0, r ** 2 - x ** 2));
    return `M${-x} ${y}A${r} ${r} 0 0 1 ${x} ${y}`;
  };
  return (
    <svg
      viewBox={`${-w / 2} ${-h / 2 - swept.outside / 3} ${w} ${h + swept.outside / 1.5}`}
      className="mt-2 h-36 w-full max-w-md"
      role="img"
      aria-label="The vehicle on its track from above, with what it sweeps dashed"
    >
      <g fill="none" stroke="#161616" strokeWidth={w / 240}>
        <path d={arc(0)} strokeWidth={w / 400} />
        <path d={arc(swept.outside)} strokeDasharray={`${w / 50} ${w / 80}`} />
        <path d={arc(-swept.inside)} strokeDasharray={`${w / 50} ${w / 80}`} />
        <rect
          x={-vehicle.length / 2}
          y={middle - vehicle.width / 2}
          width={vehicle.length}
          height={vehicle.width}
          fill="#d6d6d6"
        />
        {[-1, 1].map((s) => (
          <circle key={s} cx={(s * vehicle.pivots) / 2} cy={middle} r={w / 90} fill="#161616" />
        ))}
      </g>
    </svg>
  );
}

function Platform() {
  const [platform, setPlatform] = useState(64);
  const [length, setLength] = useState(30);
  const [gap, setGap] = useState(2);
  const { n, left } = vehiclesAlong(platform, length, gap);
  return (
    <Sum
      title="Vehicles along a platform"
      form={
        <>
          <NumberBox label="Platform, studs" value={platform} least={1} most={5000} onChange={setPlatform} />
          <NumberBox label="Vehicle, studs" value={length} least={1} most={500} parts onChange={setLength} />
          <NumberBox label="Between them, studs" value={gap} least={0} most={100} parts onChange={setGap} />
        </>
      }
    >
      <p role="status">
        <b>{n}</b> {n === 1 ? 'stands' : 'stand'} along it, {Math.round(left * 10) / 10} studs are left.
      </p>
      <svg viewBox={`0 0 ${platform} ${Math.max(4, platform / 14)}`} className="mt-2 h-8 w-full" aria-hidden>
        <path d={`M0 ${platform / 16}H${platform}`} stroke="#161616" strokeWidth={platform / 200} />
        {Array.from({ length: Math.min(n, 200) }, (_, i) => (
          <rect
            key={i}
            x={i * (length + gap)}
            y={platform / 80}
            width={length}
            height={platform / 24}
            fill="#d6d6d6"
            stroke="#161616"
            strokeWidth={platform / 300}
          />
        ))}
      </svg>
    </Sum>
  );
}

function Swing() {
  const [length, setLength] = useState(12);
  const [thick, setThick] = useState(1);
  const [free, setFree] = useState(10);
  const radius = swingRadius(length * 8, thick * 8);
  const studs = Math.ceil(radius / 8 - 1e-9);
  return (
    <Sum
      title="A wall, roof or lid that swings"
      form={
        <>
          <NumberBox
            label="From the hinge, studs"
            value={length}
            least={1}
            most={200}
            parts
            onChange={setLength}
          />
          <NumberBox label="Thick, studs" value={thick} least={0} most={50} parts onChange={setThick} />
          <NumberBox
            label="Free around the hinge, studs"
            value={free}
            least={0}
            most={500}
            parts
            onChange={setFree}
          />
        </>
      }
    >
      <p role="status">
        Its corner reaches <b>{radius} mm</b>, {studs} studs from the hinge.{' '}
        {radius <= free * 8
          ? 'It swings free.'
          : `▲ It hits what stands nearer: ${Math.round((radius - free * 8) * 10) / 10} mm lack.`}
      </p>
    </Sum>
  );
}

function Gate() {
  const [gate, setGate] = useState({ width: 6, height: 8 });
  const [load, setLoad] = useState({ width: 5, height: 7 });
  const { beside, above, passes } = roomIn(gate, load);
  const lack = [beside < 0 ? `${-beside} mm in width` : '', above < 0 ? `${-above} mm in height` : ''].filter(
    Boolean,
  );
  return (
    <Sum
      title="Through a gate, under a shelf"
      form={
        <>
          <NumberBox
            label="Gate wide, studs"
            value={gate.width}
            least={0}
            most={500}
            parts
            onChange={(width) => setGate({ ...gate, width })}
          />
          <NumberBox
            label="Gate high, plates"
            value={gate.height}
            least={0}
            most={2000}
            parts
            onChange={(height) => setGate({ ...gate, height })}
          />
          <NumberBox
            label="What passes, wide"
            value={load.width}
            least={0}
            most={500}
            parts
            onChange={(width) => setLoad({ ...load, width })}
          />
          <NumberBox
            label="What passes, high"
            value={load.height}
            least={0}
            most={2000}
            parts
            onChange={(height) => setLoad({ ...load, height })}
          />
        </>
      }
    >
      <p role="status">
        {passes
          ? `It passes: ${beside} mm beside it, ${above} mm above it.`
          : `▲ It does not pass: ${lack.join(' and ')} lack.`}
        {passes && beside === 0 ? ' It touches at both sides: leave 1.6 mm, half a plate.' : ''}
      </p>
    </Sum>
  );
}
