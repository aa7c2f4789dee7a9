import type { BoxOffer, Command } from '@/core/ledger';
import type { Beside } from './mixed-lots';
import { BoxOffers } from './box-offers';
import { Button, Key } from '@/ui/button';
import { Check, Field, Select } from '@/ui/field';
import { NumberBox } from '../common/number-box';
import { ConditionByLot } from './condition-by-lot';
import { PreferredSellers } from './preferred-sellers';
import { PriceLists } from './price-lists';
import { LeftOut } from './told-parcels';
import type { SourcingTools, WantedParts } from './use-sourcing';

/** The most days, and parcels, that can be asked for. */
const MOST_LIMIT = 9999;

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
      <Button look="main" type="submit" disabled={!busy && need.missing === 0}>
        {busy ? 'Stop, keep the best' : 'Find the best plan'} <Key>G</Key>
      </Button>
      <p className="text-faint text-[12px]">
        Asks the sellers of a simulated market, and your own price lists and boxes.
      </p>
      <div className="grid grid-cols-2 gap-2">
        <NumberBox
          label="Parcels at most"
          none="any number"
          least={1}
          most={MOST_LIMIT}
          value={p.maxParcels}
          onChange={(maxParcels) => set({ maxParcels })}
          onEmpty={() => set({ maxParcels: null })}
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
        <NumberBox
          label="There within days"
          none="whenever"
          least={1}
          most={MOST_LIMIT}
          value={p.within}
          onChange={(within) => set({ within })}
          onEmpty={() => set({ within: null })}
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
      <ConditionByLot sourcing={sourcing} need={need} beside={beside} />
      <PriceLists sourcing={sourcing} />
      {boxes && <LeftOut preferences={p} onBack={(leaveOut) => set({ leaveOut })} />}
      {boxes && offers && <BoxOffers offers={offers.of} act={offers.act} />}
      {sourcing.market && <PreferredSellers sourcing={sourcing} />}
    </form>
  );
}
