'use client';

import { formatLength, formatNumber } from '@/core/shared/forms';
import { useState } from 'react';
import { roomIn, swingRadius, vehiclesAlong } from '@/core/fit';
import { NumberBox } from '../common/number-box';
import { Sum, Sums } from '../common/result';
import { TrackSum } from './track-sum';

/** Clearance: what passes beside a wall, along a platform, through a gate, under a shelf. */
export function ClearanceTab() {
  return (
    <Sums
      title="Does it pass?"
      says="Vehicles by the end-throw and mid-throw of a curve; a hinged wall by the corner that swings furthest; what passes a gate or stands under a shelf by what is left."
    >
      <TrackSum />
      <Platform />
      <Swing />
      <Gate />
    </Sums>
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
        <b>{n}</b> {n === 1 ? 'stands' : 'stand'} along it, {formatNumber(Math.round(left * 10) / 10)} studs
        are left.
      </p>
      <svg viewBox={`0 0 ${platform} ${Math.max(4, platform / 14)}`} className="mt-2 h-8 w-full" aria-hidden>
        <path d={`M0 ${platform / 16}H${platform}`} stroke="currentColor" strokeWidth={platform / 200} />
        {Array.from({ length: Math.min(n, 200) }, (_, i) => (
          <rect
            key={i}
            x={i * (length + gap)}
            y={platform / 80}
            width={length}
            height={platform / 24}
            fill="var(--color-rule)"
            stroke="currentColor"
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
        Its corner reaches <b>{formatLength(radius)}</b>, {studs} studs from the hinge.{' '}
        {radius <= free * 8
          ? 'It swings free.'
          : `▲ It hits what stands nearer: ${formatLength(radius - free * 8)} lack.`}
      </p>
    </Sum>
  );
}

function Gate() {
  const [gate, setGate] = useState({ width: 6, height: 8 });
  const [load, setLoad] = useState({ width: 5, height: 7 });
  const { beside, above, passes } = roomIn(gate, load);
  const lack = [
    beside < 0 ? `${formatLength(-beside)} in width` : '',
    above < 0 ? `${formatLength(-above)} in height` : '',
  ].filter(Boolean);
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
          ? `It passes: ${formatLength(beside)} beside it, ${formatLength(above)} above it.`
          : `▲ It does not pass: ${lack.join(' and ')} lack.`}
        {passes && beside === 0 ? ` It touches at both sides: leave ${formatLength(1.6)}, half a plate.` : ''}
      </p>
    </Sum>
  );
}
