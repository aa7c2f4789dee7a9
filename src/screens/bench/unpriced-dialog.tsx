'use client';

import { useState } from 'react';
import { elementName } from '@/core/parts';
import { readMoney } from '@/core/shared/money';
import { priceLots, unpricedLots, type GivenPrice, type UnpricedLot } from '@/core/workbench';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Input } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { count, kinds, pieces } from '@/ui/numbers';
import { useBuild } from '../common/build-store';

const keyOf = (l: UnpricedLot): string => `${l.element}|${l.isNew}`;

/** Everything in a build that has no known price, to be priced one under the other. */
export function UnpricedDialog({ onClose }: { onClose: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  useBuild((s) => s.version);
  const [typed, setTyped] = useState<ReadonlyMap<string, string>>(new Map());
  const lots = unpricedLots(workbench);
  const all = lots.reduce((s, l) => s + l.pieces, 0);
  const given = lots.flatMap((l): GivenPrice[] => {
    const each = readMoney(typed.get(keyOf(l)) ?? '');
    return each === undefined ? [] : [{ element: l.element, isNew: l.isNew, each }];
  });
  const wrong = lots.find((l) => {
    const text = (typed.get(keyOf(l)) ?? '').trim();
    return text !== '' && readMoney(text) === undefined;
  });
  const save = () => {
    if (given.length > 0 && !wrong) perform(priceLots(workbench, given));
    setTyped(new Map());
    if (given.length === lots.length) onClose();
  };
  return (
    <Dialog
      open
      onOpenChange={onClose}
      wide
      beside
      title={
        lots.length === 0
          ? 'Everything has a price'
          : `${pieces(all)} of ${kinds(lots.length)} without a price`
      }
      says={
        lots.length === 0
          ? 'No sum of this build leaves anything out.'
          : 'A price that you give goes into the entries that lack it, and into the price book where it has none. What stays empty stays unknown, and counts as no money.'
      }
    >
      <form
        onSubmit={(e) => {
          e.preventDefault();
          save();
        }}
      >
        <ul>
          {lots.map((l) => (
            <li key={keyOf(l)} className="border-rule flex min-h-10 items-center gap-3 border-b">
              <Glyph element={l.element} size={32} label="" />
              <b className="w-10 text-right">{count(l.pieces)}</b>
              <span className="min-w-0 flex-1">
                {elementName(l.element)}
                <span className="text-faint">
                  {l.isNew ? ' new' : ' used'}
                  {l.bought > 0 && `, ${count(l.bought)} bought`} ·{' '}
                  {l.entries.length === 1 ? 'entry' : 'entries'}{' '}
                  {l.entries
                    .slice(0, 4)
                    .map((e) => e.no)
                    .join(', ')}
                  {l.entries.length > 4 && ` and ${l.entries.length - 4} more`}
                </span>
              </span>
              <label className="flex items-center gap-1.5">
                <span className="text-faint text-[12px]">each</span>
                <Input
                  value={typed.get(keyOf(l)) ?? ''}
                  placeholder="0.12"
                  inputMode="decimal"
                  aria-label={`Price each of ${elementName(l.element)}${l.isNew ? ' new' : ' used'}`}
                  onChange={(e) => setTyped(new Map(typed).set(keyOf(l), e.target.value))}
                  className="w-20"
                />
              </label>
            </li>
          ))}
        </ul>
        {wrong && (
          <p role="alert" className="mt-2">
            ▲ “{typed.get(keyOf(wrong))}” is not a price. Write 0.12, or 12p.
          </p>
        )}
        {lots.length > 0 && (
          <Button look="main" type="submit" className="mt-3" disabled={given.length === 0 || !!wrong}>
            Give {given.length === 0 ? 'prices' : `${kinds(given.length)} a price`}
          </Button>
        )}
      </form>
    </Dialog>
  );
}
