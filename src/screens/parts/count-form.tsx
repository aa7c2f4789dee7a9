import { useState } from 'react';
import type { Order } from '@/core/ledger';
import { elementName } from '@/core/parts';
import type { TrayId } from '@/core/shared/ids';
import { boxOf, receiveOrder, type AwaitedLot, type ParcelNews, type Remainder } from '@/core/orders';
import { Button } from '@/ui/button';
import { Check, Select } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { pieces } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { NumberBox } from '../common/number-box';

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
  /** What becomes of what did not come: of a simulated parcel it is known to be wrong or missing, else it may still come. */
  const [fates, setFates] = useState<ReadonlyMap<string, Remainder>>(new Map());
  const fateOf = (l: AwaitedLot): Remainder =>
    fates.get(key(l)) ??
    (news || box ? (lacksOf(l).wrong > lacksOf(l).short ? 'wrong' : 'short') : 'to come');
  const lacking = lots.filter((l) => l.qty > (came.get(key(l)) ?? 0));
  const sum = (fate: (f: Remainder) => boolean) =>
    lacking.reduce((s, l) => s + (fate(fateOf(l)) ? l.qty - (came.get(key(l)) ?? 0) : 0), 0);
  const claimed = sum((f) => f !== 'to come');
  const later = sum((f) => f === 'to come');
  return (
    <form
      className="mt-2"
      onSubmit={(e) => {
        e.preventDefault();
        perform(
          receiveOrder(
            workbench,
            order,
            (l) => came.get(key(l)) ?? 0,
            source(),
            { straightOn, rest },
            fateOf,
          ),
        );
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
              <NumberBox
                label={`${elementName(l.element)}: good ones that came`}
                bare
                least={0}
                most={l.qty}
                value={came.get(key(l)) ?? 0}
                onChange={(qty) => setCame(new Map(came).set(key(l), qty))}
                live
              />
              {l.qty > (came.get(key(l)) ?? 0) && (
                <Select
                  aria-label={`${elementName(l.element)}: the others`}
                  value={fateOf(l)}
                  onChange={(e) => setFates(new Map(fates).set(key(l), e.target.value as Remainder))}
                >
                  <option value="to come">{l.qty - (came.get(key(l)) ?? 0)} still to come</option>
                  <option value="short">{l.qty - (came.get(key(l)) ?? 0)} not in it: claim</option>
                  <option value="wrong">{l.qty - (came.get(key(l)) ?? 0)} wrong: claim</option>
                  <option value="damaged">{l.qty - (came.get(key(l)) ?? 0)} damaged: claim</option>
                </Select>
              )}
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
        {claimed > 0 && <span>{pieces(claimed)} to claim: the plans need them again.</span>}
        {later > 0 && <span>{pieces(later)} still to come.</span>}
        <Button onClick={onDone}>Not now</Button>
        <Button look="main" type="submit">
          {straightOn ? `Straight on, the rest ${rests}` : rests.replace(/^./, (c) => c.toUpperCase())}
        </Button>
      </div>
    </form>
  );
}
