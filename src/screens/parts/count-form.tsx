import { useState } from 'react';
import type { Order } from '@/core/ledger';
import { elementName } from '@/core/parts';
import type { TrayId } from '@/core/shared/ids';
import { boxOf, receiveOrder, type AwaitedLot, type ParcelNews } from '@/core/orders';
import { Button } from '@/ui/button';
import { Check, Input, Select } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { pieces } from '@/ui/numbers';
import { useBuild } from '../common/build-store';

/** Counting a parcel in: what is in it is shown as the post brought it; a person says what they found. */
export function CountForm({
  order,
  lots,
  news,
  onDone,
}: {
  order: Order;
  lots: readonly AwaitedLot[];
  /** What the simulated post put into it; undefined where only the person knows. */
  news: ParcelNews | undefined;
  onDone: () => void;
}) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const box = boxOf(workbench, order);
  const rests = box ? 'stays in the box' : 'to the spares';
  const lacksOf = (l: AwaitedLot) =>
    news?.lacks.find((x) => x.element === l.element) ?? { short: 0, wrong: 0 };
  const key = (l: AwaitedLot) => `${l.element}|${l.grade}`;
  const [came, setCame] = useState<ReadonlyMap<string, number>>(
    () =>
      new Map(
        lots.map((l) => {
          const { short, wrong } = lacksOf(l);
          return [key(l), l.qty - short - wrong];
        }),
      ),
  );
  const [straightOn, setStraightOn] = useState(false);
  const [rest, setRest] = useState<TrayId | null>(null);
  const lack = lots.reduce((s, l) => s + l.qty - (came.get(key(l)) ?? 0), 0);
  return (
    <form
      className="mt-2"
      onSubmit={(e) => {
        e.preventDefault();
        perform(receiveOrder(workbench, order, (l) => came.get(key(l)) ?? 0, source(), { straightOn, rest }));
        onDone();
      }}
    >
      <ul>
        {lots.map((l) => {
          const { short, wrong } = lacksOf(l);
          return (
            <li key={key(l)} className="border-rule flex min-h-10 items-center gap-3 border-b">
              <Glyph element={l.element} size={30} />
              <span className="flex-1">
                {l.qty} {elementName(l.element)} <span className="text-faint">{l.grade}</span>
                {short + wrong > 0 && (
                  <b>
                    {' '}
                    ▲ in the parcel, simulated: {short > 0 && `${short} too few`}
                    {short > 0 && wrong > 0 && ', '}
                    {wrong > 0 && `${wrong} yellowed or of another colour`}
                  </b>
                )}
              </span>
              <Input
                type="number"
                min={0}
                max={l.qty}
                aria-label={`${elementName(l.element)}: good ones that came`}
                value={came.get(key(l)) ?? 0}
                onChange={(e) =>
                  setCame(
                    new Map(came).set(
                      key(l),
                      Math.max(0, Math.min(l.qty, Math.floor(Number(e.target.value)) || 0)),
                    ),
                  )
                }
                className="w-20"
              />
            </li>
          );
        })}
      </ul>
      <div className="mt-2 flex flex-wrap items-center justify-end gap-3">
        <Check
          words="straight onto the model where an entry has all it needs"
          on={straightOn}
          onChange={setStraightOn}
        />
        {!box && (
          <label className="flex items-center gap-2">
            what no plan waits for
            <Select value={rest ?? ''} onChange={(e) => setRest((e.target.value || null) as TrayId | null)}>
              <option value="">stays in the spares</option>
              {[...workbench.records.tray.values()].map((t) => (
                <option key={t.id} value={t.id}>
                  to tray {t.name}
                </option>
              ))}
            </Select>
          </label>
        )}
        {lack > 0 && <span>{pieces(lack)} to claim: the plans need them again.</span>}
        <Button onClick={onDone}>Not now</Button>
        <Button look="main" type="submit">
          {straightOn ? `Straight on, the rest ${rests}` : rests.replace(/^./, (c) => c.toUpperCase())}
        </Button>
      </div>
    </form>
  );
}
