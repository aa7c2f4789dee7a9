'use client';

import { useState } from 'react';
import { elementName } from '@/core/parts';
import { moneyToEdit, readMoney } from '@/core/shared/money';
import { givePrices, unpricedThings, type GivenPrice, type Unpriced } from '@/core/workbench';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Input } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { count, piecesOfKinds } from '@/ui/numbers';
import { useBuild } from '../common/build-store';

/** Everything in a build that has no known price, to be priced one under the other. */
export function UnpricedDialog({ onClose }: { onClose: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  useBuild((s) => s.version);
  const [typed, setTyped] = useState<ReadonlyMap<string, string>>(new Map());
  const things = unpricedThings(workbench);
  const given = things.flatMap(({ id }): GivenPrice[] => {
    const price = readMoney(typed.get(id) ?? '');
    return price === undefined ? [] : [{ id, price }];
  });
  const wrong = things.map(({ id }) => (typed.get(id) ?? '').trim()).find(isNoPrice);
  const save = () => {
    if (given.length > 0 && wrong === undefined) perform(givePrices(workbench, given));
    setTyped(new Map());
    if (given.length === things.length) onClose();
  };
  return (
    <Dialog
      open
      onOpenChange={onClose}
      wide
      beside
      title={things.length === 0 ? 'Everything has a price' : `${thingsWords(things)} without a price`}
      says={
        things.length === 0
          ? 'No sum of this build leaves anything out.'
          : 'A price that you give goes into the entries that lack it, and that of a part into the price book where it has none. What stays empty stays unknown, and counts as no money. What was a gift cost 0.'
      }
    >
      <form
        onSubmit={(e) => {
          e.preventDefault();
          save();
        }}
      >
        <ul>
          {things.map((thing, i) => (
            <li key={thing.id} className="border-rule flex min-h-10 items-center gap-3 border-b">
              <Row thing={thing} />
              <label className="flex items-center gap-1.5">
                <span className="text-faint text-[12px]">{thing.of === 'lot' ? 'each' : 'in all'}</span>
                <Input
                  value={typed.get(thing.id) ?? ''}
                  autoFocus={i === 0}
                  placeholder={moneyToEdit(thing.of === 'box' ? 4000 : 12)}
                  inputMode="decimal"
                  aria-label={fieldWords(thing)}
                  onChange={(e) => setTyped(new Map(typed).set(thing.id, e.target.value))}
                  className="w-20"
                />
              </label>
            </li>
          ))}
        </ul>
        {wrong !== undefined && (
          <p role="alert" className="mt-2">
            ▲ “{wrong}” is not a price. Write {moneyToEdit(12)}, or 12p.
          </p>
        )}
        {things.length > 0 && (
          <Button
            look="main"
            type="submit"
            className="mt-3"
            disabled={given.length === 0 || wrong !== undefined}
          >
            Give {given.length === 0 ? 'prices' : `${count(given.length)} of them a price`}
          </Button>
        )}
      </form>
    </Dialog>
  );
}

const isNoPrice = (text: string): boolean => text !== '' && readMoney(text) === undefined;

/** What it is, how much of it, and which entries it is in. */
function Row({ thing }: { thing: Unpriced }) {
  if (thing.of === 'box')
    return (
      <span className="min-w-0 flex-1">
        <bdi>{thing.box.setName}</bdi>
        <span className="text-faint">
          , the {thing.box.condition} box{thing.box.role === 'donor' && ', broken up for parts'}
        </span>
      </span>
    );
  return (
    <>
      <Glyph element={thing.element} size={32} label="" />
      {thing.of === 'lot' && <b className="w-10 text-right">{count(thing.pieces)}</b>}
      <span className="min-w-0 flex-1">
        {thing.of === 'sticker' && 'what was done with the sticker on '}
        {elementName(thing.element)}
        <span className="text-faint">
          {thing.of === 'lot' && (thing.isNew ? ' new' : ' used')}
          {thing.of === 'lot' && thing.bought > 0 && `, ${count(thing.bought)} bought`} ·{' '}
          {entriesWords(thing.entries)}
        </span>
      </span>
    </>
  );
}

const entriesWords = (entries: readonly { readonly no: number }[]): string => {
  const some = entries.slice(0, 4).map((e) => e.no);
  const more = entries.length > 4 ? ` and ${entries.length - 4} more` : '';
  return `${entries.length === 1 ? 'entry' : 'entries'} ${some.join(', ')}${more}`;
};

const fieldWords = (thing: Unpriced): string =>
  thing.of === 'box'
    ? `What was paid for the box ${thing.box.setName}`
    : thing.of === 'sticker'
      ? `What entry ${thing.entries[0].no} cost, with the sticker on ${elementName(thing.element)}`
      : `Price each of ${elementName(thing.element)}${thing.isNew ? ' new' : ' used'}`;

/** "1 box, 9 pieces of 1 kind and 2 stickers" */
function thingsWords(things: readonly Unpriced[]): string {
  const of = (what: Unpriced['of']) => things.filter((t) => t.of === what).length;
  const [boxes, kinds, stickers] = [of('box'), of('lot'), of('sticker')];
  const pieces = things.reduce((s, t) => s + (t.of === 'lot' ? t.pieces : 0), 0);
  const said = [
    boxes > 0 ? `${count(boxes)} ${boxes === 1 ? 'box' : 'boxes'}` : '',
    kinds > 0 ? piecesOfKinds(pieces, kinds) : '',
    stickers > 0 ? `${count(stickers)} ${stickers === 1 ? 'sticker' : 'stickers'}` : '',
  ].filter(Boolean);
  return new Intl.ListFormat('en-GB').format(said);
}
