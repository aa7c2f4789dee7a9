'use client';

import { useState } from 'react';
import type { Pattern } from '@/core/records';
import {
  betweenRevisions,
  deletePattern,
  forgetPatternFault,
  keepPattern,
  notePatternFault,
  patternNow,
  patternOfList,
  patternsOf,
} from '@/core/together';
import { elementKey, elementName } from '@/core/parts';
import { readTypedLot } from '@/core/stock';
import { Button } from '@/ui/button';
import { Field, Input } from '@/ui/field';
import { LotGlyph } from '@/ui/glyph';
import { count, pieces } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { typedLotWords } from '../words/typed-lot';

/** What others gave and this build is to become: what of it is there, what lacks, zone by zone, and what is wrong in it. */
export function PatternsPanel() {
  const workbench = useBuild((s) => s.workbench);
  useBuild((s) => s.version);
  const patterns = patternsOf(workbench);
  return (
    <section aria-label="To become" className="border-rule mt-6 border-t pt-4">
      <h2 className="mb-1 text-[16px]">
        {patterns.length === 0
          ? 'A list of another builder’s can be what this build is to become'
          : 'What this build is to become'}
      </h2>
      {patterns.map((p) => (
        <OnePattern
          key={p.id}
          pattern={p}
          before={patterns.find((o) => o.name === p.name && o.revision === p.revision - 1)}
        />
      ))}
      <TypedList />
    </section>
  );
}

function OnePattern({ pattern, before }: { pattern: Pattern; before: Pattern | undefined }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const zones = patternNow(workbench, pattern);
  const wants = zones.reduce((n, z) => n + z.wants, 0);
  const there = zones.reduce((n, z) => n + z.there, 0);
  const atHand = zones.reduce((n, z) => n + z.lacks.reduce((m, l) => m + l.atHand, 0), 0);
  const changes = before ? betweenRevisions(before, pattern) : [];
  return (
    <details className="border-rule border-b py-2">
      <summary className="min-h-7">
        <b>
          <bdi>{pattern.name}</bdi>
        </b>
        {pattern.author && (
          <>
            {' '}
            by <bdi>{pattern.author}</bdi>
          </>
        )}
        , revision {count(pattern.revision)}: {count(there)} of {pieces(wants)} there
        {wants > there && `, ${count(wants - there)} lack, ${count(atHand)} of them at hand`}
      </summary>
      {changes.length > 0 && (
        <p className="text-soft">
          Since revision {count(pattern.revision - 1)}:{' '}
          {changes
            .slice(0, 8)
            .map((c) => `${c.qty > 0 ? '+' : '−'}${count(Math.abs(c.qty))} ${elementName(c.element)}`)
            .join(', ')}
          {changes.length > 8 && ` and ${count(changes.length - 8)} kinds more`}.
        </p>
      )}
      <ol className="my-2">
        {zones.map((z, i) => (
          <li key={z.name} className="py-1">
            {count(i + 1)}. <bdi>{z.name || 'the whole model'}</bdi>: {count(z.there)} of {count(z.wants)}
            <span className="flex flex-wrap gap-2">
              {z.lacks.slice(0, 16).map((l) => (
                <LotGlyph
                  key={l.element}
                  element={l.element}
                  qty={l.qty}
                  size={26}
                  mark={l.atHand >= l.qty ? 'in' : 'out'}
                />
              ))}
              {z.lacks.length > 16 && (
                <span className="text-soft">and {count(z.lacks.length - 16)} kinds more</span>
              )}
            </span>
          </li>
        ))}
      </ol>
      <ul>
        {pattern.faults.map((f, i) => (
          <li key={i} className="flex flex-wrap items-center gap-2">
            <span className="min-w-40 flex-1">
              ▲ <bdi>{f.step}</bdi>: <bdi>{f.says}</bdi>
            </span>
            <Button onClick={() => perform(forgetPatternFault(pattern, i))}>Delete</Button>
          </li>
        ))}
      </ul>
      <NoteFault pattern={pattern} />
      <Button onClick={() => perform(deletePattern(pattern))}>
        Delete revision {count(pattern.revision)}
      </Button>
    </details>
  );
}

function NoteFault({ pattern }: { pattern: Pattern }) {
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [step, setStep] = useState('');
  const [says, setSays] = useState('');
  return (
    <form
      className="my-2 flex flex-wrap items-end gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        if (!says.trim()) return;
        perform(notePatternFault(pattern, step.trim(), says.trim(), source()));
        setStep('');
        setSays('');
      }}
    >
      <Field label="A fault in it, at step">
        <Input value={step} maxLength={200} onChange={(e) => setStep(e.target.value)} />
      </Field>
      <Field label="what is wrong">
        <Input value={says} maxLength={1000} onChange={(e) => setSays(e.target.value)} />
      </Field>
      <Button type="submit" disabled={!says.trim() || pattern.faults.length >= 500}>
        Note it for {pattern.author || 'its author'}
      </Button>
    </form>
  );
}

/** "12 brick 1x2 ash", or a row of a saved parts list: "brick 1x2,ash,,12". */
const asTyped = (line: string): string => {
  const cells = line.split(',').map((c) => c.trim());
  const qty = cells[3] ?? '';
  return cells.length >= 4 && /^\d+$/.test(qty) ? `${qty} ${cells[0]} ${cells[1]}` : line;
};

/** A list that is typed or pasted, a part a line. */
function TypedList() {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [name, setName] = useState('');
  const [author, setAuthor] = useState('');
  const [text, setText] = useState('');
  const [says, setSays] = useState('');
  const keep = () => {
    const lots: { element: ReturnType<typeof elementKey>; qty: number }[] = [];
    for (const [i, line] of text.split('\n').entries()) {
      if (!line.trim() || /^part,colour/i.test(line.trim())) continue;
      const read = readTypedLot(asTyped(line), workbench.palette);
      if (!read.ok) return setSays(`Line ${i + 1}: ${typedLotWords(read.reason)}`);
      lots.push({ element: elementKey(read.value.part, read.value.colour!), qty: read.value.qty });
    }
    if (lots.length > 20_000) return setSays('The list has more than 20,000 lines: keep it in parts.');
    perform(keepPattern(workbench, patternOfList(name.trim(), author.trim(), lots), source()));
    setText('');
    setSays('Kept.');
  };
  return (
    <details className="py-2">
      <summary className="min-h-7">Type or paste a list</summary>
      <div className="flex flex-wrap items-end gap-2 py-2">
        <Field label="Name of the list">
          <Input value={name} maxLength={200} onChange={(e) => setName(e.target.value)} />
        </Field>
        <Field label="Whose it is">
          <Input value={author} maxLength={200} onChange={(e) => setAuthor(e.target.value)} />
        </Field>
      </div>
      <Field label="A part a line, or the rows of a parts list">
        <textarea
          value={text}
          rows={5}
          placeholder={'12 brick 1x2 ash\n4 tile 2x2 dove'}
          onChange={(e) => setText(e.target.value)}
          className="border-edge bg-sheet rounded-md border px-2 py-1 font-mono"
        />
      </Field>
      <Button disabled={!name.trim() || !text.trim()} onClick={keep}>
        Keep the list
      </Button>
      <p role="status">{says}</p>
    </details>
  );
}
