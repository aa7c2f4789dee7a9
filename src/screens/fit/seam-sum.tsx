'use client';

import { useMemo } from 'react';
import { deleteSeam, keepSeam, newSeam, seamHold } from '@/core/fit';
import { LIFTED, SEAM_TRIALS, type Seam } from '@/core/records';
import { Check, Field, Select } from '@/ui/field';
import { useBuild } from '../common/build-store';
import { leaveWords, seamWords } from '../words/strength';
import { KeptSum } from './kept-sum';
import { NameField } from '../common/name-field';
import { NumberBox } from '../common/number-box';

/** A seam at which a storey, a roof, a wall or furniture lifts off: how many studs to leave, between too loose and too tight. */
export const SeamSum = () => (
  <KeptSum
    type="seam"
    title="Seams that lift off"
    label="Seam"
    says="A roof, a storey: how many studs are left to hold it, so that it neither falls off nor tears the model."
    words="Note a seam"
    make={newSeam}
    keep={keepSeam}
    remove={deleteSeam}
    form={(seam, onKeep) => <SeamForm seam={seam} onKeep={onKeep} />}
    answer={(seam) => <SeamAnswer seam={seam} />}
  />
);

function SeamAnswer({ seam }: { seam: Seam }) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const hold = useMemo(() => {
    void version;
    return seamHold(workbench, seam);
  }, [workbench, version, seam]);
  return (
    <>
      <p role="status">
        {seamWords(seam, hold)} {leaveWords(seam, hold)}
      </p>
      <Outline seam={seam} leave={Math.min(hold.leave, 40)} />
      <p className="text-soft mt-1">
        Lift with both hands, over a table, holding what lies below; keep fingers out of the gap as it is set
        down.
      </p>
    </>
  );
}

const SIZES = [
  ['width', 'Seam wide, studs', 1, 2000],
  ['depth', 'Seam deep, studs', 1, 2000],
  ['height', 'Above it, plates tall', 1, 3000],
  ['studs', 'Studs left to hold', 0, 100_000],
] as const;

function SeamForm({ seam, onKeep }: { seam: Seam; onKeep: (more: Partial<Seam>) => void }) {
  const { zones } = useBuild((s) => s.workbench);
  return (
    <>
      <NameField label="Name" value={seam.name} onKeep={(name) => onKeep({ name })} />
      <Field label="Lifts off">
        <Select value={seam.what} onChange={(e) => onKeep({ what: e.target.value as Seam['what'] })}>
          {LIFTED.map((l) => (
            <option key={l}>{l}</option>
          ))}
        </Select>
      </Field>
      {SIZES.map(([key, label, least, most]) => (
        <NumberBox
          key={key}
          label={label}
          value={seam[key]}
          least={least}
          most={most}
          onChange={(n) => onKeep({ [key]: n })}
        />
      ))}
      <fieldset className="flex w-full flex-wrap gap-x-4">
        <legend className="text-soft text-[12px]">Zones that lift off with it</legend>
        {zones.map((z) => (
          <Check
            key={z.id}
            words={z.name}
            on={seam.zones.includes(z.id)}
            onChange={(on) =>
              onKeep({ zones: on ? [...seam.zones, z.id] : seam.zones.filter((id) => id !== z.id) })
            }
          />
        ))}
      </fieldset>
      <NameField
        label="Where to take hold of it"
        value={seam.grip}
        mayBeEmpty
        onKeep={(grip) => onKeep({ grip })}
        className="min-w-40 flex-1"
      />
      <Field label="When it was lifted">
        <Select
          value={seam.tried ?? ''}
          onChange={(e) => onKeep({ tried: (e.target.value || null) as Seam['tried'] })}
        >
          <option value="">not tried yet</option>
          {SEAM_TRIALS.map((t) => (
            <option key={t}>{t}</option>
          ))}
        </Select>
      </Field>
    </>
  );
}

/** The outline of a seam with the studs to leave: two by two, from the corners on. */
function Outline({ seam, leave }: { seam: Seam; leave: number }) {
  const { width: w, depth: d } = seam;
  const edge = Math.max(w, d) / 60;
  const corners = [
    [0, 0],
    [w - 1, d - 1],
    [w - 1, 0],
    [0, d - 1],
  ] as const;
  const studs = Array.from({ length: leave }, (_, i) => {
    const [x, y] = corners[i % 4]!;
    const step = Math.floor(i / 4);
    return { x: x === 0 ? Math.min(step, w - 1) : Math.max(0, x - step), y };
  });
  return (
    <svg
      viewBox={`${-edge} ${-edge} ${w + 2 * edge} ${d + 2 * edge}`}
      className="mt-2 h-28 max-w-full"
      role="img"
      aria-label={`The seam from above with ${leave} studs left`}
    >
      <g fill="none" stroke="currentColor" strokeWidth={edge}>
        <rect x={0} y={0} width={w} height={d} />
        <rect
          x={1}
          y={1}
          width={Math.max(0, w - 2)}
          height={Math.max(0, d - 2)}
          strokeDasharray={`${edge * 3}`}
        />
      </g>
      {studs.map((s, i) => (
        <circle key={i} cx={s.x + 0.5} cy={s.y + 0.5} r={0.34} fill="currentColor" />
      ))}
    </svg>
  );
}
