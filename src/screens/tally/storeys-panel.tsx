'use client';

import { ArrowDown, ArrowUp } from 'lucide-react';
import { useState } from 'react';
import { STOREY_RULES, STOREY_STATES, type Storey } from '@/core/records';
import {
  addStorey,
  changeStorey,
  deleteStorey,
  shiftStorey,
  stackFaults,
  storeysOf,
  type StackFault,
} from '@/core/together';
import type { ZoneId } from '@/core/shared/ids';
import { Button } from '@/ui/button';
import { Field, Input, Select } from '@/ui/field';
import { count } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { moveFaultWords, stackFaultWords } from '../words/together';
import { BuildPicker } from './build-picker';

/** The storeys of a build with their order and rules, a plan of extensions, and storeys that go to another build. */
export function StoreysPanel() {
  const workbench = useBuild((s) => s.workbench);
  useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const storeys = storeysOf(workbench);
  const faults = stackFaults(storeys);
  const [name, setName] = useState('');
  return (
    <section aria-label="Storeys" className="border-rule border-t pt-4">
      <h2 className="text-[18px]">
        {storeys.length === 0
          ? 'Storeys, and extensions that are planned'
          : `${count(storeys.length)} ${storeys.length === 1 ? 'storey' : 'storeys'}${faults.length > 0 ? `, ▲ ${count(faults.length)} not in order` : ', in order'}`}
      </h2>
      <form
        className="my-2 flex flex-wrap items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          if (!name.trim()) return;
          perform(addStorey(workbench, { name: name.trim() }, source()));
          setName('');
        }}
      >
        <Field label="A storey or extension">
          <Input
            value={name}
            maxLength={200}
            placeholder="roof garden"
            onChange={(e) => setName(e.target.value)}
          />
        </Field>
        <Button type="submit" disabled={!name.trim() || storeys.length >= 200}>
          Note it
        </Button>
      </form>
      <ol className="mb-3 flex flex-col-reverse">
        {storeys.map((s) => (
          <StoreyRow key={s.id} storey={s} fault={faults.find((f) => f.storey.id === s.id)} />
        ))}
      </ol>
      <MoveStorey />
    </section>
  );
}

function StoreyRow({ storey, fault }: { storey: Storey; fault: StackFault | undefined }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const change = (to: Partial<Storey>) => perform(changeStorey(storey, to));
  const shift = (by: -1 | 1) => shiftStorey(workbench, storey, by);
  return (
    <li className="border-rule flex flex-wrap items-end gap-3 border-b py-1.5">
      <span className="min-w-40 flex-1">
        <b>
          <bdi>{storey.name}</bdi>
        </b>
        {fault && <span className="block text-[12px]">{stackFaultWords(fault)}</span>}
      </span>
      <Field label="Zone">
        <Select
          value={storey.zone ?? ''}
          onChange={(e) => change({ zone: (e.target.value || null) as ZoneId | null })}
        >
          <option value="">none yet</option>
          {workbench.zones.map((z) => (
            <option key={z.id} value={z.id}>
              {z.name}
            </option>
          ))}
        </Select>
      </Field>
      <Field label="It may stand">
        <Select value={storey.rule} onChange={(e) => change({ rule: e.target.value as Storey['rule'] })}>
          {STOREY_RULES.map((r) => (
            <option key={r}>{r}</option>
          ))}
        </Select>
      </Field>
      <Field label="It is">
        <Select value={storey.state} onChange={(e) => change({ state: e.target.value as Storey['state'] })}>
          {STOREY_STATES.map((r) => (
            <option key={r} value={r}>
              {r === 'stands' ? 'standing' : r === 'idea' ? 'an idea' : r}
            </option>
          ))}
        </Select>
      </Field>
      {([1, -1] as const).map((by) => (
        <Button
          key={by}
          aria-label={`${storey.name} ${by > 0 ? 'up' : 'down'}`}
          disabled={!shift(by)}
          onClick={() => {
            const command = shift(by);
            if (command) perform(command);
          }}
        >
          {by > 0 ? <ArrowUp size={13} aria-hidden /> : <ArrowDown size={13} aria-hidden />}
        </Button>
      ))}
      <Button onClick={() => perform(deleteStorey(storey))}>Delete</Button>
    </li>
  );
}

/** Moves what stands in a zone to another build's model; the whole model joins the two. */
function MoveStorey() {
  const workbench = useBuild((s) => s.workbench);
  const [zone, setZone] = useState<string>(workbench.rootZone.id);
  const [to, setTo] = useState('');
  const [says, setSays] = useState('');
  const move = async () => {
    setSays('Moving it…');
    try {
      const response = await fetch(`/api/builds/${workbench.build}/move-storey`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ zone, to, request: crypto.randomUUID() }),
      });
      const said = (await response.json()) as { ok: boolean; reason?: unknown };
      setSays(
        said.ok
          ? 'It stands there now. Undo brings it back, here or there.'
          : `▲ ${moveFaultWords(said.reason)}`,
      );
    } catch {
      setSays('▲ The server cannot be reached. Nothing was moved.');
    }
  };
  return (
    <div className="flex flex-wrap items-end gap-3">
      <Field label="Move what stands in">
        <Select value={zone} onChange={(e) => setZone(e.target.value)}>
          {workbench.zones.map((z) => (
            <option key={z.id} value={z.id}>
              {z.parent === null ? 'the whole model' : z.name}
            </option>
          ))}
        </Select>
      </Field>
      <BuildPicker label="to the build" value={to} onChoose={setTo} />
      <Button disabled={!to} onClick={() => void move()}>
        Move it
      </Button>
      <p role="status" className="w-full">
        {says}
      </p>
    </div>
  );
}
