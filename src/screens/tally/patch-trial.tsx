'use client';

import { useMemo, useState } from 'react';
import { dryRun, type Patch, type PatchChoices } from '@/core/patch';
import type { ZoneId } from '@/core/shared/ids';
import { keepPattern, patternOfPatch } from '@/core/together';
import { elementName } from '@/core/parts';
import { Button } from '@/ui/button';
import { Field, Select } from '@/ui/field';
import { LotGlyph } from '@/ui/glyph';
import { count, pieces, priced } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { ColourSelect } from '../common/colour-select';
import { list } from '../words/places';
import { pathWords } from '../words/patch';
import { PatchCompared } from './patch-compared';
import { PatchLines } from './patch-lines';

interface PatchTrialProps {
  readonly patch: Patch;
  readonly planned: boolean;
}

/** A patch held against this build: what fits, what does not and what would do instead, what it needs; then it can be planned. */
export function PatchTrial({ patch, planned }: PatchTrialProps) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [choices, setChoices] = useState<PatchChoices>({});
  const [done, setDone] = useState('');
  const run = useMemo(() => {
    void version;
    return dryRun(workbench, patch, choices, source());
  }, [workbench, version, patch, choices, source]);
  const { fits, conflict, 'done already': already, 'left out': out } = run.fitted.count;
  const lines = run.fitted.lines.length;
  const need = run.toGet.reduce((n, t) => n + t.qty, 0);
  const plan = () => {
    perform(run.command);
    setDone(`${count(run.entries.length)} lines were planned on the bench. Undo takes them back.`);
  };
  return (
    <section aria-label={`The patch ${patch.name}`} className="border-rule mt-4 border-t pt-3">
      <h2 className="text-[18px]">
        <bdi>{patch.name}</bdi>
        {patch.author && (
          <span className="text-soft text-[14px]">
            {' '}
            by <bdi>{patch.author}</bdi>
          </span>
        )}
      </h2>
      <OtherSet patch={patch} />
      <p className="my-1 font-semibold" role="status">
        {lines === 0
          ? 'It has no line: nothing would be done.'
          : `${count(fits)} of ${count(lines)} lines fit${already > 0 ? `, ${count(already)} have been done already` : ''}${out > 0 ? `, ${count(out)} are left out` : ''}${conflict > 0 ? `; ▲ ${count(conflict)} ${conflict === 1 ? 'does' : 'do'} not fit` : ''}.`}{' '}
        {need > 0
          ? `${pieces(need)} would have to be got, ${priced(run.cost, run.unpriced)}.`
          : fits > 0 && 'All it needs is at hand.'}
      </p>
      {run.breaks.length > 0 && <p>▲ It would break: {list(run.breaks.map((r) => r.name.toLowerCase()))}.</p>}
      <Unknown run={run} patch={patch} choices={choices} onChoose={setChoices} />
      <div className="my-3 flex flex-wrap items-center gap-3">
        <Button look="main" disabled={fits === 0} onClick={plan}>
          {fits === 0
            ? 'Nothing to plan'
            : fits === 1
              ? 'Plan the one that fits'
              : `Plan the ${count(fits)} that fit`}
        </Button>
        <Button
          onClick={() => {
            perform(keepPattern(workbench, patternOfPatch(patch), source()));
            setDone('It stands below, as what this build is to become.');
          }}
        >
          Keep it as what this build is to become
        </Button>
        <span role="status">{done}</span>
      </div>
      {run.problems.length > 0 && (
        <p>
          ▲ {count(run.problems.length)} {run.problems.length === 1 ? 'line' : 'lines'} can’t be planned: this
          build keeps to its boxes, and they lack the parts.
        </p>
      )}
      <ToGet run={run} reversed={patch.reversed} />
      <PatchLines fitted={run.fitted} patch={patch} choices={choices} onChoose={setChoices} />
      <PatchCompared patch={patch} planned={planned} />
    </section>
  );
}

