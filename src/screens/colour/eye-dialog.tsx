'use client';

import { useState } from 'react';
import { deltaE00, hexOfLab, type LabD65 } from '@/core/colour';
import {
  BY_EYE,
  EYE_DEGREES,
  EYE_WAYS,
  eyeLab,
  keepReading,
  type EyeDegree,
  type EyeWay,
} from '@/core/fading';
import { modelAccount } from '@/core/ledger';
import { elementName, splitElementKey } from '@/core/parts';
import type { ZoneId } from '@/core/shared/ids';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Field, Input } from '@/ui/field';
import { readTyped } from '@/core/shared/decimal';
import { editNumber } from '@/core/shared/forms';
import { useBuild } from '../common/build-store';
import { differenceWords } from '../words/colour';
import { readingProblemWords } from '../words/inspection';
import { LotChoice, type LotChoiceValue } from './lot-choice';
import { lotsToRead } from './use-lots-to-read';

/** A number as it is typed; undefined where it is none. */
const numberOf = (text: string): number | undefined => {
  const n = readTyped(text);
  return Number.isNaN(n) ? undefined : n;
};

/** A condition noted by eye, or values typed from an instrument of one's own: a batch either way, with how far off it may be. */
export function EyeDialog({ zone, onClose }: { zone: ZoneId | null; onClose: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [choice, setChoice] = useState<LotChoiceValue>(() => {
    const account = modelAccount(zone ?? workbench.zones[1]?.id ?? workbench.rootZone.id);
    const [lot] = lotsToRead(workbench, account);
    return { account, lot, qty: lot?.qty ?? 1 };
  });
  const [typed, setTyped] = useState(false);
  const [way, setWay] = useState<EyeWay>('yellowed');
  const [degree, setDegree] = useState<EyeDegree>('clearly');
  const [values, setValues] = useState({ l: '', a: '', b: '', doubt: editNumber(0.5) });
  const [says, setSays] = useState('');
  const fresh = choice.lot && workbench.colour(splitElementKey(choice.lot.element).colour);
  const [l, a, b, doubt] = [values.l, values.a, values.b, values.doubt].map(numberOf);
  const typedLab: LabD65 | null =
    l !== undefined && a !== undefined && b !== undefined && l >= 0 && l <= 100
      ? { l, a, b, white: 'D65' }
      : null;
  const lab = typed ? typedLab : fresh ? eyeLab(fresh.lab, way, degree) : null;
  const spread = typed ? doubt : BY_EYE[degree].doubt;
  const keep = () => {
    if (!lab || !choice.lot || spread === undefined || spread < 0) return;
    const kept = keepReading(
      workbench,
      {
        ...choice,
        element: choice.lot.element,
        grade: choice.lot.grade,
        lab,
        spread,
        count: 1,
        how: typed ? 'typed' : 'eye',
        made: typed ? 'typed from an instrument of one’s own, D65' : `by eye: ${degree} ${way}`,
        trusted: true,
        doubt: '',
        ...(typed ? {} : { condition: way }),
      },
      source(),
    );
    if (!kept.ok) return setSays(`▲ ${readingProblemWords(kept.reason)}`);
    perform(kept.value);
    setSays(`Kept as ${kept.value.batch}.`);
    const [next] = lotsToRead(workbench, choice.account);
    setChoice({ ...choice, lot: next, qty: next?.qty ?? 1 });
  };
  return (
    <Dialog
      open
      onOpenChange={onClose}
      wide
      title="Note a colour without the meter"
      says="What the eye says, or values that you read with an instrument of your own. It can be refined later: read the same pieces with a meter or a grey card."
    >
      <form
        className="flex flex-col gap-4"
        onSubmit={(e) => {
          e.preventDefault();
          keep();
        }}
      >
        <LotChoice value={choice} onChange={setChoice} />
        <fieldset className="flex flex-wrap gap-4">
          <legend className="sr-only">How it was seen</legend>
          {[false, true].map((own) => (
            <label key={String(own)} className="flex min-h-7 items-center gap-2">
              <input
                type="radio"
                name="how"
                className="size-4"
                checked={typed === own}
                onChange={() => setTyped(own)}
              />
              {own ? 'values of an instrument' : 'by eye'}
            </label>
          ))}
        </fieldset>
        {typed ? (
          <div className="flex flex-wrap gap-3">
            {(['l', 'a', 'b'] as const).map((k) => (
              <Field key={k} label={`${k === 'l' ? 'L' : k}* under D65`}>
                <Input
                  inputMode="decimal"
                  value={values[k]}
                  onChange={(e) => setValues({ ...values, [k]: e.target.value })}
                  className="w-24"
                />
              </Field>
            ))}
            <Field label="Off by up to, ΔE">
              <Input
                inputMode="decimal"
                value={values.doubt}
                onChange={(e) => setValues({ ...values, doubt: e.target.value })}
                className="w-24"
              />
            </Field>
          </div>
        ) : (
          <div className="flex flex-wrap gap-6">
            <Radios label="How far" name="degree" of={EYE_DEGREES} value={degree} onChange={setDegree} />
            <Radios label="How it aged" name="way" of={EYE_WAYS} value={way} onChange={setWay} />
          </div>
        )}
        <div className="flex items-center gap-4">
          {[fresh?.hex, lab ? hexOfLab(lab) : undefined].map((hex, i) => (
            <span key={i} className="flex items-center gap-2">
              <span
                aria-hidden
                style={hex ? { background: hex } : {}}
                className="border-edge size-10 rounded-xs border"
              />
              {i === 0 ? 'fresh' : 'as noted'}
            </span>
          ))}
          <p role="status" className="flex-1">
            {lab && fresh && spread !== undefined
              ? `${differenceWords(deltaE00(fresh.lab, lab))} from fresh, give or take ${spread}.`
              : 'Type L* from 0 to 100, and a* and b*.'}{' '}
            <b>{says}</b>
          </p>
        </div>
        <div className="flex justify-end gap-2">
          <Button onClick={onClose}>Close</Button>
          <Button look="main" type="submit" disabled={!lab || !choice.lot || spread === undefined}>
            Note it for {choice.qty} {choice.lot ? elementName(choice.lot.element) : ''}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

interface RadiosProps<T extends string> {
  readonly label: string;
  readonly name: string;
  readonly of: readonly T[];
  readonly value: T;
  readonly onChange: (value: T) => void;
}

function Radios<T extends string>({ label, name, of, value, onChange }: RadiosProps<T>) {
  return (
    <fieldset>
      <legend className="text-soft text-[12px]">{label}</legend>
      <span className="flex gap-4">
        {of.map((o) => (
          <label key={o} className="flex min-h-7 items-center gap-2">
            <input
              type="radio"
              name={name}
              className="size-4"
              checked={value === o}
              onChange={() => onChange(o)}
            />
            {o}
          </label>
        ))}
      </span>
    </fieldset>
  );
}
