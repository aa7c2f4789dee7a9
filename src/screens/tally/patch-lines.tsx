'use client';

import {
  LINE_CHOICES,
  type Fitted,
  type FittedLine,
  type LineChoice,
  type Patch,
  type PatchChoices,
} from '@/core/patch';
import { Check, Field, Select } from '@/ui/field';
import { LotGlyph } from '@/ui/glyph';
import { count } from '@/ui/numbers';
import { useState } from 'react';
import { useBuild } from '../common/build-store';
import { CHOICE_WORDS, conflictWords, pathWords, patchLineWords } from '../words/patch';

interface PatchLinesProps {
  readonly fitted: Fitted;
  readonly patch: Patch;
  readonly choices: PatchChoices;
  readonly onChoose: (choices: PatchChoices) => void;
}

const MOST = 100;

/** The lines of a patch, those that do not fit first, each with its ways out. */
export function PatchLines({ fitted, patch, choices, onChoose }: PatchLinesProps) {
  const [all, setAll] = useState(false);
  const asks = (l: FittedLine) => l.state === 'conflict' || choices.lines?.[l.no] !== undefined;
  const shown = all ? fitted.lines : fitted.lines.filter(asks);
  const put = (no: number, choice: string) => {
    const { [no]: _, ...rest } = choices.lines ?? {};
    onChoose({ ...choices, lines: choice ? { ...rest, [no]: choice as LineChoice } : rest });
  };
  if (fitted.lines.length === 0) return null;
  return (
    <section aria-label="Its lines" className="mb-3">
      <div className="flex flex-wrap items-center gap-3">
        <h3 className="text-[16px]">{all ? 'All its lines' : 'Lines that do not fit'}</h3>
        <Check words="show all" on={all} onChange={setAll} />
      </div>
      {shown.length === 0 && <p className="text-soft">None.</p>}
      <ul>
        {shown.slice(0, MOST).map((l) => (
          <Line
            key={l.no}
            line={l}
            patch={patch}
            choice={choices.lines?.[l.no]}
            onChoose={(c) => put(l.no, c)}
          />
        ))}
      </ul>
      {shown.length > MOST && <p className="text-soft">and {count(shown.length - MOST)} more</p>}
    </section>
  );
}

const STATE_WORDS: Readonly<Record<FittedLine['state'], string>> = {
  fits: '✓ fits',
  'done already': 'done already',
  'left out': 'left out',
  conflict: '▲ does not fit',
};

interface LineProps {
  readonly line: FittedLine;
  readonly patch: Patch;
  readonly choice: LineChoice | undefined;
  readonly onChoose: (choice: string) => void;
}

function Line({ line, patch, choice, onChoose }: LineProps) {
  const zones = useBuild((s) => s.workbench.records.zone);
  const zoneName = (id: string) => zones.get(id)?.name ?? '';
  const what = patchLineWords(line);
  const offers = LINE_CHOICES.filter((c) => c !== 'use what is there' || hasInstead(line) || c === choice);
  return (
    <li className="border-rule flex min-h-11 flex-wrap items-center gap-3 border-b py-1">
      <span className="flex gap-1">
        {line.line.off.slice(0, 3).map((p) => (
          <LotGlyph key={`o${p.element}`} element={p.element} qty={p.qty} mark="out" size={26} />
        ))}
        {line.line.on.slice(0, 3).map((p) => (
          <LotGlyph key={p.element} element={p.element} qty={p.qty} size={26} />
        ))}
      </span>
      <span className="min-w-48 flex-1">
        {what}
        <span className="text-soft block text-[12px]">
          {pathWords(patch.zones[line.line.zone] ?? [])}: {STATE_WORDS[line.state]}
          {line.conflict && `: ${conflictWords(line.conflict, zoneName)}`}
        </span>
      </span>
      {line.state !== 'done already' && (
        <Field label={`What of line ${line.no + 1}`}>
          <Select value={choice ?? ''} onChange={(e) => onChoose(e.target.value)}>
            <option value="">{line.state === 'conflict' ? 'not said' : 'as it is'}</option>
            {offers.map((c) => (
              <option key={c} value={c}>
                {CHOICE_WORDS[c]}
              </option>
            ))}
          </Select>
        </Field>
      )}
    </li>
  );
}

const hasInstead = ({ conflict: c }: FittedLine): boolean => !!c && 'instead' in c && c.instead.length > 0;
