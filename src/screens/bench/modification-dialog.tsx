'use client';

import { useRef, useState } from 'react';
import { keepModification, phasesOf } from '@/core/workbench';
import type { Modification } from '@/core/ledger';
import { asId, type PhaseId, type ZoneId } from '@/core/shared/ids';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Field, Input, Select } from '@/ui/field';
import { modNo } from '@/ui/numbers';
import { useBuild } from '../common/build-store';

/** Title, zone, phase, why and note of a modification, new or old. New zones and phases can be named on the spot. */
export function ModificationDialog({
  modification,
  onClose,
}: {
  modification: Modification | null;
  onClose: () => void;
}) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const set = useBuild((s) => s.set);
  const source = useBuild((s) => s.source);
  const zoneNow = useBuild((s) => s.zone);
  const [title, setTitle] = useState(modification?.title ?? '');
  const [zone, setZone] = useState<string>(modification?.zone ?? zoneNow ?? workbench.rootZone.id);
  const [phase, setPhase] = useState<string>(modification?.phase ?? '');
  const [newZone, setNewZone] = useState('');
  const [newPhase, setNewPhase] = useState('');
  const [why, setWhy] = useState(modification?.why ?? '');
  const [note, setNote] = useState(modification?.note ?? '');
  const phases = phasesOf(workbench);
  const begun = useRef(false);
  const save = () => {
    if (!title.trim()) return;
    const fields = {
      title: title.trim(),
      zone: zone === 'new' ? { name: newZone.trim() } : asId<ZoneId>(zone),
      phase: phase === 'new' ? { name: newPhase.trim() } : phase ? asId<PhaseId>(phase) : null,
      why: why.trim(),
      note: note.trim(),
    };
    const command = keepModification(workbench, modification, fields, source());
    perform(command);
    begun.current = !modification;
    if (!modification) set({ selected: command.id });
    onClose();
  };
  const ready = title.trim() && (zone !== 'new' || newZone.trim()) && (phase !== 'new' || newPhase.trim());
  return (
    <Dialog
      open
      onOpenChange={onClose}
      then={() => (begun.current ? document.getElementById('log-line') : null)}
      title={modification ? `${modNo(modification.no)} ${modification.title}` : 'New modification'}
    >
      <form
        className="grid grid-cols-2 gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          save();
        }}
      >
        <Field label="Title" className="col-span-2">
          <Input
            autoFocus
            required
            maxLength={200}
            value={title}
            onChange={(e) => setTitle(e.target.value)}
            placeholder="Even out the stonework"
          />
        </Field>
        <Field label="Zone">
          <Select value={zone} onChange={(e) => setZone(e.target.value)}>
            {workbench.zones.map((z) => (
              <option key={z.id} value={z.id}>
                {z.name}
              </option>
            ))}
            <option value="new">a new zone…</option>
          </Select>
        </Field>
        <Field label="Phase">
          <Select value={phase} onChange={(e) => setPhase(e.target.value)}>
            <option value="">none</option>
            {phases.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
            <option value="new">a new phase…</option>
          </Select>
        </Field>
        {zone === 'new' && (
          <Field label="Name of the new zone" className="col-span-2">
            <Input required maxLength={200} value={newZone} onChange={(e) => setNewZone(e.target.value)} />
          </Field>
        )}
        {phase === 'new' && (
          <Field label="Name of the new phase" className="col-span-2">
            <Input required maxLength={200} value={newPhase} onChange={(e) => setNewPhase(e.target.value)} />
          </Field>
        )}
        <Field label="Why" className="col-span-2">
          <Input
            maxLength={1000}
            value={why}
            onChange={(e) => setWhy(e.target.value)}
            placeholder="Two greys in one wall"
          />
        </Field>
        <Field label="Note" className="col-span-2">
          <textarea
            maxLength={4000}
            rows={3}
            value={note}
            onChange={(e) => setNote(e.target.value)}
            className="border-edge bg-sheet rounded-md border px-2 py-1"
          />
        </Field>
        <div className="col-span-2 flex justify-end gap-2">
          <Button onClick={onClose}>Cancel</Button>
          <Button look="main" type="submit" disabled={!ready}>
            {modification ? 'Keep' : 'Start it'}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
