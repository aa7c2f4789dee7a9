'use client';

import { useEffect, useState } from 'react';
import { added, removed, type Watch } from '@/core/ledger';
import { elementKey, elementName, type ElementKey } from '@/core/parts';
import { asId, type WatchId } from '@/core/shared/ids';
import { readTypedLot } from '@/core/stores';
import { watchedNow, type MarketAnswer, type Watched } from '@/core/supply';
import { Button } from '@/ui/button';
import { Input } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { count, money } from '@/ui/numbers';
import { useBench } from '../common/bench-store';
import { thisYear, useRegister } from '../common/use-register';
import { typedLotWords } from '../words/typed-lot';
import { askMarket } from '../common/ask-market';

/** Parts wanted in colours that nobody has: told as soon as the register or a seller has them. */
export function WatchPanel() {
  const bench = useBench((s) => s.bench);
  const version = useBench((s) => s.version);
  const perform = useBench((s) => s.perform);
  const source = useBench((s) => s.source);
  const register = useRegister(bench, version);
  const [market, setMarket] = useState<MarketAnswer | null>(null);
  const [text, setText] = useState('');
  const [says, setSays] = useState('');
  const watches = [...bench.records.watch.values()];
  const key = watches.map((w) => w.element).join('\n');
  useEffect(() => {
    if (!key) return;
    const stop = new AbortController();
    void askMarket(key.split('\n') as ElementKey[], stop.signal).then((answer) => {
      if (!stop.signal.aborted) setMarket(answer);
    });
    return () => stop.abort();
  }, [key]);
  const add = () => {
    const read = readTypedLot(text, bench.palette);
    if (!read.ok) return setSays(typedLotWords(read.reason));
    const { part, colour, qty } = read.value;
    if (!colour) return;
    const { newId, now } = source();
    const watch: Watch = {
      id: asId<WatchId>(newId()),
      element: elementKey(part, colour),
      qty,
      note: '',
      at: now,
    };
    perform({ label: `watch for ${elementName(watch.element)}`, diff: added('watch', watch) });
    setText('');
    setSays('');
  };
  return (
    <section aria-label="Watch list" className="mb-5">
      <h2 className="mb-1">Watch list</h2>
      <ul>
        {watchedNow(watches, register, market, thisYear()).map((w) => (
          <li key={w.watch.id} className="border-rule flex items-center gap-2 border-b py-1">
            <Glyph element={w.watch.element} size={28} label="" />
            <span className="min-w-0 flex-1">
              {count(w.watch.qty)} {elementName(w.watch.element)}
              <span className={w.isHad ? 'block text-[12px] font-semibold' : 'text-soft block text-[12px]'}>
                {words(w, market !== null)}
              </span>
            </span>
            <Button
              aria-label={`Watch no longer for ${elementName(w.watch.element)}`}
              onClick={() =>
                perform({
                  label: `watch no longer for ${elementName(w.watch.element)}`,
                  diff: removed('watch', w.watch),
                })
              }
            >
              Drop
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
          aria-label="Watch for"
          placeholder="8 arch 1x4 lagoon"
          value={text}
          onChange={(e) => setText(e.target.value)}
          className="min-w-0 flex-1 font-mono"
        />
        <Button type="submit" disabled={!text.trim()}>
          Watch
        </Button>
      </form>
      <p role="status">{says}</p>
    </section>
  );
}

function words(w: Watched, asked: boolean): string {
  if (w.pieces > 0 && w.price !== null)
    return `▲ ${count(w.pieces)} for sale, from ${money(w.price)} at ${w.seller}`;
  const made = {
    made: 'it is made, but nobody has any',
    retired: 'no longer made, and nobody has any',
    never: 'never made in this colour so far',
  }[w.made];
  return asked ? made : `${made.split(',')[0]}; the sellers have not answered yet`;
}
