'use client';

import { useState } from 'react';
import { placeOrder, toBuy } from '@/core/workbench';
import { placeOf, sizeOf, stepsOf, type Entry, type Modification, worthOf } from '@/core/ledger';
import { readMoney } from '@/core/shared/money';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Field, Input } from '@/ui/field';
import { LotGlyph } from '@/ui/glyph';
import { pieces, priced } from '@/ui/numbers';
import { entriesOf, useBuild } from '../common/build-store';
import type { BenchDialogs } from './dialogs';

/** Places an order for what is to buy, in one modification or in all: the money is spent, the pieces are on the way. */
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
  const [due, setDue] = useState('');
  const pool = modification
    ? entriesOf(workbench, modification.id)
    : workbench.entries.filter((e) => e.whatIf === null);
  const buying = toBuy(pool).filter((e) => e.whatIf === null);
  const lots = buying.flatMap((e) => e.movements.filter((m) => placeOf(m.from) === 'outside'));
  const cost = worthOf(lots, (m) => m.worth);
  const carriage = postage ? readMoney(postage) : 0;
  const place = () => {
    if (!seller.trim() || carriage === undefined) return;
    perform(placeOrder(workbench, buying, { seller: seller.trim(), postage: carriage, due }, source()));
    onClose();
  };
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title="Order what is to buy"
      says={`${pieces(lots.reduce((s, m) => s + m.qty, 0))}, ${priced(cost.worth, cost.unpriced)}, postage apart`}
    >
      <form
        className="grid grid-cols-3 gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          place();
        }}
      >
        <div className="col-span-3 flex max-h-40 flex-wrap gap-3 overflow-auto">
          {lots.map((m, i) => (
            <LotGlyph key={i} element={m.element} qty={m.qty} />
          ))}
        </div>
        <Field label="Seller">
          <Input
            autoFocus
            required
            maxLength={200}
            value={seller}
            onChange={(e) => setSeller(e.target.value)}
          />
        </Field>
        <Field label="Postage">
          <Input
            value={postage}
            placeholder="0.00"
            onChange={(e) => setPostage(e.target.value)}
            aria-invalid={carriage === undefined}
          />
        </Field>
        <Field label="Due">
          <Input type="date" value={due} onChange={(e) => setDue(e.target.value)} />
        </Field>
        {carriage === undefined && (
          <p role="alert" className="col-span-3">
            ▲ “{postage}” is not a price. Write 3.45.
          </p>
        )}
        <div className="col-span-3 flex justify-end gap-2">
          <Button onClick={onClose}>Cancel</Button>
          <Button
            look="main"
            type="submit"
            disabled={!seller.trim() || carriage === undefined || lots.length === 0}
          >
            Order
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

/** "31 of 46 placed": turns part of a planned entry into a done one. */
export function PartDialog({
  entry,
  dialogs,
  onClose,
}: {
  entry: Entry;
  dialogs: BenchDialogs;
  onClose: () => void;
}) {
  const steps = stepsOf(entry);
  const each = sizeOf(entry) / steps;
  const [placed, setPlaced] = useState(Math.max(1, Math.floor(steps / 2)));
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title="Placed in part"
      says={`${placed * each} of ${steps * each} placed`}
    >
      <form
        className="flex items-end gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          dialogs.place([entry], placed);
          onClose();
        }}
      >
        <Field label={each === 1 ? 'Pieces placed' : `Lots of ${each} placed`}>
          <Input
            autoFocus
            type="number"
            min={1}
            max={steps}
            value={placed}
            onChange={(e) => setPlaced(Math.max(1, Math.min(steps, Math.floor(Number(e.target.value)) || 1)))}
            className="w-24"
          />
        </Field>
        <Button look="main" type="submit">
          Placed
        </Button>
      </form>
    </Dialog>
  );
}
