'use client';

import clsx from 'clsx';
import { useEffect, useMemo, useRef, useState } from 'react';
import {
  baseCopies,
  boxLots,
  countLot,
  printCount,
  readCount,
  thumbCounts,
  type BoxLot,
} from '@/core/inspection';
import { elementName } from '@/core/parts';
import { Glyph } from '@/ui/glyph';
import { count } from '@/ui/numbers';
import { Button, Key } from '@/ui/button';
import { useBuild } from '../common/build-store';
import { countProblemWords } from '../words/inspection';
import { LotRows } from './lot-rows';

/** Counting a copy in, tray by tray: one line, Enter for all there, and the next lot is up. */
export function CheckOff() {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const copies = baseCopies(workbench);
  const [copy, setCopy] = useState(copies[0]?.id ?? null);
  const lots = useMemo(() => {
    void version;
    return copy ? boxLots(workbench, copy) : [];
  }, [workbench, version, copy]);
  const zones = [...new Set(lots.map((l) => l.zone))];
  const firstOpen = lots.find((l) => !l.line)?.zone ?? zones[0] ?? null;
  const [picked, setPicked] = useState<string | null>(null);
  const zone = zones.find((z) => z === picked) ?? firstOpen;
  const here = lots.filter((l) => l.zone === zone);
  const [at, setAt] = useState<string | null>(null);
  const index = Math.max(
    0,
    at !== null && here.some((l) => l.element === at)
      ? here.findIndex((l) => l.element === at)
      : here.findIndex((l) => !l.line),
  );
  const lot = here[index];
  const [text, setText] = useState('');
  const [says, setSays] = useState('');
  const [done, setDone] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  // Where there are fingers and no keys, the focus would bring up a keyboard over the list.
  const focusLine = () => {
    if (!matchMedia('(pointer: coarse)').matches) input.current?.focus();
  };
  useEffect(focusLine, []);
  const read = lot ? readCount(text, lot) : null;
  const go = (to: number) => {
    const next = here[Math.max(0, Math.min(here.length - 1, to))];
    setAt(next?.element ?? null);
    setText(next?.line ? printCount(next.line, next.expected) : '');
    setSays('');
  };
  const enter = (typed: string) => {
    const read = lot && readCount(typed, lot);
    if (!lot || !read) return;
    if (!read.ok) return setSays(countProblemWords(read.reason));
    const command = countLot(workbench, lot, read.value, lot.line?.wanted ?? true, source());
    if (!command.ok) return setSays(countProblemWords(command.reason));
    perform(command.value);
    const rest = here.findIndex((l, i) => i > index && !l.line);
    const before = here.findIndex((l, i) => i < index && !l.line);
    setText('');
    setSays('');
    if (rest >= 0 || before >= 0) return setAt(here[rest >= 0 ? rest : before]?.element ?? null);
    const nextZone = zones.find((z) => z !== zone && lots.some((l) => l.zone === z && !l.line));
    setPicked(nextZone ?? zone);
    setAt(null);
    setDone(!nextZone);
  };
  if (lots.length === 0)
    return (
      <p className="text-soft p-4">
        There is no box to count. Import a set into this build, and its inventory is checked off here tray by
        tray.
      </p>
    );
  return (
    <section aria-label="Counting" className="flex min-h-0 min-w-0 flex-col">
      <div className="flex flex-wrap items-center gap-1 px-4 pt-3 pb-2">
        {copies.length > 1 && (
          <select
            aria-label="Copy"
            value={copy ?? ''}
            onChange={(e) => {
              setCopy(copies.find((c) => c.id === e.target.value)?.id ?? null);
              setPicked(null);
              setAt(null);
            }}
            className="border-edge bg-sheet mr-2 min-h-7 rounded-md border px-2"
          >
            {copies.map((c, i) => (
              <option key={c.id} value={c.id}>
                {c.setName}, box {i + 1}
              </option>
            ))}
          </select>
        )}
        {zones.map((z) => (
          <ZoneChip
            key={z}
            name={workbench.records.zone.get(z)?.name ?? ''}
            lots={lots.filter((l) => l.zone === z)}
            here={z === zone}
            onPick={() => {
              setPicked(z);
              setAt(null);
              setText('');
              focusLine();
            }}
          />
        ))}
      </div>
      <LotRows lots={here} index={index} onPick={(i) => (go(i), focusLine())} />
      {lot && (
        <div className="border-rule bg-sheet sticky bottom-0 z-10 border-t px-4 py-2.5">
          <div className="flex items-center gap-3">
            <Glyph element={lot.element} size={52} />
            <label className="flex min-w-0 flex-1 flex-wrap items-center gap-x-3">
              <span className="min-w-28 flex-1">
                <b className="font-head block truncate text-[16px]">
                  {count(lot.expected)} × {elementName(lot.element)}
                </b>
                <span className="text-faint block truncate text-[12px]">how many are there?</span>
              </span>
              <input
                ref={input}
                value={text}
                onChange={(e) => (setText(e.target.value), setSays(''))}
                onKeyDown={(e) => {
                  if (e.key === 'Enter') enter(text);
                  else if (e.key === 'ArrowDown') go(index + 1);
                  else if (e.key === 'ArrowUp') go(index - 1);
                  else return;
                  e.preventDefault();
                }}
                autoComplete="off"
                inputMode="text"
                placeholder={`${lot.expected}`}
                aria-describedby="count-says"
                aria-invalid={read ? !read.ok : undefined}
                className="border-ink bg-sheet min-h-9 w-44 rounded-md border px-2 font-mono text-[15px]"
              />
            </label>
            <span className="pointer-coarse:hidden">
              <Key>Enter</Key>
            </span>
          </div>
          <div
            role="group"
            aria-label="Counts by thumb"
            className="hidden gap-1.5 overflow-x-auto pt-1.5 pointer-coarse:flex"
          >
            {text !== '' && (
              <Button look="main" onClick={() => enter(text)}>
                Count it
              </Button>
            )}
            {thumbCounts(lot).map((c) => (
              <Button key={c.says} onClick={() => enter(c.text)}>
                {c.says}
              </Button>
            ))}
          </div>
          <p id="count-says" role="status" aria-live="polite" className="mt-1 min-h-5">
            {done && !says && text === ''
              ? '✓ Every kind is checked off.'
              : says
                ? `▲ ${says}`
                : read?.ok
                  ? saysCount(lot, read.value)
                  : read
                    ? countProblemWords(read.reason)
                    : ''}
          </p>
          <p className="text-faint text-[12px]">
            <span className="pointer-coarse:hidden">
              Enter = all there · a number = how many · <b>2b</b> broken · <b>3f</b> faded · <b>1s</b> sticker
              gone · ↑ ↓ another kind.{' '}
            </span>
            Small parts: keep them away from small children.
          </p>
        </div>
      )}
    </section>
  );
}

