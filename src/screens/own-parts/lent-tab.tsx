'use client';

import { formatDay } from '@/core/shared/forms';
import { useRef, useState } from 'react';
import { goneAccount, type Entry } from '@/core/ledger';
import { elementName } from '@/core/parts';
import type { TrayId } from '@/core/shared/ids';
import { giveBack, openLoans } from '@/core/stock';
import type { StockSnapshot } from '@/server/snapshot';
import { Button } from '@/ui/button';
import { Field, Select } from '@/ui/field';
import { LotGlyph } from '@/ui/glyph';
import { pieces } from '@/ui/numbers';
import { source } from '../common/build-store';
import type { OwnPartsActs } from '../common/own-parts-acts';
import { isFilledIn, NumberBox } from '../common/number-box';

/** What is out on loan, to whom and since when; had back in whole or in part. */
export function LentTab({ stock, acts }: { stock: StockSnapshot; acts: OwnPartsActs }) {
  const loans = openLoans(stock.loans);
  const out = loans.reduce((s, l) => s + l.movements.reduce((n, m) => n + m.qty, 0), 0);
  return (
    <section aria-label="Lent out" tabIndex={0} className="min-h-0 flex-1 overflow-auto px-4 py-3">
      <h2 className="mb-2">
        {loans.length === 0
          ? 'Nothing is lent out. Choose parts in a tray and press Lend.'
          : `${pieces(out)} are lent out.`}
      </h2>
      <ul>
        {loans.map((l) => (
          <Loan key={l.id} loan={l} stock={stock} acts={acts} />
        ))}
      </ul>
    </section>
  );
}

function Loan({ loan, stock, acts }: { loan: Entry; stock: StockSnapshot; acts: OwnPartsActs }) {
  const lent = loan.movements.filter((m) => m.to === goneAccount('lent'));
  const all = lent.reduce((s, m) => s + m.qty, 0);
  const area = useRef<HTMLLIElement>(null);
  const [came, setCame] = useState(all);
  const [tray, setTray] = useState<TrayId | null>(stock.trays[0]?.id ?? null);
  const goal = stock.trays.find((t) => t.id === tray);
  return (
    <li ref={area} className="border-rule flex flex-wrap items-end gap-3 border-b py-2">
      <span className="min-w-56 flex-1">
        <b>
          <bdi>{loan.note || 'to nobody named'}</bdi>
        </b>{' '}
        <span className="text-soft">since {formatDay(loan.loggedAt)}</span>
        <span className="mt-1 flex flex-wrap gap-2">
          {lent.map((m) => (
            <span key={`${m.element}${m.grade}`} title={elementName(m.element)}>
              <LotGlyph element={m.element} qty={m.qty} size={32} />
            </span>
          ))}
        </span>
      </span>
      <NumberBox label="Came back" least={1} most={all} value={came} onChange={setCame} live />
      <Field label="Into tray">
        <Select value={tray ?? ''} onChange={(e) => setTray(e.target.value as TrayId)}>
          {stock.trays.map((t) => (
            <option key={t.id} value={t.id}>
              {t.name}
            </option>
          ))}
        </Select>
      </Field>
      <Button
        look="main"
        disabled={!goal}
        onClick={() => goal && isFilledIn(area.current) && acts.perform(giveBack(loan, came, goal, source()))}
      >
        Have it back
      </Button>
    </li>
  );
}
