'use client';

import { useMemo, useState } from 'react';
import { printIntent } from '@/core/call-line';
import { logLine, readLine, type Workbench } from '@/core/bench';
import {
  BLANK_INTENT,
  modelAccount,
  openStandIns,
  WHYS,
  type Books,
  type Intent,
  type LoggedKind,
  type Modification,
} from '@/core/ledger';
import { elementName, inColour, splitElementKey, type ElementKey } from '@/core/parts';
import type { ColourId, ZoneId } from '@/core/shared/ids';
import { readMoney } from '@/core/shared/money';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Field, Input, Select } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { MARK_OF, Mark } from '@/ui/mark';
import { money, signed } from '@/ui/numbers';
import { draftProblemWords, lineProblemWords } from '../words/call-line';
import { sourceWords } from './call-line';
import { useBench } from './bench-store';
import { ColourPicker, PartPicker } from './part-picker';

const ON_A_LOT: readonly [LoggedKind, string][] = [
  ['remove', 'Take off'],
  ['recolour', 'Recolour'],
  ['refresh', 'Refresh'],
  ['swap', 'Swap for another'],
  ['move', 'Move to a zone'],
  ['missing', 'It is missing'],
  ['add', 'Put more on'],
  ['made-good', 'Make good'],
  ['replacement', 'Replace stand-in'],
];
const ON_NEW: readonly [LoggedKind, string][] = [
  ['add', 'Put on'],
  ['stand-in', 'Stand in for another'],
  ['made-good', 'Make good'],
];

interface ActProps {
  readonly element: ElementKey | null;
  readonly onClose: () => void;
}

