'use client';

import { currencySign } from '@/core/shared/forms';
import { useVirtualizer } from '@tanstack/react-virtual';
import { Trash2 } from 'lucide-react';
import { Link } from '@/ui/link';
import { useMemo, useRef, useState } from 'react';
import { elementName, elementSearch, sortedByName } from '@/core/parts';
import { moneyToEdit, readMoney } from '@/core/shared/money';
import { deletePrice, setPrice } from '@/core/stock';
import type { StockOpening, StockSnapshot } from '@/server/snapshot';
import { Button, buttonClass } from '@/ui/button';
import { Input } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { PaletteProvider } from '@/ui/palette-context';
import { useBackground } from '../common/use-background';
import { AddPriceForm } from './add-price-form';
import { PRICES_ARE_FOR, priceBookWords } from '../words/own-parts';
import { WithStock } from '../common/with-stock';
import { UndoButtons, useOwnPartsActs, useOwnPartsPalette } from '../common/own-parts-acts';
import { useInAddress } from '../common/use-in-address';
import { ListLinks } from '../lists/list-links';

/** The price book: what a piece costs, new and used. Plans are costed from it. */
export const PricesScreen = ({ opening }: { opening: StockOpening }) => (
  <WithStock opening={opening} screen="Prices">
    {(stock) => <Prices stock={stock} />}
  </WithStock>
);

function Prices({ stock }: { stock: StockSnapshot }) {
  const [wanted, setWanted] = useInAddress('find');
  useBackground();
  const acts = useOwnPartsActs(stock);
  const palette = useOwnPartsPalette(stock);
  const shown = useMemo(() => {
    const fits = elementSearch(wanted);
    return sortedByName(
      stock.prices.filter((p) => fits(p.element)),
      (p) => p.element,
    );
  }, [stock.prices, wanted]);
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: shown.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => 42,
    overscan: 12,
  });
  return (
    <PaletteProvider palette={palette}>
      <main className="mx-auto flex min-h-0 w-full max-w-4xl flex-1 flex-col px-4 py-5">
        <div className="mb-4 flex flex-wrap items-end gap-3">
          <div className="min-w-64 flex-1">
            <h1 className="text-[24px] leading-tight">{priceBookWords(stock.prices.length)}</h1>
            <p className="text-soft mt-1">{PRICES_ARE_FOR}</p>
          </div>
          <UndoButtons undoRedo={stock.undoRedo} acts={acts} />
          <ListLinks of="/own-parts" list="prices" />
          <Link href="/import?for=prices" className={buttonClass('main')}>
            Import a price list
          </Link>
        </div>
        <p role="status" className="font-medium">
          {acts.says}
        </p>
        <AddPriceForm stock={stock} acts={acts} palette={palette} />
        {stock.prices.length > 0 && (
          <>
            <Input
              value={wanted}
              onChange={(e) => setWanted(e.target.value)}
              aria-label="Find a price"
              placeholder="Find a part or colour"
              className="mb-2"
            />
            <div
              ref={scroller}
              tabIndex={0}
              role="region"
              aria-label="Prices"
              className="border-rule bg-sheet scroll-box rounded-md border"
            >
              <ul style={{ height: virtual.getTotalSize() }} className="relative">
                {virtual.getVirtualItems().map((item) => {
                  const price = shown[item.index];
                  return (
                    price && (
                      <li
                        key={price.id}
                        style={{ transform: `translateY(${item.start}px)` }}
                        ref={virtual.measureElement}
                        data-index={item.index}
                        className="border-rule absolute inset-x-0 top-0 flex min-h-[42px] flex-wrap items-center gap-x-3 gap-y-1 border-b px-3 py-0.5"
                      >
                        <Glyph element={price.element} size={36} />
                        <bdi className="min-w-40 flex-1 truncate">{elementName(price.element)}</bdi>
                        <PriceInput
                          name={`New price of ${elementName(price.element)}`}
                          words={`new ${currencySign()}`}
                          value={price.newPrice}
                          onKeep={(newPrice) => acts.perform(setPrice(price, { newPrice }))}
                        />
                        <PriceInput
                          name={`Used price of ${elementName(price.element)}`}
                          words={`used ${currencySign()}`}
                          value={price.usedPrice}
                          onKeep={(usedPrice) => acts.perform(setPrice(price, { usedPrice }))}
                        />
                        <Button
                          look="bare"
                          aria-label={`Delete the price of ${elementName(price.element)}`}
                          title="Delete"
                          onClick={() => acts.perform(deletePrice(price))}
                        >
                          <Trash2 size={14} aria-hidden />
                        </Button>
                      </li>
                    )
                  );
                })}
              </ul>
            </div>
          </>
        )}
      </main>
    </PaletteProvider>
  );
}

interface PriceInputProps {
  readonly name: string;
  readonly words: string;
  readonly value: number | null;
  readonly onKeep: (value: number | null) => void;
}

function PriceInput({ name, words, value, onKeep }: PriceInputProps) {
  const written = value === null ? '' : moneyToEdit(value);
  const [text, setText] = useState(written);
  const [seen, setSeen] = useState(written);
  if (seen !== written) {
    setSeen(written);
    setText(written);
  }
  const read = text.trim() === '' ? null : readMoney(text);
  const keep = () => {
    if (read === undefined) setText(written);
    else if (read !== value) onKeep(read);
  };
  return (
    <label className="flex items-center gap-1.5">
      <span className="text-faint text-[12px]">{words}</span>
      <Input
        aria-label={name}
        aria-invalid={read === undefined}
        value={text}
        onChange={(e) => setText(e.target.value)}
        onBlur={keep}
        onKeyDown={(e) => e.key === 'Enter' && keep()}
        className="w-20 text-right"
      />
    </label>
  );
}
