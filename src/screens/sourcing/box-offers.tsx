'use client';

import { useEffect, useRef, useState } from 'react';
import type { BoxOffer, Command } from '@/core/ledger';
import { offerBox, withdrawBox } from '@/core/market';
import { readMoney } from '@/core/shared/money';
import { Button } from '@/ui/button';
import { Field, Input, Select } from '@/ui/field';
import { count, money } from '@/ui/numbers';
import { source } from '../common/build-store';
import { ask } from '../sending/answers';
import { isFilledIn, NumberBox } from '../common/number-box';

interface CatalogueSet {
  readonly code: string;
  readonly name: string;
  readonly pieces: number;
}

interface OffersProps {
  readonly offers: readonly BoxOffer[];
  readonly act: (command: Command) => void;
}

/** Boxes at prices of one's own, held against single parts like those of the sellers: any set of the catalogue, imported ones too. */
export function BoxOffers({ offers, act }: OffersProps) {
  const [open, setOpen] = useState(false);
  return (
    <details onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="text-soft min-h-7 text-[12px]">
        A box at your own price{offers.length > 0 ? `, ${count(offers.length)} in the comparison` : ''}
      </summary>
      <div className="flex flex-col gap-2 py-1">
        {offers.map((o) => (
          <p key={o.id} className="flex items-center gap-2">
            <span className="min-w-0 flex-1 truncate">
              {o.copies > 1 && `${count(o.copies)} × `}
              <bdi>{o.setName}</bdi>, {o.condition}, {money(o.price)} of <bdi>{o.seller}</bdi>
            </span>
            <Button aria-label={`Leave ${o.setName} out`} onClick={() => act(withdrawBox(o))}>
              Remove
            </Button>
          </p>
        ))}
        {open && <OfferForm act={act} />}
      </div>
    </details>
  );
}

function OfferForm({ act }: Pick<OffersProps, 'act'>) {
  const [sets, setSets] = useState<readonly CatalogueSet[] | null>(null);
  const [code, setCode] = useState('');
  const [price, setPrice] = useState('');
  const [copies, setCopies] = useState(1);
  const [days, setDays] = useState(7);
  const [condition, setCondition] = useState<BoxOffer['condition']>('second-hand');
  const [seller, setSeller] = useState('');
  useEffect(() => {
    let there = true;
    void ask<readonly CatalogueSet[]>('/api/catalogue').then((all) => there && setSets(all ?? []));
    return () => {
      there = false;
    };
  }, []);
  const amount = price.trim() ? readMoney(price) : undefined;
  const chosen = sets?.find((s) => s.code === code);
  const area = useRef<HTMLDivElement>(null);
  const add = () => {
    if (!isFilledIn(area.current) || !chosen || amount === undefined || !seller.trim()) return;
    const offer = {
      code,
      setName: chosen.name,
      condition,
      price: amount,
      copies,
      seller: seller.trim(),
      days,
    };
    act(offerBox(offer, source()));
    setPrice('');
  };
  return (
    <div
      ref={area}
      role="group"
      aria-label="A box at your own price"
      onKeyDown={(e) => {
        // It stands in the form that finds the plan: Enter here means the box.
        if (e.key !== 'Enter' || e.target instanceof HTMLButtonElement) return;
        e.preventDefault();
        add();
      }}
      className="grid grid-cols-2 gap-2"
    >
      <Field label="Set of the catalogue" className="col-span-2">
        <Select value={code} onChange={(e) => setCode(e.target.value)}>
          <option value="">{sets === null ? 'reading…' : 'choose…'}</option>
          {sets?.map((s) => (
            <option key={s.code} value={s.code}>
              {s.name}, {count(s.pieces)} pieces
            </option>
          ))}
        </Select>
      </Field>
      <Field label="Price, postage with it">
        <Input
          value={price}
          placeholder="14.50"
          aria-invalid={price.trim() !== '' && amount === undefined}
          onChange={(e) => setPrice(e.target.value)}
          className="min-w-0"
        />
      </Field>
      <Field label="From whom">
        <Input
          value={seller}
          maxLength={200}
          onChange={(e) => setSeller(e.target.value)}
          className="min-w-0"
        />
      </Field>
      <Field label="Condition">
        <Select value={condition} onChange={(e) => setCondition(e.target.value as BoxOffer['condition'])}>
          <option value="second-hand">second-hand</option>
          <option value="new">new</option>
        </Select>
      </Field>
      <NumberBox label="Copies" least={1} most={1000} value={copies} onChange={setCopies} live />
      <NumberBox label="Days until it is there" least={0} most={365} value={days} onChange={setDays} live />
      <Button className="self-end" disabled={!chosen || amount === undefined || !seller.trim()} onClick={add}>
        Compare it too
      </Button>
    </div>
  );
}