function saysCount(lot: BoxLot, c: { there: number; broken: number; faded: number; bare: number }): string {
  const lack = lot.expected - c.there - c.broken;
  const parts = [
    c.there === lot.expected ? 'all there' : `${c.there} of ${lot.expected} there`,
    lack > 0 ? `${lack} missing` : '',
    c.broken > 0 ? `${c.broken} broken` : '',
    c.faded > 0 ? `${c.faded} faded` : '',
    c.bare > 0 ? `${c.bare} without its sticker` : '',
  ];
  return `Enter counts it: ${parts.filter(Boolean).join(', ')}.`;
}

function ZoneChip({
  name,
  lots,
  here,
  onPick,
}: {
  name: string;
  lots: readonly BoxLot[];
  here: boolean;
  onPick: () => void;
}) {
  const done = lots.filter((l) => l.line).length;
  return (
    <button
      type="button"
      aria-pressed={here}
      onClick={onPick}
      className={clsx(
        'min-h-7 rounded-full border px-2.5 text-[12px]',
        here ? 'border-ink bg-ink text-sheet' : 'border-edge hover:border-ink',
      )}
    >
      <bdi>{name}</bdi> {done === lots.length ? '✓' : `${count(done)}/${count(lots.length)}`}
    </button>
  );
}
