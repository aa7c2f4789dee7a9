'use client';

import { useMemo, useState } from 'react';
import { printIntent } from '@/core/log-line';
import { isFigure, logLine, readLine } from '@/core/workbench';
import { openPlaceholders, type LoggedKind } from '@/core/ledger';
import { elementName, inColour, splitElementKey, type ElementKey } from '@/core/parts';
import type { ColourId } from '@/core/shared/ids';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Glyph } from '@/ui/glyph';
import { MARK_OF, Mark } from '@/ui/mark';
import { signed, priced } from '@/ui/numbers';
import { draftProblemWords, lineProblemWords } from '../words/log-line';
import { sourceWords } from '../words/entry-words';
import { likelyZone, makeIntent, NO_OPTIONS, type Options } from './act-intent';
import { OpenFigure } from './open-figure';
import { OptionFields } from './act-options';
import type { PickedFrom } from './tray-places';
import { useBuild } from '../common/build-store';
import { ColourPicker, PartPicker } from './part-picker';

const ON_A_LOT: readonly [LoggedKind, string][] = [
  ['remove', 'Take off'],
  ['recolour', 'Recolour'],
  ['renew', 'Renew'],
  ['swap', 'Swap for another'],
  ['move', 'Move to a zone'],
  ['missing', 'It is missing'],
  ['add', 'Put more on'],
  ['replace-missing', 'Replace what was missing'],
  ['replacement', 'Replace placeholder'],
];
const ON_NEW: readonly [LoggedKind, string][] = [
  ['add', 'Put on'],
  ['placeholder', 'Placeholder for another'],
  ['replace-missing', 'Replace what was missing'],
];

interface ActProps {
  readonly element: ElementKey | null;
  /** Where it was taken up, if not on the model. */
  readonly from?: PickedFrom | undefined;
  readonly onClose: () => void;
}

/** The log line by pointing: take a part, say what happens to it, see what it does, log it. */
export function ActDialog({ element, from, onClose }: ActProps) {
  const workbench = useBuild((s) => s.workbench);
  const selected = useBuild((s) => s.selected);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const modification = selected ? workbench.records.modification.get(selected) : undefined;
  const waiting =
    element !== null && openPlaceholders(workbench.planned.entries).some((s) => s.element === element);
  const kinds = element ? ON_A_LOT.filter(([name]) => name !== 'replacement' || waiting) : ON_NEW;
  const [kind, setKind] = useState<LoggedKind>(from ? 'add' : (kinds[0]?.[0] ?? 'add'));
  const [part, setPart] = useState<ElementKey | null>(element);
  const [target, setTarget] = useState<ElementKey | null>(null);
  const [options, setOptions] = useState<Options>(() => ({
    ...NO_OPTIONS,
    ...(from ? { source: from.source, boxes: from.boxes } : {}),
    zone: from ? '' : likelyZone(workbench, modification, element),
  }));
  const intent = makeIntent(kind, part, target, options, workbench.planned);
  const line = intent ? printIntent(intent, workbench.printContext) : '';
  const reading = useMemo(
    () => (line && modification ? readLine(workbench, line, { modification, planned: false }) : null),
    [workbench, line, modification],
  );
  const needsTarget = ['recolour', 'swap', 'placeholder'].includes(kind);
  const log = () => {
    if (!reading?.ready) return;
    perform(logLine(workbench, reading, line, source()));
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
        {part && isFigure(part) && <OpenFigure element={part} onClose={onClose} />}
        {part && <Kinds kinds={kinds} kind={kind} onChange={setKind} element={part} />}
        {!part && <PartPicker label="Which part goes on" onPick={setPart} />}
        {part && needsTarget && !target && <TargetPicker kind={kind} part={part} onPick={setTarget} />}
        {part && needsTarget && target && (
          <p className="flex items-center gap-2">
            <Glyph element={target} size={38} /> {kind === 'placeholder' ? 'is a placeholder for' : 'becomes'}{' '}
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
      <span className="bg-background mr-1 rounded-md p-1">
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
      label={kind === 'placeholder' ? 'Which colour belongs there' : 'Which colour it is to be'}
      element={part}
      without={colour}
      onPick={(c: ColourId) => onPick(inColour(part, c))}
    />
  );
}

function Preview({ line, reading }: { line: string; reading: ReturnType<typeof readLine> | null }) {
  const records = useBuild((s) => s.workbench.records);
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
          {sourceWords(entry, records)} · net {signed(reading.effect.alone.net)} ·{' '}
          {priced(reading.effect.alone.outOfPocket, reading.effect.alone.boughtUnpriced)} · then{' '}
          {reading.effect.planned.figures.onModel} on the model as planned
        </p>
      )}
    </div>
  );
}