/** The call line by pointing: take a part, say what happens to it, see what it does, log it. */
export function ActDialog({ element, onClose }: ActProps) {
  const bench = useBench((s) => s.bench);
  const selected = useBench((s) => s.selected);
  const perform = useBench((s) => s.perform);
  const source = useBench((s) => s.source);
  const modification = selected ? bench.records.modification.get(selected) : undefined;
  const waiting = element !== null && openStandIns(bench.planned.entries).some((s) => s.element === element);
  const kinds = element ? ON_A_LOT.filter(([name]) => name !== 'replacement' || waiting) : ON_NEW;
  const [kind, setKind] = useState<LoggedKind>(kinds[0]?.[0] ?? 'add');
  const [part, setPart] = useState<ElementKey | null>(element);
  const [target, setTarget] = useState<ElementKey | null>(null);
  const [options, setOptions] = useState<Options>(() => ({
    ...NO_OPTIONS,
    zone: likelyZone(bench, modification, element),
  }));
  const intent = makeIntent(kind, part, target, options, bench.planned);
  const line = intent
    ? printIntent(intent, { zones: bench.zones, assemblies: [...bench.records.assembly.values()] })
    : '';
  const reading = useMemo(
    () => (line && modification ? readLine(bench, line, { modification, planned: false }) : null),
    [bench, line, modification],
  );
  const needsTarget = ['recolour', 'swap', 'stand-in'].includes(kind);
  const log = () => {
    if (!reading?.ready) return;
    perform(logLine(bench, reading, line, source()));
    onClose();
  };
  if (!modification)
    return (
      <Dialog
        open
        onOpenChange={onClose}
        title="Start a modification first"
        says="Every change is logged in a modification."
      >
        <Button onClick={onClose}>Close</Button>
      </Dialog>
    );
  return (
    <Dialog
      open
      onOpenChange={onClose}
      wide
      title={part ? elementName(part) : 'Put a part on'}
      says={<bdi>in {modification.title}</bdi>}
    >
      <form
        onSubmit={(e) => {
          e.preventDefault();
          log();
        }}
        className="flex flex-col gap-4"
      >
        {part && <Kinds kinds={kinds} kind={kind} onChange={setKind} element={part} />}
        {!part && <PartPicker label="Which part goes on" onPick={setPart} />}
        {part && needsTarget && !target && <TargetPicker kind={kind} part={part} onPick={setTarget} />}
        {part && needsTarget && target && (
          <p className="flex items-center gap-2">
            <Glyph element={target} size={38} /> {kind === 'stand-in' ? 'stands in for' : 'becomes'}{' '}
            <b>{elementName(target)}</b>
            <Button onClick={() => setTarget(null)}>Choose another</Button>
          </p>
        )}
        {part && <OptionFields kind={kind} options={options} onChange={setOptions} />}
        {part && <Preview line={line} reading={reading} />}
        <div className="bg-sheet border-rule sticky -bottom-3 -mx-4 -mb-3 flex justify-end gap-2 border-t px-4 py-2.5">
          <Button onClick={onClose}>Cancel</Button>
          <Button look="main" type="submit" disabled={!reading?.ready}>
            Log it
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

/** The modification's own zone when it has the part, else the zone that has most of it. */
function likelyZone(
  bench: Workbench,
  modification: Modification | undefined,
  element: ElementKey | null,
): ZoneId | '' {
  if (!element || !modification) return '';
  const has = (zone: ZoneId) => bench.built.balances.at(modelAccount(zone), element);
  const near = [...bench.built.nested(modification.zone), bench.rootZone.id];
  if (near.some((z) => has(z) > 0)) return '';
  const [most] = bench.zones.filter((z) => has(z.id) > 0).sort((a, b) => has(b.id) - has(a.id));
  return most?.id ?? '';
}

interface Options {
  readonly qty: number;
  readonly onQty: number;
  readonly zone: ZoneId | '';
  readonly toZone: ZoneId | '';
  readonly source: Intent['source'] | '';
  readonly destination: Intent['destination'] | '';
  readonly why: Intent['why'] | '';
  readonly price: string;
  readonly note: string;
  readonly planned: boolean;
  readonly hidden: boolean;
}
const NO_OPTIONS: Options = {
  qty: 1,
  onQty: 1,
  zone: '',
  toZone: '',
  source: '',
  destination: '',
  why: '',
  price: '',
  note: '',
  planned: false,
  hidden: false,
};

function makeIntent(
  kind: LoggedKind,
  part: ElementKey | null,
  target: ElementKey | null,
  o: Options,
  books: Books,
): Intent | null {
  if (!part) return null;
  const leaves = !['add', 'made-good', 'stand-in'].includes(kind);
  const joins = !['remove', 'move', 'missing'].includes(kind);
  const awaited =
    kind === 'replacement'
      ? openStandIns(books.entries).find((s) => s.element === part)?.standsFor
      : undefined;
  const onElement = kind === 'recolour' || kind === 'swap' ? target : kind === 'replacement' ? awaited : part;
  if (joins && !onElement) return null;
  if (kind === 'stand-in' && !target) return null;
  if (kind === 'move' && !o.toZone) return null;
  const price = o.price ? readMoney(o.price) : undefined;
  return {
    ...BLANK_INTENT,
    kind,
    off: leaves ? [{ element: part, qty: o.qty }] : [],
    on: joins && onElement ? [{ element: onElement, qty: kind === 'swap' ? o.onQty : o.qty }] : [],
    zone: o.zone || null,
    toZone: kind === 'move' ? o.toZone || null : null,
    source: joins ? o.source || null : null,
    destination: leaves && !['move', 'missing'].includes(kind) ? o.destination || null : null,
    price: joins ? (price ?? null) : null,
    why: o.why || null,
    note: o.note.trim(),
    planned: o.planned,
    hidden: o.hidden,
    standsFor: kind === 'stand-in' ? target : (awaited ?? null),
  };
}

function Kinds({
  kinds,
  kind,
  onChange,
  element,
}: {
  kinds: readonly (readonly [LoggedKind, string])[];
  kind: LoggedKind;
  onChange: (kind: LoggedKind) => void;
  element: ElementKey;
}) {
  return (
    <fieldset className="flex flex-wrap items-center gap-2">
      <legend className="sr-only">What happens to it</legend>
      <span className="bg-mat mr-1 rounded-md p-1">
        <Glyph element={element} size={48} />
      </span>
      {kinds.map(([name, words]) => (
        <label
          key={name}
          className="has-checked:border-ink has-checked:bg-ink has-checked:text-sheet border-edge has-focus-visible:outline-ink flex min-h-8 cursor-pointer items-center gap-1.5 rounded-md border px-2 has-focus-visible:outline-2"
        >
          <input
            type="radio"
            name="kind"
            className="sr-only"
            checked={kind === name}
            onChange={() => onChange(name)}
          />
          <Mark mark={MARK_OF[name]} />
          {words}
        </label>
      ))}
    </fieldset>
  );
}

function TargetPicker({
  kind,
  part,
  onPick,
}: {
  kind: LoggedKind;
  part: ElementKey;
  onPick: (element: ElementKey) => void;
}) {
  const { colour } = splitElementKey(part);
  if (kind === 'swap') return <PartPicker label="What takes its place" onPick={onPick} />;
  return (
    <ColourPicker
      label={kind === 'stand-in' ? 'Which colour belongs there' : 'Which colour it is to be'}
      element={part}
      without={colour}
      onPick={(c: ColourId) => onPick(inColour(part, c))}
    />
  );
}

function OptionFields({
  kind,
  options: o,
  onChange,
}: {
  kind: LoggedKind;
  options: Options;
  onChange: (o: Options) => void;
}) {
  const bench = useBench((s) => s.bench);
  const set = (change: Partial<Options>) => onChange({ ...o, ...change });
  const joins = !['remove', 'move', 'missing'].includes(kind);
  const leaves = !['add', 'made-good', 'stand-in', 'move', 'missing'].includes(kind);
  return (
    <div className="flex flex-wrap items-end gap-3">
      <Field label={kind === 'swap' ? 'How many off' : 'How many'}>
        <Input
          type="number"
          min={1}
          max={100000}
          value={o.qty}
          onChange={(e) => set({ qty: Math.max(1, Math.floor(Number(e.target.value)) || 1) })}
          className="w-20"
        />
      </Field>
      {kind === 'swap' && (
        <Field label="How many on">
          <Input
            type="number"
            min={1}
            max={100000}
            value={o.onQty}
            onChange={(e) => set({ onQty: Math.max(1, Math.floor(Number(e.target.value)) || 1) })}
            className="w-20"
          />
        </Field>
      )}
      <Field label={kind === 'move' ? 'From zone' : 'Zone'}>
        <Select value={o.zone} onChange={(e) => set({ zone: e.target.value as ZoneId })} className="max-w-44">
          <option value="">the modification’s</option>
          {bench.zones.map((z) => (
            <option key={z.id} value={z.id}>
              {z.name}
            </option>
          ))}
        </Select>
      </Field>
      {kind === 'move' && (
        <Field label="To zone">
          <Select
            value={o.toZone}
            onChange={(e) => set({ toZone: e.target.value as ZoneId })}
            className="max-w-44"
          >
            <option value="">choose…</option>
            {bench.zones.map((z) => (
              <option key={z.id} value={z.id}>
                {z.name}
              </option>
            ))}
          </Select>
        </Field>
      )}
      {joins && (
        <Field label="From">
          <Select
            value={o.source ?? ''}
            onChange={(e) => set({ source: e.target.value as Options['source'] })}
          >
            <option value="">spares, stores, then buy</option>
            {['spares', 'stores', 'donor', 'order', 'outside'].map((s) => (
              <option key={s}>{s}</option>
            ))}
          </Select>
        </Field>
      )}
      {leaves && (
        <Field label="The old ones go to">
          <Select
            value={o.destination ?? ''}
            onChange={(e) => set({ destination: e.target.value as Options['destination'] })}
          >
            <option value="">spares</option>
            <option>stores</option>
            <option>bin</option>
          </Select>
        </Field>
      )}
      <Field label="Why">
        <Select value={o.why ?? ''} onChange={(e) => set({ why: e.target.value as Options['why'] })}>
          <option value="">not said</option>
          {WHYS.map((w) => (
            <option key={w}>{w}</option>
          ))}
        </Select>
      </Field>
      {joins && (
        <Field label="Price each">
          <Input
            value={o.price}
            placeholder="book"
            onChange={(e) => set({ price: e.target.value })}
            className="w-20"
          />
        </Field>
      )}
      <Field label="Note" className="min-w-40 flex-1">
        <Input value={o.note} maxLength={1000} onChange={(e) => set({ note: e.target.value })} />
      </Field>
      <label className="flex min-h-7 items-center gap-1.5">
        <input
          type="checkbox"
          className="accent-ink size-4"
          checked={o.planned}
          onChange={(e) => set({ planned: e.target.checked })}
        />{' '}
        planned
      </label>
      <label className="flex min-h-7 items-center gap-1.5">
        <input
          type="checkbox"
          className="accent-ink size-4"
          checked={o.hidden}
          onChange={(e) => set({ hidden: e.target.checked })}
        />{' '}
        hidden
      </label>
    </div>
  );
}

function Preview({ line, reading }: { line: string; reading: ReturnType<typeof readLine> | null }) {
  const records = useBench((s) => s.bench.records);
  const problem = reading?.problems[0];
  const trouble = reading?.clauses.find((c) => c.problem)?.problem;
  const entry = reading?.clauses[0]?.entry;
  return (
    <div aria-live="polite" className="border-rule bg-paper rounded-md border px-3 py-2">
      <code className="block font-mono text-[13px]">{line || 'Choose what it becomes.'}</code>
      {problem && <p role="alert">▲ {lineProblemWords(problem)}</p>}
      {trouble && <p role="alert">▲ {draftProblemWords(trouble, records)}</p>}
      {entry && reading?.effect && (
        <p className="text-soft">
          {sourceWords(entry)} · net {signed(reading.effect.alone.net)} ·{' '}
          {money(reading.effect.alone.outOfPocket)} · then {reading.effect.planned.figures.onModel} on the
          model as planned
        </p>
      )}
    </div>
  );
}
