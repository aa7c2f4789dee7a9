'use client';

import {
  useEffect,
  useId,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  type ClipboardEvent,
  type KeyboardEvent,
} from 'react';
import { completeAt, lineOfBlock, type Completion } from '@/core/log-line';
import type { ElementKey } from '@/core/parts';
import { isBoundToBoxes } from '@/core/pool';
import { elsewhereOf, type LineReading } from '@/core/workbench';
import { Key } from '@/ui/button';
import { useBuild } from '../common/build-store';
import { whenIdle } from '../sending/turns';
import { ELSEWHERE_WORDS } from '../words/sources';
import { AskElsewhere } from './ask-elsewhere';
import { Completions } from './completions';
import { LineChips } from './line-chips';
import { Understood } from './understood';

interface LogLineProps {
  readonly reading: LineReading | null;
  readonly onEnter: () => void;
  readonly onCancel: () => void;
  readonly onSources: () => void;
}

/** The line at the foot of the bench: one line logs a change, and shows what it would do before Enter. */
export function LogLine({ reading, onEnter, onCancel, onSources }: LogLineProps) {
  const line = useBuild((s) => s.line);
  const set = useBuild((s) => s.set);
  const workbench = useBuild((s) => s.workbench);
  const editing = useBuild((s) => s.editing);
  const logPlanned = useBuild((s) => s.logPlanned);
  const version = useBuild((s) => s.version);
  const [chosen, setChosen] = useState(0);
  const [closed, setClosed] = useState(false);
  const listId = useId();
  const input = useRef<HTMLInputElement>(null);
  const context = useMemo(() => ({ call: workbench.callContext(), version }), [workbench, version]);
  // The first key finds the words made.
  useEffect(
    () =>
      whenIdle(() => {
        void context.call.lexicon;
        void context.call.onModel('' as ElementKey);
      }),
    [context],
  );
  /** Where the caret was when the line was as it is told here; a line that came from elsewhere is gone on with at its end. */
  const [at, setAt] = useState({ line: '', caret: 0 });
  const caret = at.line === line ? Math.min(at.caret, line.length) : line.length;
  // What a browser tells more than once for one key is looked at once.
  const look = ({ value, selectionStart }: HTMLInputElement) =>
    setAt((was) => {
      const now = { line: value, caret: selectionStart ?? value.length };
      return was.line === now.line && was.caret === now.caret ? was : now;
    });
  useLayoutEffect(() => {
    const el = input.current;
    if (el && el.value === at.line && el.selectionStart !== at.caret)
      el.setSelectionRange(at.caret, at.caret);
  }, [at]);
  const completions = useMemo(
    () => (line ? completeAt(line, caret, context.call) : []),
    [line, caret, context],
  );
  const open = completions.length > 0 && !closed && !isExact(line.slice(0, caret), completions);
  const change = (text: string) => {
    setChosen(0);
    setClosed(false);
    set({ line: text });
  };
  /** Puts text in place of a part of the line, and the caret behind it. */
  const put = (start: number, end: number, text: string) => {
    const before = `${line.slice(0, start)}${text}`;
    const whole = `${before}${line.slice(end)}`;
    change(whole);
    setAt({ line: whole, caret: before.length });
  };
  const accept = (c: Completion | undefined) => {
    const behind = line.slice(caret).length - line.slice(caret).trimStart().length;
    if (c) put(c.span.start, caret + behind, `${c.text} `);
    input.current?.focus();
  };
  const onPaste = (e: ClipboardEvent<HTMLInputElement>) => {
    const block = e.clipboardData.getData('text');
    if (!/[\r\n]/.test(block.trim())) return;
    e.preventDefault();
    const { selectionStart, selectionEnd } = e.currentTarget;
    put(selectionStart ?? line.length, selectionEnd ?? line.length, lineOfBlock(block));
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
  const ghost = open && caret === line.length ? ghostOf(line, completions[chosen]) : '';
  return (
    <section
      aria-label="Log line"
      className="border-rule bg-sheet sticky bottom-0 z-10 border-t px-4 py-2 [@media(max-height:20rem)]:static"
    >
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
              id="log-line"
              ref={input}
              value={line}
              onChange={(e) => {
                change(e.target.value);
                look(e.target);
              }}
              onSelect={(e) => look(e.currentTarget)}
              onPaste={onPaste}
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
          onClick={onSources}
          title="Where parts come from"
          className="border-edge hover:border-ink min-h-7 rounded-md border px-2 text-[12px] max-sm:hidden"
        >
          <span className="text-faint">else </span>
          {isBoundToBoxes(workbench.records, workbench.build)
            ? 'its boxes only'
            : ELSEWHERE_WORDS[elsewhereOf(workbench) ?? 'own']}
        </button>
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
      <LineChips onLine={change} onEnter={onEnter} />
      <div id={`${listId}-says`} aria-live="polite" className="flex min-h-8 items-center gap-4">
        <Understood
          reading={reading}
          onChoose={(text) => {
            change(text);
            input.current?.focus();
          }}
          line={line}
        />
        <AskElsewhere reading={reading} onDone={() => input.current?.focus()} />
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
