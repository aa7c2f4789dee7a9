'use client';

import { formatDay } from '@/core/shared/forms';
import { useState } from 'react';
import { deleteLetter, keepLetter, letterState, newLetter } from '@/core/brief';
import { LETTER_SIDES, type Letter } from '@/core/records';
import { Button } from '@/ui/button';
import { Field, Input, Select } from '@/ui/field';
import { count } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { NameField } from '../common/name-field';
import { useToday } from '../common/use-today';
import { letterWords } from '../words/brief';

/** Who was asked: what was written, what came back, and what is next, so that nobody is reminded once too often. */
export function LettersTab() {
  const workbench = useBuild((s) => s.workbench);
  useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const today = useToday();
  const letters = [...workbench.records.letter.values()].filter((l) => l.build === workbench.build);
  const due = letters.filter((l) => letterState(l, today).isDue).length;
  return (
    <div className="h-full overflow-auto p-4" tabIndex={0} role="region" aria-label="Who was asked">
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h2 className="flex-1 text-[16px]">
          {letters.length === 0
            ? 'Nobody has been asked yet.'
            : `${count(letters.length)} asked${due > 0 ? `, ${count(due)} with a next step that is due` : ''}.`}
        </h2>
        <Button look="main" onClick={() => perform(keepLetter(workbench, newLetter(workbench, source())))}>
          Somebody was asked
        </Button>
      </div>
      <ul className="flex max-w-4xl flex-col gap-3">
        {letters.map((l) => (
          <LetterRow key={l.id} letter={l} today={today} />
        ))}
      </ul>
    </div>
  );
}

function LetterRow({ letter, today }: { letter: Letter; today: string }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const [side, setSide] = useState<(typeof LETTER_SIDES)[number]>('asked');
  const [what, setWhat] = useState('');
  const keep = (more: Partial<Letter>) => perform(keepLetter(workbench, { ...letter, ...more }));
  return (
    <li className="border-rule bg-sheet flex flex-col gap-2 rounded-lg border p-3">
      <div className="flex flex-wrap items-end gap-2">
        <NameField label="Who" value={letter.who} onKeep={(who) => keep({ who })} />
        <NameField
          label="About what"
          value={letter.about}
          mayBeEmpty
          onKeep={(about) => keep({ about: about.slice(0, 120) })}
          className="min-w-48 flex-1"
        />
        <Button
          aria-label={`Delete what was written with ${letter.who}`}
          onClick={() => perform(deleteLetter(letter))}
        >
          Delete
        </Button>
      </div>
      <p>{letterWords(letterState(letter, today))}</p>
      <ol>
        {letter.lines.map((l, i) => (
          <li key={i} className="border-rule border-b py-1">
            {formatDay(l.on)}, {l.side}: <bdi>{l.what}</bdi>
          </li>
        ))}
      </ol>
      <div className="flex flex-wrap items-end gap-2">
        <Field label="Next line">
          <Select value={side} onChange={(e) => setSide(e.target.value as typeof side)}>
            {LETTER_SIDES.map((s) => (
              <option key={s}>{s}</option>
            ))}
          </Select>
        </Field>
        <NameField label="What" value={what} mayBeEmpty onKeep={setWhat} className="min-w-48 flex-1" />
        <Button
          disabled={letter.lines.length >= 500}
          onClick={() => {
            keep({ lines: [...letter.lines, { on: today.slice(0, 10), side, what }] });
            setWhat('');
          }}
        >
          Add the line
        </Button>
      </div>
      <div className="flex flex-wrap items-end gap-2">
        <NameField
          label="Next step"
          value={letter.next}
          mayBeEmpty
          onKeep={(next) => keep({ next: next.slice(0, 120) })}
          className="min-w-48 flex-1"
        />
        <Field label="On">
          <Input
            type="date"
            value={letter.nextOn.slice(0, 10)}
            onChange={(e) => keep({ nextOn: e.target.value })}
          />
        </Field>
      </div>
    </li>
  );
}
