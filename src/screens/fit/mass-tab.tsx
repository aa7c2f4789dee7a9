'use client';

import { editNumber, formatFixed, formatLength } from '@/core/shared/forms';
import { useMemo, useState } from 'react';
import { balanceOver, massOfBuild, perHook } from '@/core/fit';
import { Select } from '@/ui/field';
import { count, pieces } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { gramWords } from '../words/fit';
import { NumberBox } from '../common/number-box';
import { Figure, Sum, Sums } from '../common/result';
import { WeighSum } from './weigh-sum';
import { useOneInAddress } from '../common/use-in-address';

/** Mass and balance: what it weighs, zone by zone; whether it hangs and stands. */
export function MassTab() {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const [view, setView] = useOneInAddress('view', ['built', 'planned']);
  const mass = useMemo(() => {
    void version;
    return massOfBuild(workbench, view);
  }, [workbench, version, view]);
  return (
    <Sums
      title={`It weighs about ${gramWords(mass)}.`}
      says={`Each part by its size: a hollow box of ABS, ${editNumber(1.05)} g/cm³, with walls of ${formatLength(1.25)}, its studs and tubes; ±10 % for boxes, ±30 % for other shapes. What is weighed is better.`}
    >
      <section aria-label="By zone" className="border-rule bg-sheet rounded-lg border p-4">
        <div className="mb-2 flex items-center gap-3">
          <h2 className="flex-1 text-[16px]">By zone</h2>
          <Select
            aria-label="Which pieces"
            value={view}
            onChange={(e) => setView(e.target.value as typeof view)}
          >
            <option value="built">as built</option>
            <option value="planned">as planned</option>
          </Select>
        </div>
        {mass.zones.length === 0 && <p>Nothing stands here yet.</p>}
        <ul>
          {mass.zones.map((z) => (
            <li key={z.zone} className="border-rule flex items-center gap-3 border-b py-1">
              <bdi className="w-36 truncate">{z.name}</bdi>
              <span className="bg-wash h-3 flex-1" aria-hidden>
                <span
                  className="bg-ink block h-full"
                  style={{ width: `${(100 * z.grams) / mass.zones[0]!.grams}%` }}
                />
              </span>
              <span className="w-32 text-right">{gramWords(z)}</span>
              <span className="text-soft w-24 text-right">{pieces(z.pieces)}</span>
            </li>
          ))}
        </ul>
      </section>
      <WeighSum />
      <Hanging grams={mass.grams} doubt={mass.doubt} />
      <Overhang zones={mass.zones} />
    </Sums>
  );
}

function Hanging({ grams, doubt }: { grams: number; doubt: number }) {
  const [hooks, setHooks] = useState(2);
  const [factor, setFactor] = useState(5);
  const each = perHook({ grams, doubt }, hooks, factor);
  return (
    <Sum
      title="If it hangs"
      form={
        <>
          <NumberBox label="Hooks" value={hooks} least={1} most={50} onChange={setHooks} />
          <NumberBox label="Factor of safety" value={factor} least={1} most={20} parts onChange={setFactor} />
        </>
      }
    >
      {each !== undefined && (
        <p role="status">
          <Figure value={`${count(Math.ceil(each))} g`} words="each hook and its screw must bear" />
        </p>
      )}
      <p className="mt-2">
        ▲ Studs and clips slip under a pull that lasts, and more so when it is warm. Carry it by a frame or a
        wire around the model, never by studs alone; take one hook away in thought: the others must hold. Do
        not hang it over beds, seats or where children play. What the maker of hooks, screws and wire says
        comes first.
      </p>
    </Sum>
  );
}

type Zones = ReturnType<typeof massOfBuild>['zones'];

function Overhang({ zones }: { zones: Zones }) {
  const [studs, setStuds] = useState<ReadonlyMap<string, number>>(new Map());
  const [behind, setBehind] = useState(6);
  const loads = zones.map((z) => ({ grams: z.grams, studs: studs.get(z.zone) ?? -4 }));
  const balance = balanceOver(loads, behind);
  return (
    <Sum
      title="If part of it stands out over an edge"
      form={
        <NumberBox
          label="Counterweight, studs behind the edge"
          value={behind}
          least={2}
          most={500}
          onChange={setBehind}
        />
      }
    >
      <p className="text-soft mb-2">
        How far the middle of each zone lies beyond the edge it could tip over, in studs; below zero it lies
        behind it. For a crane’s jib the edge is its hinge.
      </p>
      <ul>
        {zones.map((z) => (
          <li key={z.zone} className="flex items-end gap-3 py-1">
            <NumberBox
              label={z.name}
              value={studs.get(z.zone) ?? -4}
              least={-500}
              most={500}
              parts
              onChange={(n) => setStuds(new Map(studs).set(z.zone, n))}
            />
            <span className="text-soft pb-1">{gramWords(z)}</span>
          </li>
        ))}
      </ul>
      <Beam middle={balance.middle} />
      <p role="status">
        {balance.tips
          ? `▲ It tips: the middle of its mass lies ${formatFixed(balance.middle)} studs beyond the edge. ${count(Math.ceil(balance.counterweight))} g, ${behind} studs behind the edge, bring it a stud behind.`
          : `It stands: the middle of its mass lies ${formatFixed(Math.abs(balance.middle))} studs behind the edge.`}
      </p>
    </Sum>
  );
}

/** The edge, and where the middle of mass lies beside it. */
function Beam({ middle }: { middle: number }) {
  const x = 150 + Math.max(-140, Math.min(140, middle * 10));
  return (
    <svg width={300} height={44} viewBox="0 0 300 44" aria-hidden className="max-w-full">
      <path d="M0 30H150V44" fill="none" stroke="currentColor" strokeWidth={2} />
      <path d={`M10 26H290`} stroke="currentColor" strokeDasharray="4 3" />
      <path d={`M${x} 24l6 -12h-12z`} fill="currentColor" />
    </svg>
  );
}
