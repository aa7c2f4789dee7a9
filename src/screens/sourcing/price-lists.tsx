import { useState } from 'react';
import { readDelimited } from '@/core/formats';
import { readPriceList, type MarketSeller } from '@/core/market';
import { Button } from '@/ui/button';
import { Field } from '@/ui/field';
import { count } from '@/ui/numbers';
import { priceListWords } from '../words/price-list';
import type { SourcingTools } from './use-sourcing';
import { MoneyBox } from '../common/money-box';

/** "1 offer", "90 offers" */
const offersOf = ({ offers }: Pick<MarketSeller, 'offers'>): string =>
  `${count(offers.length)} ${offers.length === 1 ? 'offer' : 'offers'}`;

/** Price lists as files: a seller who is not on the market is asked with the others. */
export function PriceLists({ sourcing }: { sourcing: SourcingTools }) {
  const { palette } = sourcing.known;
  const [says, setSays] = useState('');
  const take = async (file: File | undefined) => {
    if (!file) return;
    const table = readDelimited(await file.text());
    if (!table.ok)
      return setSays(
        `${file.name} is no table of rows and columns: it wants a heading and a row for each kind.`,
      );
    const name = file.name.replace(/\.[^.]*$/, '') || 'price list';
    const read = readPriceList(table.value, palette, {
      id: `list ${name}`,
      name,
      place: 'price list',
      own: true,
      genuine: true,
      minOrder: 0,
      postage: [{ maxGrams: 1e9, pence: sourcing.listPostage }],
      days: 5,
      spread: 2,
      late: 0.1,
      short: 0,
      wrong: 0,
    });
    if (!read.ok) return setSays(`${file.name}: ${priceListWords(read.reason)} Nothing of it was taken.`);
    sourcing.setLists([...sourcing.lists.filter((l) => l.id !== read.value.id), read.value]);
    setSays(`${name}: ${offersOf(read.value)}, asked with the others.`);
  };
  return (
    <details>
      <summary className="text-soft min-h-7 text-[12px]">
        A seller’s price list{sourcing.lists.length > 0 ? `, ${count(sourcing.lists.length)} taken` : ''}
      </summary>
      <div className="flex flex-col gap-2 py-1">
        {sourcing.lists.map((l) => (
          <p key={l.id} className="flex items-center gap-2">
            <span className="min-w-0 flex-1 truncate">
              <bdi>{l.name}</bdi>, {offersOf(l)}
            </span>
            <Button
              aria-label={`Ask ${l.name} no more`}
              onClick={() => {
                sourcing.setLists(sourcing.lists.filter((o) => o.id !== l.id));
                setSays(`${l.name} is not asked any more.`);
              }}
            >
              Remove
            </Button>
          </p>
        ))}
        <MoneyBox
          label="Postage, whatever the weight"
          value={sourcing.listPostage}
          onChange={(postage) => sourcing.setListPostage(postage ?? 0)}
        />
        <Field label="CSV with part, colour, price, stock">
          <input
            type="file"
            accept=".csv,.tsv,.txt"
            onChange={(e) => {
              void take(e.target.files?.[0]);
              e.target.value = '';
            }}
          />
        </Field>
        <p role="status" className="text-soft text-[12px]">
          {says}
        </p>
      </div>
    </details>
  );
}
