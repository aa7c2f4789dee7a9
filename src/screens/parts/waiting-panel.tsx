'use client';

import { useEffect, useState } from 'react';
import { elementKey, elementName } from '@/core/parts';
import type { WaitingPart } from '@/core/ledger';
import { readTypedLot } from '@/core/stock';
import { waitFor, waitNoLonger, type NowAvailable } from '@/core/market';
import { Button } from '@/ui/button';
import { Input } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { count, money } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { typedLotWords } from '../words/typed-lot';
import { ask } from '../sending/answers';

/** What the server says of what is waited for. */
interface Told {
  /** Whether the sellers answered. */
  readonly asked: boolean;
  readonly parts: readonly NowAvailable[];
}

/** Parts wanted in colours that nobody has: told as soon as the register or a seller has them. */
export function WaitingPanel() {
  const workbench = useBuild((s) => s.workbench);
  useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [told, setTold] = useState<Told | undefined>();
  const [text, setText] = useState('');
  const [says, setSays] = useState('');
  const waitingParts = [...workbench.records.waiting.values()];
  const key = waitingParts.map((w) => w.id).join('\n');
  const sent = useBuild((s) => s.waiting === 0);
  useEffect(() => {
    if (!key || !sent) return;
    let there = true;
    void ask<Told>('/api/market/waiting').then((answer) => there && setTold(answer));
    return () => void (there = false);
  }, [key, sent]);
  const add = () => {
    const read = readTypedLot(text, workbench.palette);
    if (!read.ok) return setSays(typedLotWords(read.reason));
    const { part, colour, qty } = read.value;
    if (!colour) return;
    perform(waitFor(elementKey(part, colour), qty, source()));
    setText('');
    setSays('');
  };
  return (
    <section aria-label="Waiting for" className="mb-5">
      <h2 className="mb-1">Waiting for</h2>
      <ul>
        {inTheirOrder(waitingParts, told).map(({ part, now }) => (
          <li key={part.id} className="border-rule flex items-center gap-2 border-b py-1">
            <Glyph element={part.element} size={28} label="" />
            <span className="min-w-0 flex-1">
              {count(part.qty)} {elementName(part.element)}
              <span
                className={now?.isHad ? 'block text-[12px] font-semibold' : 'text-soft block text-[12px]'}
              >
                {now
                  ? words(now, told?.asked ?? false)
                  : 'the register and the sellers have not answered yet'}
              </span>
            </span>
            <Button
              aria-label={`No longer wait for ${elementName(part.element)}`}
              onClick={() => perform(waitNoLonger(part))}
            >
              Delete
            </Button>
          </li>
        ))}
      </ul>
      <form
        className="mt-1 flex gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          add();
        }}
      >
        <Input
          aria-label="Wait for"
          placeholder="8 arch 1x4 lagoon"
          value={text}
          onChange={(e) => setText(e.target.value)}
          className="min-w-0 flex-1 font-mono"
        />
        <Button type="submit" disabled={!text.trim()}>
          Wait for it
        </Button>
      </form>
      <p role="status">{says}</p>
    </section>
  );
}

/** Those that can be had first, then what is told, then what is not told yet. */
function inTheirOrder(parts: readonly WaitingPart[], told: Told | undefined) {
  const place = new Map(told?.parts.map((n, i) => [n.waiting.id, { now: n, i }]));
  return parts
    .map((part) => ({ part, now: place.get(part.id)?.now, i: place.get(part.id)?.i ?? parts.length }))
    .sort((a, b) => a.i - b.i);
}

function words(w: NowAvailable, asked: boolean): string {
  if (w.pieces > 0 && w.price !== null)
    return `▲ ${count(w.pieces)} for sale, from ${money(w.price)} at ${w.seller}`;
  const made = {
    made: 'it is made, but nobody has any',
    retired: 'no longer made, and nobody has any',
    never: 'never made in this colour so far',
  }[w.made];
  return asked ? made : `${made.split(',')[0]}; the sellers have not answered yet`;
}