/** Says so where the patch is of another set. */
function OtherSet({ patch }: { patch: Patch }) {
  const workbench = useBuild((s) => s.workbench);
  const own = [...workbench.records.copy.values()].filter(
    (c) => c.build === workbench.build && c.role === 'base',
  );
  const same = patch.sets.some((s) =>
    own.some((c) => (s.code ? c.setCode === s.code : c.setName === s.name)),
  );
  if (same || patch.sets.length === 0) return null;
  return (
    <p>
      ▲ This patch is of {list(patch.sets.map((s) => s.name))}, and this build is of{' '}
      {own.length > 0 ? list([...new Set(own.map((c) => c.setName))]) : 'no box'}: what fits is by chance.
      Import the set first, or go on line by line.
    </p>
  );
}

interface UnknownProps {
  readonly run: ReturnType<typeof dryRun>;
  readonly patch: Patch;
  readonly choices: PatchChoices;
  readonly onChoose: (choices: PatchChoices) => void;
}

/** Zones and colours that this build does not know: which of its own they are. */
function Unknown({ run, patch, choices, onChoose }: UnknownProps) {
  const workbench = useBuild((s) => s.workbench);
  const zones = run.fitted.zones.filter((z) => z.is === null || choices.zones?.[z.at] !== undefined);
  const colours = [...new Set([...run.fitted.unknownColours, ...Object.keys(choices.colours ?? {})])];
  if (zones.length + colours.length === 0) return null;
  const putZone = (at: number, is: string) => {
    const { [at]: _, ...rest } = choices.zones ?? {};
    onChoose({ ...choices, zones: is ? { ...rest, [at]: is as ZoneId | 'new' } : rest });
  };
  const missing = zones.filter((z) => z.is === null);
  return (
    <div className="my-3 flex flex-wrap items-end gap-3">
      {zones.map((z) => (
        <Field key={z.at} label={`Zone “${pathWords(z.path)}” is`}>
          <Select value={choices.zones?.[z.at] ?? ''} onChange={(e) => putZone(z.at, e.target.value)}>
            <option value="">not said</option>
            <option value="new">a new zone of that name</option>
            {workbench.zones.map((own) => (
              <option key={own.id} value={own.id}>
                {own.name}
              </option>
            ))}
          </Select>
        </Field>
      ))}
      {missing.length > 1 && (
        <Button
          onClick={() =>
            onChoose({
              ...choices,
              zones: { ...choices.zones, ...Object.fromEntries(missing.map((z) => [z.at, 'new' as const])) },
            })
          }
        >
          Make all {count(missing.length)} new
        </Button>
      )}
      {colours.map((c) => (
        <ColourSelect
          key={c}
          label={`For ${patch.colours.find((x) => x.id === c)?.name ?? c} use`}
          value={choices.colours?.[c] ?? null}
          none="not said"
          onChange={(to) => {
            const { [c]: _, ...rest } = choices.colours ?? {};
            onChoose({ ...choices, colours: to ? { ...rest, [c]: to } : rest });
          }}
        />
      ))}
    </div>
  );
}

/** What would have to be got; of a mod that is taken back, where as many have gone. */
function ToGet({ run, reversed }: { run: ReturnType<typeof dryRun>; reversed: boolean }) {
  if (run.toGet.length === 0) return null;
  return (
    <details open={run.toGet.length <= 12} className="mb-3">
      <summary className="min-h-7 font-semibold">
        {reversed ? 'What must be found again' : 'What would have to be got'}
      </summary>
      <ul className="grid gap-x-4 sm:grid-cols-2">
        {run.toGet.map((t) => (
          <li key={t.element} className="flex min-w-0 items-center gap-2">
            <LotGlyph element={t.element} qty={t.qty} size={28} />
            <span className="min-w-0">
              <bdi className="block truncate">
                {count(t.qty)} {elementName(t.element)}
              </bdi>
              {t.went.length > 0 && (
                <span className="text-soft block text-[12px]">
                  {list(
                    t.went.map((w) => `${count(w.qty)} ${w.how === 'missing' ? 'were missing' : `${w.how}`}`),
                  )}
                </span>
              )}
            </span>
          </li>
        ))}
      </ul>
    </details>
  );
}
