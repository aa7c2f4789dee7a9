'use client';

import { ActSelect } from '@/ui/act-select';
import { useState } from 'react';
import {
  addPhase,
  addZone,
  deletePhase,
  deleteZone,
  isZoneInUse,
  nestZone,
  phasesOf,
  renamePhase,
  renameZone,
  zonesAround,
} from '@/core/workbench';
import { modelAccount, type Phase, type Zone } from '@/core/ledger';
import { asId, type ZoneId } from '@/core/shared/ids';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Input } from '@/ui/field';
import { count } from '@/ui/numbers';
import { useBuild } from '../common/build-store';

/** Zones and phases of the build: add, rename, nest, delete. */
export function ZonesDialog({ onClose }: { onClose: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  useBuild((s) => s.version);
  const phases = phasesOf(workbench);
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title="Zones and phases"
      says="A zone is a named area of the model; a phase is a stretch of the work."
    >
      <h3 className="mb-1">Zones</h3>
      <ul className="mb-2 flex flex-col gap-1">
        {workbench.zones.map((z) => (
          <ZoneRow key={z.id} zone={z} />
        ))}
      </ul>
      <AddZone />
      <h3 className="mt-5 mb-1">Phases</h3>
      {phases.length === 0 && (
        <p className="text-soft mb-1">None yet. Name parts of a long job: “First the hull”.</p>
      )}
      <ul className="mb-2 flex flex-col gap-1">
        {phases.map((p) => (
          <PhaseRow key={p.id} phase={p} />
        ))}
      </ul>
      <AddPhase />
    </Dialog>
  );
}

function ZoneRow({ zone }: { zone: Zone }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const isRoot = zone.parent === null;
  const there = workbench.planned.balances.total(modelAccount(zone.id));
  const used = isZoneInUse(workbench, zone);
  return (
    <li className="flex items-center gap-2">
      <NameInput
        label={`Name of zone ${zone.name}`}
        name={zone.name}
        onRename={(name) => perform(renameZone(zone, name))}
      />
      {!isRoot && (
        <ActSelect
          label={`${zone.name} lies in`}
          verb="Put"
          none={`in ${workbench.records.zone.get(zone.parent!)?.name ?? ''}`}
          options={zonesAround(workbench, zone)
            .filter((z) => z.id !== zone.parent)
            .map((z) => ({ value: z.id, words: `in ${z.name}` }))}
          onAct={(id) => perform(nestZone(zone, asId<ZoneId>(id)))}
          className="w-52"
        />
      )}
      <span className="text-faint w-20 text-right text-[12px]">{count(there)} pieces</span>
      {!isRoot && (
        <Button
          disabled={used}
          title={used ? 'Pieces, entries, modifications or what was said of it still name it' : undefined}
          onClick={() => perform(deleteZone(workbench, zone))}
        >
          Delete
        </Button>
      )}
    </li>
  );
}

function AddZone() {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [name, setName] = useState('');
  const add = () => {
    if (!name.trim()) return;
    perform(addZone(workbench, name.trim(), workbench.rootZone.id, source()));
    setName('');
  };
  return <AddLine label="New zone" value={name} onChange={setName} onAdd={add} />;
}

function PhaseRow({ phase }: { phase: Phase }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const inIt = workbench.modifications.filter((m) => m.phase === phase.id).length;
  return (
    <li className="flex items-center gap-2">
      <NameInput
        label={`Name of phase ${phase.name}`}
        name={phase.name}
        onRename={(name) => perform(renamePhase(phase, name))}
      />
      <span className="text-faint text-[12px]">{inIt} modifications</span>
      <Button disabled={inIt > 0} onClick={() => perform(deletePhase(phase))}>
        Delete
      </Button>
    </li>
  );
}

function AddPhase() {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [name, setName] = useState('');
  const add = () => {
    if (!name.trim()) return;
    perform(addPhase(workbench, name.trim(), source()));
    setName('');
  };
  return <AddLine label="New phase" value={name} onChange={setName} onAdd={add} />;
}

function AddLine({
  label,
  value,
  onChange,
  onAdd,
}: {
  label: string;
  value: string;
  onChange: (v: string) => void;
  onAdd: () => void;
}) {
  return (
    <form
      className="flex gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        onAdd();
      }}
    >
      <Input
        aria-label={label}
        placeholder={label}
        value={value}
        maxLength={200}
        onChange={(e) => onChange(e.target.value)}
        className="flex-1"
      />
      <Button type="submit" disabled={!value.trim()}>
        Add
      </Button>
    </form>
  );
}

/** A name that can be changed in place: kept on Enter and on leaving, put back when it is left empty. */
function NameInput({
  label,
  name,
  onRename,
}: {
  label: string;
  name: string;
  onRename: (name: string) => void;
}) {
  const [text, setText] = useState(name);
  const keep = () => {
    const next = text.trim();
    if (next && next !== name) onRename(next);
    else setText(name);
  };
  return (
    <Input
      aria-label={label}
      value={text}
      maxLength={200}
      onChange={(e) => setText(e.target.value)}
      onBlur={keep}
      onKeyDown={(e) => e.key === 'Enter' && keep()}
      className="min-w-0 flex-1"
    />
  );
}
