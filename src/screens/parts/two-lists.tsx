'use client';

import { elementName } from '@/core/parts';
import { sayIdeal, twoLists, type StandsFor } from '@/core/pool';
import { Prices } from '@/core/mismatch';
import { withAtHand } from '@/core/stock';
import { Button } from '@/ui/button';
import { LotGlyph } from '@/ui/glyph';
import { count, money, pieces } from '@/ui/numbers';
import { useBuild } from '../common/build-store';

/** What is used because of the limit, beside what one would use without it: two lists for one mod. */
export function TwoListsOfParts() {
  const workbench = useBuild((s) => s.workbench);
  useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const { instead } = twoLists(workbench);
  const prices = new Prices(workbench);
  const sum = instead.reduce((n, s) => n + s.qty, 0);
  const hand = withAtHand(workbench, (atHand) => new Map(instead.map((s) => [s, atHand.count(s.ideal)])));
  const takeBack = (s: StandsFor) => {
    const entries = s.entries.flatMap((id) => workbench.records.entry.get(id) ?? []);
    perform(sayIdeal(workbench, entries, null));
  };
  return (
    <section aria-label="Two lists" className="border-rule mt-4 border-t pt-3">
      <h2 className="mb-1">
        {sum === 0 ? 'As used, and as one would have it' : `${pieces(sum)} would be others without the limit`}
      </h2>
      <p className="text-soft mb-2 max-w-prose">
        {sum === 0
          ? 'On the bench, “Without the limit, another part…” on a line keeps what you would have used. Placeholders count by themselves.'
          : 'As used on the left, as one would have it on the right. The parts list for others can hold either.'}
      </p>
      <ul>
        {instead.map((s) => {
          const each = prices.of(s.ideal);
          return (
            <li
              key={`${s.used} ${s.ideal} ${s.why}`}
              className="border-rule flex min-h-11 flex-wrap items-center gap-3 border-b py-1"
            >
              <LotGlyph element={s.used} qty={s.qty} size={30} />
              <span className="min-w-40 flex-1">
                {count(s.qty)} {elementName(s.used)}
              </span>
              <span aria-hidden>→</span>
              <span className="sr-only">instead of</span>
              <LotGlyph element={s.ideal} qty={s.qty} size={30} />
              <span className="min-w-40 flex-1">
                {elementName(s.ideal)}
                <span className="text-soft block text-[12px]">
                  {s.why === 'placeholder' ? 'a placeholder; ' : ''}
                  {count(Math.min(s.qty, hand.get(s)!))} at hand,{' '}
                  {each ? `${each.estimated ? 'about ' : ''}${money(each.each)} each` : 'price not known'}
                </span>
              </span>
              {s.why === 'choice' && <Button onClick={() => takeBack(s)}>Take it back</Button>}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
