'use client';

import { useState } from 'react';
import { keepFinding } from '@/core/inspection';
import { type Finding, type FindingKind } from '@/core/ledger';
import { elementName, elementSearch, type ElementKey } from '@/core/parts';
import { asId, type ZoneId } from '@/core/shared/ids';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Field, Input, Select } from '@/ui/field';
import { FileButton } from '@/ui/file-button';
import { LotGlyph } from '@/ui/glyph';
import { useBuild } from './build-store';
import { sendPhoto } from './send-photo';
import { FINDING_WORDS, photoFaultWords } from '../words/inspection';

/** Writes something found down, or changes it. */
export function FindingDialog({
  finding,
  kinds,
  onClose,
}: {
  finding?: Finding | undefined;
  kinds: readonly FindingKind[];
  onClose: () => void;
}) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [kind, setKind] = useState<FindingKind>(finding?.kind ?? kinds[0] ?? 'missing');
  const [zone, setZone] = useState<ZoneId>(finding?.zone ?? workbench.zones[1]?.id ?? workbench.rootZone.id);
  const [note, setNote] = useState(finding?.note ?? '');
  const [matters, setMatters] = useState(finding?.matters ?? 2);
  const [lots, setLots] = useState(finding?.lots ?? []);
  const [to, setTo] = useState<ElementKey | null>(finding?.to ?? null);
  const [photo, setPhoto] = useState(finding?.photo ?? null);
  const [says, setSays] = useState('');
  const mustStay = kind === 'keep' || kind === 'function';
  const keep = () => {
    const fields = { kind, zone, note: note.trim(), matters, lots, to, photo };
    perform(keepFinding(workbench, finding ?? null, fields, source()));
    onClose();
  };
  const choosePhoto = async (file: File) => {
    setSays('Keeping the photo…');
    const done = await sendPhoto(workbench.build, file);
    setSays(done.ok ? '' : `▲ ${photoFaultWords(done.reason)}`);
    if (done.ok) setPhoto(done.value.id);
  };
  return (
    <Dialog open onOpenChange={onClose} title={finding ? 'Change what was found' : 'Something found'}>
      <form
        className="grid grid-cols-2 gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          keep();
        }}
      >
        <Field label="What was found" className="col-span-2">
          <Input autoFocus required maxLength={400} value={note} onChange={(e) => setNote(e.target.value)} />
        </Field>
        <Field label="Kind">
          <Select value={kind} onChange={(e) => setKind(e.target.value as FindingKind)}>
            {kinds.map((k) => (
              <option key={k} value={k}>
                {FINDING_WORDS[k]}
              </option>
            ))}
          </Select>
        </Field>
        <Field label="Zone">
          <Select value={zone} onChange={(e) => setZone(asId<ZoneId>(e.target.value))}>
            {workbench.zones.map((z) => (
              <option key={z.id} value={z.id}>
                {z.name}
              </option>
            ))}
          </Select>
        </Field>
        {!mustStay && (
          <Field label="How much it matters">
            <Select value={matters} onChange={(e) => setMatters(Number(e.target.value))}>
              <option value={1}>hardly</option>
              <option value={2}>somewhat</option>
              <option value={3}>very much</option>
            </Select>
          </Field>
        )}
        <div className="flex flex-col gap-1">
          <span className="text-soft text-[12px]">Photo: JPEG, PNG or WebP</span>
          <FileButton
            words={photo ? 'Another photo…' : 'Choose a photo…'}
            label="Photo: JPEG, PNG or WebP"
            accept="image/jpeg,image/png,image/webp"
            onFile={(f) => void choosePhoto(f)}
          />
        </div>
        {photo && (
          <p className="col-span-2 flex items-center gap-3">
            {/* Kept photos are served by this machine, at the size they are kept in. */}
            {/* eslint-disable-next-line @next/next/no-img-element */}
            <img src={`/api/photos/${photo}`} alt="The photo" className="h-24 rounded-sm" />
            <Button onClick={() => setPhoto(null)}>Leave the photo out</Button>
          </p>
        )}
        <>
          <ElementPicker
            label={mustStay ? 'Its parts: a line that touches one says so' : 'Parts it is about'}
            withQty
            onPick={(element, qty) =>
              setLots([...lots.filter((l) => l.element !== element), { element, qty }])
            }
          />
          <div className="col-span-2 flex flex-wrap gap-2">
            {lots.map((l) => (
              <button
                key={l.element}
                type="button"
                className="border-edge flex items-center gap-1 rounded-md border px-2"
                aria-label={`Leave ${elementName(l.element)} out`}
                onClick={() => setLots(lots.filter((x) => x.element !== l.element))}
              >
                <LotGlyph element={l.element} qty={l.qty} /> ×
              </button>
            ))}
          </div>
        </>
        {(kind === 'mismatch' || kind === 'weak') && (
          <>
            <ElementPicker label="What belongs there" onPick={(element) => setTo(element)} />
            {to && <p className="col-span-2">To be {elementName(to)}.</p>}
          </>
        )}
        <p role="status" className="col-span-2 min-h-5">
          {says}
        </p>
        <div className="col-span-2 flex justify-end gap-2">
          <Button onClick={onClose}>Cancel</Button>
          <Button look="main" type="submit" disabled={!note.trim()}>
            Keep it
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

/** Finds an element by typing, among all that this build and its own parts know. */
function ElementPicker({
  label,
  withQty,
  onPick,
}: {
  label: string;
  withQty?: boolean;
  onPick: (element: ElementKey, qty: number) => void;
}) {
  const workbench = useBuild((s) => s.workbench);
  const [text, setText] = useState('');
  const [, qtyText, rest = ''] = /^(\d+ )?(.*)$/.exec(text.trimStart().replace(/\s/g, ' ')) ?? [];
  const qty = Math.max(1, Number(qtyText ?? 1));
  const fits = elementSearch(rest);
  const found = rest.trim().length > 1 ? [...workbench.elements].filter(fits).slice(0, 6) : [];
  return (
    <div className="col-span-2">
      <Field label={withQty ? `${label}: a number and a name, such as 4 brick 1x2 ash` : label}>
        <Input
          value={text}
          onChange={(e) => setText(e.target.value)}
          onKeyDown={(e) => {
            if (e.key !== 'Enter' || !found[0]) return;
            e.preventDefault();
            onPick(found[0], qty);
            setText('');
          }}
        />
      </Field>
      <ul className="mt-1 flex flex-wrap gap-1">
        {found.map((element) => (
          <li key={element}>
            <button
              type="button"
              className="border-edge hover:border-ink flex min-h-8 items-center gap-1 rounded-md border px-2"
              onClick={() => {
                onPick(element, qty);
                setText('');
              }}
            >
              <LotGlyph element={element} qty={qty} size={26} /> {elementName(element)}
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
