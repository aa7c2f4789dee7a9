'use client';

import { useState } from 'react';
import { kindsToBuy, placeOrder, toBuy } from '@/core/workbench';
import { worthOf, type Modification } from '@/core/ledger';
import { elementName } from '@/core/parts';
import { moneyToEdit, readMoney, type Minor } from '@/core/shared/money';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Field, Input } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { count, money, pieces, priced } from '@/ui/numbers';
import { recordOf } from '@/core/orders';
import { entriesOf, useBuild } from '../common/build-store';
import { sellerWords, useSellers } from '../common/use-sellers';

/** An amount as it is typed: undefined when it is none, null where nothing is typed. */
const typed = (text: string): Minor | null | undefined => (text.trim() ? readMoney(text) : null);

/**
 * An order as it was placed, for what is to buy in one modification or in all: the seller, what a piece of each kind costs
 * there, postage and fees, the day, and the day it is expected on, if that is known.
 */
export function OrderDialog({
  modification,
  onClose,
}: {
  modification: Modification | null;
  onClose: () => void;
}) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [seller, setSeller] = useState('');
  const [postage, setPostage] = useState('');
  const [fees, setFees] = useState('');
  const sellers = useSellers(workbench.records);
  const record = seller.trim() ? recordOf(sellers, seller) : undefined;
  const [placed, setPlaced] = useState(() => new Date().toISOString().slice(0, 10));
  const [due, setDue] = useState('');
  const pool = modification
    ? entriesOf(workbench, modification.id)
    : workbench.entries.filter((e) => e.whatIf === null);
  const buying = toBuy(pool).filter((e) => e.whatIf === null);
  const kinds = kindsToBuy(buying);
  /** Prices as they stand in the fields; a field that nobody touched shows what was planned. */
  const [texts, setTexts] = useState<ReadonlyMap<string, string>>(new Map());
  const textOf = (key: string, worth: Minor | null) =>
    texts.get(key) ?? (worth === null ? '' : moneyToEdit(worth));
  const prices = new Map(kinds.map(({ key, lot }) => [key, typed(textOf(key, lot.worth))]));
  const [carriage, charges] = [typed(postage), typed(fees)];
  const bad = [...prices.values(), carriage, charges].includes(undefined);
  const cost = worthOf(
    kinds.map(({ key, lot }) => ({ qty: lot.qty, price: prices.get(key) ?? null })),
    (l) => l.price,
  );
  const total = priced(cost.worth + (carriage ?? 0) + (charges ?? 0), cost.unpriced);
  const order = () => {
    if (!seller.trim() || bad) return;
    // What nobody touched keeps its planned price, entry by entry.
    const said = new Map(
      [...prices].flatMap(([key, p]) => (texts.has(key) ? [[key, p ?? null] as const] : [])),
    );
    const parcel = {
      seller: seller.trim(),
      postage: carriage ?? 0,
      fees: charges ?? 0,
      due,
      placedAt: placed,
      prices: said,
    };
    perform(placeOrder(workbench, buying, parcel, source()));
    onClose();
  };
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title="Order what is to buy"
      says={`${pieces(kinds.reduce((s, k) => s + k.lot.qty, 0))}, ${total} with postage and fees`}
    >
      <form
        className="grid grid-cols-2 gap-3 sm:grid-cols-4"
        onSubmit={(e) => {
          e.preventDefault();
          order();
        }}
      >
        <ul
          className="border-rule col-span-full max-h-56 overflow-auto border-y"
          aria-label="What is ordered"
        >
          {kinds.map(({ key, lot }) => (
            <li key={key} className="flex min-h-9 items-center gap-2">
              <Glyph element={lot.element} size={28} label="" />
              <span className="min-w-0 flex-1 truncate">
                {count(lot.qty)} {elementName(lot.element)} <span className="text-faint">{lot.grade}</span>
              </span>
              <label className="flex items-center gap-1">
                <span className="text-soft text-[12px]">each</span>
                <Input
                  className="w-20 text-right"
                  aria-label={`Price of one ${elementName(lot.element)}`}
                  value={textOf(key, lot.worth)}
                  placeholder="not known"
                  aria-invalid={prices.get(key) === undefined}
                  onChange={(e) => setTexts(new Map(texts).set(key, e.target.value))}
                />
              </label>
              <span className="w-16 text-right">
                {typeof prices.get(key) === 'number' ? money((prices.get(key) ?? 0) * lot.qty) : ''}
              </span>
            </li>
          ))}
        </ul>
        <Field label="Seller">
          <Input
            autoFocus
            required
            maxLength={200}
            value={seller}
            onChange={(e) => setSeller(e.target.value)}
            className="min-w-0"
          />
        </Field>
        <Field label="Postage">
          <Input
            value={postage}
            placeholder="0.00"
            onChange={(e) => setPostage(e.target.value)}
            aria-invalid={carriage === undefined}
            className="min-w-0"
          />
        </Field>
        <Field label="Fees">
          <Input
            value={fees}
            placeholder="0.00"
            onChange={(e) => setFees(e.target.value)}
            aria-invalid={charges === undefined}
            className="min-w-0"
          />
        </Field>
        <Field label="Ordered on">
          <Input
            type="date"
            required
            value={placed}
            onChange={(e) => setPlaced(e.target.value)}
            className="min-w-0"
          />
        </Field>
        <Field label="Expected, if known">
          <Input
            type="date"
            min={placed}
            value={due}
            onChange={(e) => setDue(e.target.value)}
            className="min-w-0"
          />
        </Field>
        {record && (
          <p role="status" className="col-span-full">
            From your own orders: {sellerWords(record)}.
          </p>
        )}
        {bad && (
          <p role="alert" className="col-span-full">
            ▲ One of the amounts is not a price. Write 3.45, or nothing where it is not known.
          </p>
        )}
        <div className="col-span-full flex justify-end gap-2">
          <Button onClick={onClose}>Cancel</Button>
          <Button look="main" type="submit" disabled={!seller.trim() || bad || kinds.length === 0}>
            Order
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
