'use client';

import { useState } from 'react';
import type { Order } from '@/core/ledger';
import { addDays } from '@/core/market';
import { cancelling, cancelOrder, chaseOrder, refundOrder, waitUntil } from '@/core/orders';
import { moneyToEdit, readMoney } from '@/core/shared/money';
import { Button } from '@/ui/button';
import { Field, Input } from '@/ui/field';
import { money, pieces, priced } from '@/ui/numbers';
import { useBuild } from '../common/build-store';

/** What can be done about an order that is late: wait, ask, or cancel it and buy elsewhere, with what that costs. */
export function LateOffers({ order, today }: { order: Order; today: string }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [until, setUntil] = useState(() => addDays(today, 7));
  const [stopping, setStopping] = useState(false);
  const what = cancelling(workbench, order);
  const [back, setBack] = useState(() => moneyToEdit(what.paid));
  const refund = back.trim() ? readMoney(back) : 0;
  return (
    <div className="border-rule mt-2 flex flex-wrap items-end gap-3 border-t pt-2">
      <Field label="Wait until">
        <Input type="date" min={today} value={until} onChange={(e) => setUntil(e.target.value)} />
      </Field>
      <Button disabled={until <= today} onClick={() => perform(waitUntil(order, until))}>
        Wait
      </Button>
      <Button onClick={() => perform(chaseOrder(order, today))}>
        {order.chasedAt === today ? 'Asked today' : 'I asked where it is'}
      </Button>
      {!stopping && <Button onClick={() => setStopping(true)}>Cancel, and buy elsewhere…</Button>}
      {stopping && (
        <span className="flex flex-wrap items-end gap-3">
          <span className="max-w-72">
            {pieces(what.pieces)} would have to be bought again:{' '}
            <b>{priced(what.elsewhere, what.elsewhereUnpriced)}</b> by your price book, postage apart. Here
            they cost {priced(what.paid, what.paidUnpriced)}.
          </span>
          <Field label="Refunded">
            <Input
              value={back}
              aria-invalid={refund === undefined}
              onChange={(e) => setBack(e.target.value)}
              className="w-24"
            />
          </Field>
          <Button
            look="main"
            disabled={refund === undefined}
            onClick={() => perform(cancelOrder(workbench, order, refund ?? 0, source()))}
          >
            Cancel the order
          </Button>
          <Button look="bare" onClick={() => setStopping(false)}>
            Not now
          </Button>
        </span>
      )}
    </div>
  );
}

/** Money that came back for an order, without a claim. */
export function RefundForm({ order, onDone }: { order: Order; onDone: () => void }) {
  const perform = useBuild((s) => s.perform);
  const [text, setText] = useState('');
  const amount = text.trim() ? readMoney(text) : undefined;
  return (
    <form
      className="mt-2 flex flex-wrap items-end gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        if (amount === undefined || amount === 0) return;
        perform(refundOrder(order, amount));
        onDone();
      }}
    >
      <Field label={`Refunded by ${order.seller}`}>
        <Input
          autoFocus
          value={text}
          placeholder="1.20"
          aria-invalid={text.trim() !== '' && amount === undefined}
          onChange={(e) => setText(e.target.value)}
          className="w-24"
        />
      </Field>
      <Button look="main" type="submit" disabled={!amount}>
        {amount ? `Take ${money(amount)} off its cost` : 'Take it off its cost'}
      </Button>
      <Button look="bare" onClick={onDone}>
        Not now
      </Button>
      {text.trim() !== '' && amount === undefined && (
        <span role="alert">▲ “{text}” is not an amount. Write 1.20.</span>
      )}
    </form>
  );
}
