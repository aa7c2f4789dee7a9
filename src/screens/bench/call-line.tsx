'use client';

import clsx from 'clsx';
import { useId, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { completeAt, printElement, type Completion } from '@/core/call-line';
import type { LineReading, ReadClause } from '@/core/bench';
import { offPieces, onPieces, placeOf, zoneOf, type DraftProblem, type Entry } from '@/core/ledger';
import { elementName, type ElementKey } from '@/core/parts';
import { Key } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { MARK_OF } from '@/ui/mark';
import { money, signed } from '@/ui/numbers';
import { draftProblemWords, lineProblemWords, unknownWords } from '../words/call-line';
import { useBench } from './bench-store';

interface CallLineProps {
  readonly reading: LineReading | null;
  readonly onEnter: () => void;
  readonly onCancel: () => void;
}

/** The line at the foot of the bench: one line logs a change, and shows what it would do before Enter. */
export function CallLine({ reading, onEnter, onCancel }: CallLineProps) {
  const line = useBench((s) => s.line);
  const set = useBench((s) => s.set);
  const bench = useBench((s) => s.bench);
  const editing = useBench((s) => s.editing);
  const logPlanned = useBench((s) => s.logPlanned);
  const version = useBench((s) => s.version);
  const [chosen, setChosen] = useState(0);
  const [closed, setClosed] = useState(false);
  const listId = useId();
  const input = useRef<HTMLInputElement>(null);
  const context = useMemo(() => ({ call: bench.callContext(), version }), [bench, version]);
  const completions = useMemo(
    () => (line ? completeAt(line, line.length, context.call) : []),
    [line, context],
  );
  const open = completions.length > 0 && !closed && !isExact(line, completions);
  const change = (text: string) => {
    setChosen(0);
    setClosed(false);
    set({ line: text });
  };
  const accept = (c: Completion | undefined) => {
    if (c) change(`${line.slice(0, c.span.start)}${c.text} `);
    input.current?.focus();
  };
  const onKeyDown = (e: KeyboardEvent) => {
    const step = e.key === 'ArrowDown' ? 1 : e.key === 'ArrowUp' ? -1 : 0;
    if (step && open) setChosen((chosen + step + completions.length) % completions.length);
    else if (e.key === 'Tab' && !e.shiftKey && open) accept(completions[chosen]);
    else if (e.key === 'Enter') onEnter();
    else if (e.key === 'Escape' && open) setClosed(true);
    else if (e.key === 'Escape') onCancel();
    else return;
    e.preventDefault();
  };
  const ghost = open ? ghostOf(line, completions[chosen]) : '';
  return (
    <section aria-label="Call line" className="border-rule bg-sheet relative border-t px-4 py-2">
      {open && <Completions id={listId} list={completions} chosen={chosen} onChoose={accept} />}
      <div className="flex items-center gap-3">
        <div className="relative flex min-w-0 flex-1 items-center font-mono text-[15px]">
          <span aria-hidden className="mr-2">
            ›
          </span>
          <div className="relative min-w-0 flex-1">
            <span
              aria-hidden
              className="text-faint pointer-events-none absolute inset-0 overflow-hidden leading-7 whitespace-pre"
            >
              <span className="invisible">{line}</span>
              {ghost}
            </span>
            <input
              id="call-line"
              ref={input}
              value={line}
              onChange={(e) => change(e.target.value)}
              onKeyDown={onKeyDown}
              role="combobox"
              aria-expanded={open}
              aria-controls={listId}
              aria-activedescendant={open ? `${listId}-${chosen}` : undefined}
              aria-autocomplete="list"
              aria-label={editing ? 'Edit the entry' : 'Log a change'}
              aria-describedby={`${listId}-says`}
              autoComplete="off"
              autoCapitalize="off"
              spellCheck={false}
              placeholder="-2 plate 2x3 chalk, +2 brick 1x2 ash @zone #why"
              className="relative h-7 w-full bg-transparent leading-7 outline-none"
            />
          </div>
        </div>
        <button
          type="button"
          role="switch"
          aria-checked={logPlanned}
          onClick={() => set({ logPlanned: !logPlanned })}
          className="border-edge hover:border-ink min-h-7 rounded-md border px-2 text-[12px]"
        >
          {logPlanned ? 'as planned' : 'as done'}
        </button>
        <span className="hidden sm:inline">
          <Key>{editing ? 'Enter to change' : 'Enter to log'}</Key>
        </span>
      </div>
      <div id={`${listId}-says`} aria-live="polite" className="flex min-h-8 items-center gap-4">
        <Understood reading={reading} onChoose={(text) => change(text)} line={line} />
      </div>
    </section>
  );
}

const isExact = (line: string, completions: readonly Completion[]): boolean => {
  const first = completions[0];
  return (
    completions.length === 1 &&
    !!first &&
    line.slice(first.span.start).toLowerCase() === first.text.toLowerCase()
  );
};

function ghostOf(line: string, c: Completion | undefined): string {
  if (!c) return '';
  const typed = line.slice(c.span.start);
  return c.text.toLowerCase().startsWith(typed.toLowerCase()) ? c.text.slice(typed.length) : '';
}

interface ListProps {
  readonly id: string;
  readonly list: readonly Completion[];
  readonly chosen: number;
  readonly onChoose: (c: Completion) => void;
}

function Completions({ id, list, chosen, onChoose }: ListProps) {
  return (
    <ul
      id={id}
      role="listbox"
      aria-label="Ways to go on"
      className="bg-sheet border-edge absolute bottom-full left-4 z-30 mb-1 max-h-80 min-w-72 overflow-auto rounded-md border p-1 shadow-lg"
    >
      {list.map((c, i) => (
        <li
          key={c.text}
          id={`${id}-${i}`}
          role="option"
          aria-selected={i === chosen}
          onMouseDown={(e) => {
            e.preventDefault();
            onChoose(c);
          }}
          className={clsx(
            'flex min-h-8 cursor-pointer items-center gap-2 rounded-sm px-2 font-mono',
            i === chosen && 'bg-wash',
          )}
        >
          {c.element && <Glyph element={c.element} size={28} />}
          <span className="flex-1">{c.text}</span>
          {i === chosen && <Key>Tab</Key>}
        </li>
      ))}
    </ul>
  );
}

interface UnderstoodProps {
  readonly reading: LineReading | null;
  readonly line: string;
  readonly onChoose: (line: string) => void;
}

/** Under the line: what was understood, drawn, and what it does; or the first thing in the way. */
function Understood({ reading, line, onChoose }: UnderstoodProps) {
  const records = useBench((s) => s.bench.records);
  if (!reading)
    return (
      <span className="text-faint text-[12px]">
        - off, + on, ~ recolour, % refresh, &gt; move, ? stand-in, ! missing, * made good. F1 shows all keys.
      </span>
    );
  const problem = reading.problems[0];
  if (problem) return <Trouble text={lineProblemWords(problem)} />;
  return (
    <>
      <div className="flex min-w-0 flex-1 flex-wrap items-center gap-x-4">
        {reading.clauses.map((c, i) => (
          <ClauseSays
            key={i}
            clause={c}
            line={line}
            onChoose={onChoose}
            trouble={c.problem ? draftProblemWords(c.problem, records) : null}
          />
        ))}
      </div>
      {reading.effect && (
        <b className="whitespace-nowrap">
          net {signed(reading.effect.alone.net)} · {money(reading.effect.alone.outOfPocket)}
        </b>
      )}
    </>
  );
}

const Trouble = ({ text }: { text: string }) => (
  <span role="alert" className="font-medium">
    <span aria-hidden>▲ </span>
    {text}
  </span>
);

interface SaysProps {
  readonly clause: ReadClause;
  readonly trouble: string | null;
  readonly line: string;
  readonly onChoose: (line: string) => void;
}

function ClauseSays({ clause, trouble, line, onChoose }: SaysProps) {
  const u = clause.understood;
  if (trouble)
    return (
      <span className="flex flex-wrap items-center gap-1">
        <Trouble text={trouble} />
        {clause.problem && (
          <OtherZones problem={clause.problem} onChoose={(zone) => onChoose(inZone(line, u, zone))} />
        )}
      </span>
    );
  if (u.status === 'unknown')
    return (
      <Choices
        text={unknownWords(u)}
        list={u.suggestions}
        onChoose={(e) => onChoose(splice(line, u.at, e))}
      />
    );
  if (u.status === 'ambiguous')
    return <Choices text="Which one?" list={u.choices} onChoose={(e) => onChoose(splice(line, u.at, e))} />;
  if (u.status === 'assembly')
    return (
      <span>
        assembly <b>{u.name}</b> of {u.lots.reduce((s, l) => s + l.qty, 0)} pieces
      </span>
    );
  return clause.entry ? <EntrySays entry={clause.entry} /> : null;
}

/** Zones that have the part, to take it from there. */
function OtherZones({ problem, onChoose }: { problem: DraftProblem; onChoose: (zone: string) => void }) {
  const zones = useBench((s) => s.bench.records.zone);
  if (problem.reason !== 'not on the model') return null;
  const there = problem.elsewhere.flatMap((w) => {
    const id = zoneOf(w.account);
    const name = id && id !== problem.zone ? zones.get(id)?.name : undefined;
    return name && w.qty >= problem.wanted ? [name] : [];
  });
  return there.slice(0, 3).map((name) => (
    <button
      key={name}
      type="button"
      onClick={() => onChoose(name)}
      className="border-edge hover:border-ink min-h-7 rounded-md border px-1.5"
    >
      take from <bdi>{name}</bdi>
    </button>
  ));
}

const inZone = (line: string, at: { end: number }, zone: string): string =>
  `${line.slice(0, at.end)} @"${zone.replace(/[\\"]/g, '\\$&')}"${line.slice(at.end)}`;

const splice = (line: string, at: { start: number; end: number }, element: ElementKey): string =>
  `${line.slice(0, at.start)}${printElement(element)}${line.slice(at.end)}`;

function Choices({
  text,
  list,
  onChoose,
}: {
  text: string;
  list: readonly ElementKey[];
  onChoose: (e: ElementKey) => void;
}) {
  return (
    <span className="flex flex-wrap items-center gap-1">
      <Trouble text={text} />
      {list.slice(0, 8).map((e) => (
        <button
          key={e}
          type="button"
          onClick={() => onChoose(e)}
          className="border-edge hover:border-ink flex items-center gap-1 rounded-md border px-1.5"
        >
          <Glyph element={e} size={26} />
          {elementName(e)}
        </button>
      ))}
    </span>
  );
}

function EntrySays({ entry }: { entry: Entry }) {
  const [off, on] = [offPieces(entry), onPieces(entry)];
  const main = on[0] ?? off[0];
  if (!main) return null;
  const was = entry.kind === 'recolour' || entry.kind === 'replacement' ? off[0]?.element : undefined;
  return (
    <span className="flex items-center gap-1.5">
      {entry.kind === 'swap' && off[0] && <Glyph element={off[0].element} mark="out" size={28} />}
      <Glyph
        element={main.element}
        mark={entry.kind === 'swap' ? 'in' : MARK_OF[entry.kind]}
        was={was}
        size={28}
      />
      <span>
        {elementName(main.element)}
        <span className="text-soft">, {sourceWords(entry)}</span>
      </span>
    </span>
  );
}

/** "6 from spares, 2 from stores, 1 bought at £0.07", or where the pieces go. */
export function sourceWords(entry: Entry): string {
  const on = entry.movements.filter((m) => placeOf(m.to) === 'model' && placeOf(m.from) !== 'model');
  if (on.length === 0) return awayWords(entry);
  const names = {
    spares: 'from spares',
    stores: 'from stores',
    donor: 'from a donor',
    order: 'from an order',
  } as const;
  const sums = new Map<string, number>();
  for (const m of on) {
    const place = placeOf(m.from);
    const bought = entry.state === 'done' ? 'bought' : 'to buy';
    const price = m.worth === null ? ', no price known' : ` at ${money(m.worth)}`;
    const words = place in names ? names[place as keyof typeof names] : `${bought}${price}`;
    sums.set(words, (sums.get(words) ?? 0) + m.qty);
  }
  const parts = [...sums];
  const [only] = parts;
  return parts.length === 1 && only ? only[0] : parts.map(([w, n]) => `${n} ${w}`).join(', ');
}

function awayWords(entry: Entry): string {
  const to = entry.movements[0]?.to;
  const place = to ? placeOf(to) : 'spares';
  if (place === 'gone') return entry.kind === 'missing' ? 'missing' : 'to the bin';
  return place === 'model' ? 'moved' : `to ${place}`;
}
