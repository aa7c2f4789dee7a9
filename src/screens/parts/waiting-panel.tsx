'use client';

import { useEffect, useState } from 'react';
import { elementKey, elementName, type ElementKey } from '@/core/parts';
import { readTypedLot } from '@/core/stock';
import { nowAvailable, waitFor, waitNoLonger, type MarketAnswer, type NowAvailable } from '@/core/market';
import { Button } from '@/ui/button';
import { Input } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { count, money } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { thisYear, useRegister } from '../common/use-register';
import { typedLotWords } from '../words/typed-lot';
import { askMarket } from '../common/ask-market';

/** Parts wanted in colours that nobody has: told as soon as the register or a seller has them. */
export function WaitingPanel() {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const register = useRegister(workbench, version);
  const [market, setMarket] = useState<MarketAnswer | null>(null);
  const [text, setText] = useState('');
  const [says, setSays] = useState('');
  const waitingParts = [...workbench.records.waiting.values()];
  const key = waitingParts.map((w) => w.element).join('\n');
  useEffect(() => {
    if (!key) return;
    const stop = new AbortController();
    void askMarket(key.split('\n') as ElementKey[], stop.signal).then((answer) => {
      if (!stop.signal.aborted) setMarket(answer);
    });
    return () => stop.abort();
  }, [key]);
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
        {nowAvailable(waitingParts, register, market, thisYear()).map((w) => (
          <li key={w.waiting.id} className="border-rule flex items-center gap-2 border-b py-1">
            <Glyph element={w.waiting.element} size={28} label="" />
            <span className="min-w-0 flex-1">
              {count(w.waiting.qty)} {elementName(w.waiting.element)}
              <span className={w.isHad ? 'block text-[12px] font-semibold' : 'text-soft block text-[12px]'}>
                {words(w, market !== null)}
              </span>
            </span>
            <Button
              aria-label={`No longer wait for ${elementName(w.waiting.element)}`}
              onClick={() => perform(waitNoLonger(w.waiting))}
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
