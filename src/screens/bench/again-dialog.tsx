'use client';

import { useMemo, useState } from 'react';
import { onPieces, type Entry } from '@/core/ledger';
import { elementName } from '@/core/parts';
import { asId, type ZoneId } from '@/core/shared/ids';
import { howOften, type HowOften } from '@/core/stock';
import { costOfWork, hasSide, repeatEntries } from '@/core/workbench';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Check, Field, Select } from '@/ui/field';
import { count, pieces, priced } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { draftProblemWords } from '../words/log-line';
import { NumberBox } from '../common/number-box';

/** "At hand for 3 times; tile 1x2 ash ends first: 7 there, 2 each time." */
export function howOftenWords({ times, first }: HowOften): string {
  if (!first) return '';
  const name = elementName(first.element);
  return `At hand for ${times === 1 ? 'once' : `${count(times)} times`}; ${name} ends first: ${count(first.there)} there, ${count(first.each)} each time.`;
}

/** Entries once more: as often as is said, in the same zone or another, as they are or for the other side. */
export function AgainDialog({ entries, onClose }: { entries: readonly Entry[]; onClose: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const set = useBuild((s) => s.set);
  const [times, setTimes] = useState(1);
  const [zone, setZone] = useState<ZoneId | ''>('');
  const sided = hasSide(entries);
  const [mirrored, setMirrored] = useState(sided);
  const often = useMemo(() => {
    void version;
    return howOften(workbench, entries.flatMap(onPieces));
  }, [workbench, version, entries]);
  const tried = useMemo(() => {
    void version;
    let n = 0;
    const again = { times, zone: zone || null, mirrored };
    return repeatEntries(workbench, entries, again, { newId: () => `try-${n++}`, now: '' });
  }, [workbench, version, entries, times, zone, mirrored]);
  const go = () => {
    const again = repeatEntries(workbench, entries, { times, zone: zone || null, mirrored }, source());
    if (!again.ok) return;
    perform(again.command);
    set({ marked: new Set() });
    onClose();
  };
  const cost = tried.ok ? costOfWork(tried.entries) : null;
  const on = tried.ok ? tried.entries.flatMap(onPieces).reduce((s, p) => s + p.qty, 0) : 0;
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title="The same again"
      says={`${entries.length === 1 ? '1 entry' : `${entries.length} entries`}. ${howOftenWords(often)}`}
    >
      <form
        className="flex flex-col gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          go();
        }}
      >
        <div className="flex flex-wrap items-end gap-3">
          <NumberBox label="How often" least={1} most={100} value={times} onChange={setTimes} live />
          <Field label="Where">
            <Select
              value={zone}
              onChange={(e) => setZone(e.target.value ? asId<ZoneId>(e.target.value) : '')}
            >
              <option value="">in the same zone</option>
              {workbench.zones.map((z) => (
                <option key={z.id} value={z.id}>
                  {z.name}
                </option>
              ))}
            </Select>
          </Field>
          <Check
            words={
              sided ? 'On the other side: left becomes right' : 'On the other side (no part here has a side)'
            }
            on={mirrored}
            onChange={setMirrored}
          />
        </div>
        {tried.ok ? (
          <p role="status">
            {pieces(on)} go on
            {cost && (cost.cost > 0 || cost.unpriced > 0) && `, ${priced(cost.cost, cost.unpriced)} to pay`}.
          </p>
        ) : (
          <p role="alert">
            ▲ {times > 1 && `The ${ordinal(tried.time)} time: `}
            {draftProblemWords(tried.problem, workbench.records)}
          </p>
        )}
        <div className="flex justify-end gap-2">
          <Button onClick={onClose}>Cancel</Button>
          <Button look="main" type="submit" disabled={!tried.ok || tried.entries.length === 0}>
            Do it again
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

const ORDINALS = new Intl.PluralRules('en', { type: 'ordinal' });
const ENDINGS: Readonly<Record<string, string>> = { one: 'st', two: 'nd', few: 'rd', other: 'th' };
const ordinal = (n: number): string => `${n}${ENDINGS[ORDINALS.select(n)] ?? 'th'}`;
