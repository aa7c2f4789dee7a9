import type { BoxOffer, Command } from '@/core/ledger';
import type { Beside } from './mixed-lots';
import { BoxOffers } from './box-offers';
import { useState } from 'react';
import { readDelimited } from '@/core/formats';
import { elementName } from '@/core/parts';
import { lotId, readPriceList, type MarketSeller } from '@/core/market';
import { Button, Key } from '@/ui/button';
import { Check, Field, Input, Select } from '@/ui/field';
import { count } from '@/ui/numbers';
import { priceListWords } from '../words/price-list';
import { LeftOut } from './told-parcels';
import type { SourcingTools, WantedParts } from './use-sourcing';

/** How the need is to be met: limits, what may be bought, and of whom. */
export function PreferencesForm({
  sourcing,
  busy,
  need,
  boxes = true,
  offers,
  beside,
  onRun,
}: {
  sourcing: SourcingTools;
  busy: boolean;
  need: WantedParts;
  /** False where no box can be bought: several builds cannot share one. */
  boxes?: boolean;
  /** Boxes at prices of one's own, where they can be bought. */
  offers?: { readonly of: readonly BoxOffer[]; readonly act: (command: Command) => void } | undefined;
  /** What condition fits where a lot goes. */
  beside?: Beside | undefined;
  onRun: () => void;
}) {
  const { preferences: p, setPreferences } = sourcing;
  const set = (to: Partial<typeof p>) => setPreferences({ ...p, ...to });
  return (
    <form
      aria-label="How to find the plan"
      className="border-rule flex min-h-0 flex-col gap-2.5 overflow-auto border-r p-4"
      onSubmit={(e) => {
        e.preventDefault();
        if (busy) sourcing.stop();
        else onRun();
      }}
    >
      <Button look="main" type="submit" disabled={need.missing === 0}>
        {busy ? 'Stop, keep the best' : 'Find the best plan'} <Key>G</Key>
      </Button>
      <p className="text-faint text-[12px]">
        Asks the sellers of a simulated market, and your own price lists and boxes.
      </p>
      <div className="grid grid-cols-2 gap-2">
        <LimitField
          label="At most so many parcels"
          none="any number"
          value={p.maxParcels}
          onChange={(maxParcels) => set({ maxParcels })}
        />
        <Field label="Think for">
          <Select value={sourcing.seconds} onChange={(e) => sourcing.setSeconds(Number(e.target.value))}>
            {[2, 5, 10, 30, 60].map((s) => (
              <option key={s} value={s}>
                {s} seconds
              </option>
            ))}
          </Select>
        </Field>
        <LimitField
          label="There within days"
          none="whenever"
          value={p.within}
          onChange={(within) => set({ within })}
        />
        <Field label="Sure of it by">
          <Select value={p.chance} onChange={(e) => set({ chance: Number(e.target.value) })}>
            {[0.5, 0.7, 0.8, 0.9].map((c) => (
              <option key={c} value={c}>
                {Math.round(c * 100)} %
              </option>
            ))}
          </Select>
        </Field>
      </div>
      <div>
        <Check words="only genuine parts" on={p.genuine} onChange={(genuine) => set({ genuine })} />
        <Check words="used parts too" on={p.used} onChange={(used) => set({ used })} />
        <Check
          words="hidden parts in any colour"
          on={p.hiddenAnyColour}
          onChange={(hiddenAnyColour) => set({ hiddenAnyColour })}
        />
        <Check
          words="other shapes that fill the same place"
          on={p.shapes}
          onChange={(shapes) => set({ shapes })}
        />
        {boxes && <Check words="boxes to break up" on={p.boxes} onChange={(on) => set({ boxes: on })} />}
      </div>
      {boxes && (
        <Field label="A box’s left-overs are worth to me">
          <Select value={p.credit} onChange={(e) => set({ credit: Number(e.target.value) })}>
            {[0, 0.15, 0.3, 0.5, 0.7].map((c) => (
              <option key={c} value={c}>
                {Math.round(c * 100)} % of their price
              </option>
            ))}
          </Select>
        </Field>
      )}
      <ByLot sourcing={sourcing} need={need} beside={beside} />
      <PriceLists sourcing={sourcing} />
      {boxes && <LeftOut preferences={p} onBack={(leaveOut) => set({ leaveOut })} />}
      {boxes && offers && <BoxOffers offers={offers.of} act={offers.act} />}
      {sourcing.market && <Sellers sourcing={sourcing} />}
    </form>
  );
}

/** A whole number, or no limit where it is empty. What is no number is not taken, and the field keeps what it had. */
function LimitField({
  label,
  none,
  value,
  onChange,
}: {
  label: string;
  none: string;
  value: number | null;
  onChange: (value: number | null) => void;
}) {
  return (
    <Field label={label}>
      <Input
        inputMode="numeric"
        placeholder={none}
        value={value ?? ''}
        onChange={(e) => {
          const text = e.target.value.trim();
          if (/^\d{0,4}$/.test(text)) onChange(text === '' ? null : Number(text));
        }}
        className="min-w-0"
      />
    </Field>
  );
}

interface ByLotProps {
  readonly sourcing: SourcingTools;
  readonly need: WantedParts;
  readonly beside?: Beside | undefined;
}

/** New or used, lot by lot, where a lot is to be other than the rest. */
function ByLot({ sourcing, need, beside }: ByLotProps) {
  const { preferences: p, setPreferences } = sourcing;
  if (need.lots.length === 0) return null;
  const set = (id: string, to: string) => {
    const condition = new Map(p.condition);
    if (to === 'new' || to === 'used') condition.set(id, to);
    else condition.delete(id);
    setPreferences({ ...p, condition });
  };
  return (
    <details>
      <summary className="text-soft min-h-7 text-[12px]">
        New or used, kind by kind{p.condition.size > 0 ? `, ${count(p.condition.size)} chosen` : ''}
      </summary>
      {beside && (
        <Button
          className="my-1"
          onClick={() => {
            const condition = new Map(p.condition);
            for (const l of need.lots) {
              const fits = beside(l);
              if (fits) condition.set(lotId(l), fits);
            }
            setPreferences({ ...p, condition });
          }}
        >
          As those beside them, where they are seen
        </Button>
      )}
      <ul>
        {need.lots.map((l) => (
          <li key={lotId(l)} className="flex min-h-8 items-center gap-2">
            <span className="min-w-0 flex-1 truncate">
              {count(l.qty)} {elementName(l.element)}
            </span>
            <Select
              aria-label={`Condition of ${elementName(l.element)}${l.hidden ? ', hidden' : ''}`}
              value={p.condition.get(lotId(l)) ?? ''}
              onChange={(e) => set(lotId(l), e.target.value)}
            >
              <option value="">as all</option>
              <option value="new">new</option>
              <option value="used">used</option>
            </Select>
          </li>
        ))}
      </ul>
    </details>
  );
}

/** "1 offer", "90 offers" */
const offersOf = ({ offers }: Pick<MarketSeller, 'offers'>): string =>
  `${count(offers.length)} ${offers.length === 1 ? 'offer' : 'offers'}`;

/** Price lists as files: a seller who is not on the market is asked with the others. */
function PriceLists({ sourcing }: { sourcing: SourcingTools }) {
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
        <Field label="Postage in pence, whatever the weight">
          <Input
            type="number"
            min={0}
            value={sourcing.listPostage}
            onChange={(e) => sourcing.setListPostage(Math.max(0, Math.floor(Number(e.target.value)) || 0))}
          />
        </Field>
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

/** Sellers of the plan and those that were chosen before: preferred, or never. */
function Sellers({ sourcing }: { sourcing: SourcingTools }) {
  const { preferences: p, setPreferences, market, plan } = sourcing;
  const used = new Set(plan?.buys.map((b) => b.seller));
  const listed =
    market?.sellers.filter((s) => used.has(s.id) || p.never.has(s.id) || p.prefer.has(s.id)) ?? [];
  if (listed.length === 0) return null;
  const set = (id: string, to: string) => {
    const [never, prefer] = [new Set(p.never), new Set(p.prefer)];
    never.delete(id);
    prefer.delete(id);
    if (to === 'never') never.add(id);
    if (to === 'prefer') prefer.add(id);
    setPreferences({ ...p, never, prefer });
  };
  return (
    <fieldset>
      <legend className="text-soft text-[12px]">Sellers, simulated but for your price lists</legend>
      {listed.map((s) => (
        <label key={s.id} className="flex min-h-8 items-center gap-2">
          <span className="min-w-0 flex-1 truncate">
            <bdi>{s.name}</bdi>, {s.place}
            {!s.genuine && ' (not all genuine)'}
          </span>
          <Select
            aria-label={s.name}
            value={p.never.has(s.id) ? 'never' : p.prefer.has(s.id) ? 'prefer' : ''}
            onChange={(e) => set(s.id, e.target.value)}
          >
            <option value="">as any</option>
            <option value="prefer">prefer</option>
            <option value="never">never</option>
          </Select>
        </label>
      ))}
      {p.prefer.size > 0 && (
        <Field label="A preferred parcel may cost more by (pence)">
          <Input
            type="number"
            min={0}
            value={p.favour}
            onChange={(e) =>
              setPreferences({ ...p, favour: Math.max(0, Math.floor(Number(e.target.value)) || 0) })
            }
          />
        </Field>
      )}
    </fieldset>
  );
}
