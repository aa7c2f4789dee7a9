'use client';

import { useState } from 'react';
import { placeOrder, toBuy } from '@/core/bench';
import { placeOf, sizeOf, stepsOf, type Entry, type Modification } from '@/core/ledger';
import { readMoney } from '@/core/shared/money';
import { Button, Key } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Field, Input } from '@/ui/field';
import { LotGlyph } from '@/ui/glyph';
import { money, pieces } from '@/ui/numbers';
import { entriesOf, useBench } from '../common/bench-store';
import type { BenchDialogs } from './dialogs';

/** Places an order for what is to buy, in one modification or in all: the money is spent, the pieces are on the way. */
export function OrderDialog({
  modification,
  onClose,
}: {
  modification: Modification | null;
  onClose: () => void;
}) {
  const bench = useBench((s) => s.bench);
  const perform = useBench((s) => s.perform);
  const source = useBench((s) => s.source);
  const [seller, setSeller] = useState('');
  const [postage, setPostage] = useState('');
  const [due, setDue] = useState('');
  const pool = modification
    ? entriesOf(bench, modification.id)
    : bench.entries.filter((e) => e.whatIf === null);
  const buying = toBuy(pool).filter((e) => e.whatIf === null);
  const lots = buying.flatMap((e) => e.movements.filter((m) => placeOf(m.from) === 'outside'));
  const cost = lots.reduce((s, m) => s + (m.worth ?? 0) * m.qty, 0);
  const carriage = postage ? readMoney(postage) : 0;
  const place = () => {
    if (!seller.trim() || carriage === undefined) return;
    perform(placeOrder(bench, buying, { seller: seller.trim(), postage: carriage, due }, source()));
    onClose();
  };
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title="Order what is to buy"
      says={`${pieces(lots.reduce((s, m) => s + m.qty, 0))}, ${money(cost)} without postage`}
    >
      <form
        className="grid grid-cols-3 gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          place();
        }}
      >
        <div className="col-span-3 flex max-h-40 flex-wrap gap-3 overflow-auto">
          {lots.map((m, i) => (
            <LotGlyph key={i} element={m.element} qty={m.qty} />
          ))}
        </div>
        <Field label="Seller">
          <Input
            autoFocus
            required
            maxLength={200}
            value={seller}
            onChange={(e) => setSeller(e.target.value)}
          />
        </Field>
        <Field label="Postage">
          <Input
            value={postage}
            placeholder="0.00"
            onChange={(e) => setPostage(e.target.value)}
            aria-invalid={carriage === undefined}
          />
        </Field>
        <Field label="Due">
          <Input type="date" value={due} onChange={(e) => setDue(e.target.value)} />
        </Field>
        {carriage === undefined && (
          <p role="alert" className="col-span-3">
            ▲ “{postage}” is not a price. Write 3.45.
          </p>
        )}
        <div className="col-span-3 flex justify-end gap-2">
          <Button onClick={onClose}>Cancel</Button>
          <Button
            look="main"
            type="submit"
            disabled={!seller.trim() || carriage === undefined || lots.length === 0}
          >
            Order
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

/** "31 of 46 placed": turns part of a planned entry into a done one. */
export function PartDialog({
  entry,
  dialogs,
  onClose,
}: {
  entry: Entry;
  dialogs: BenchDialogs;
  onClose: () => void;
}) {
  const steps = stepsOf(entry);
  const each = sizeOf(entry) / steps;
  const [placed, setPlaced] = useState(Math.max(1, Math.floor(steps / 2)));
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title="Placed in part"
      says={`${placed * each} of ${steps * each} placed`}
    >
      <form
        className="flex items-end gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          dialogs.place([entry], placed);
          onClose();
        }}
      >
        <Field label={each === 1 ? 'Pieces placed' : `Lots of ${each} placed`}>
          <Input
            autoFocus
            type="number"
            min={1}
            max={steps}
            value={placed}
            onChange={(e) => setPlaced(Math.max(1, Math.min(steps, Math.floor(Number(e.target.value)) || 1)))}
            className="w-24"
          />
        </Field>
        <Button look="main" type="submit">
          Placed
        </Button>
      </form>
    </Dialog>
  );
}

const KEYS: readonly [string, string][] = [
  ['L', 'go to the call line'],
  ['/', 'find a part on the model'],
  ['Enter', 'log the line'],
  ['Tab', 'take the completion'],
  ['Esc', 'leave the line, close a sheet'],
  ['N', 'new modification'],
  ['A', 'put a part on by pointing'],
  ['J  K', 'next, previous modification'],
  ['P', 'log as planned or as done'],
  ['M', 'brightness of the mat'],
  ['Z', 'zones and phases'],
  ['V', 'as built, as planned'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z', 'redo'],
  ['Ctrl K', 'all commands'],
  ['F1', 'this sheet'],
];
const ROW_KEYS: readonly [string, string][] = [
  ['↑ ↓', 'next, previous entry'],
  ['Space', 'mark it'],
  ['Enter', 'edit it in the call line'],
  ['D', 'placed, or back to planned'],
  ['Alt ↑ ↓', 'move it'],
  ['Del', 'delete it'],
];
const FORMS: readonly [string, string][] = [
  ['-2 plate 2x3 chalk', 'two off, to spares'],
  ['+4 window 1x2x2 chalk', 'four on, from spares, then stores, then to buy'],
  ['~6 arch 1x4 ash > bark', 'recolour'],
  ['%9 brick 1x2 brick-red', 'refresh: the same in better condition'],
  ['>3 arch 1x4 ash : gallery to quay', 'move between zones'],
  ['-2 plate 1x2 ash / +1 plate 1x4 ash', 'swap'],
  ['?8 brick 1x2 amber for lagoon', 'stand-ins'],
  ['^8 brick 1x2 amber', 'the right part takes the stand-in’s place'],
  ['!1 pane 1x2x2 clear', 'missing'],
  ['*1 pane 1x2x2 clear', 'made good'],
  ['=[lamp table] 4 brick 1x2 ash & 1 tile 2x2 bark', 'name an assembly'],
  ['>[lamp table] : gallery to quay', 'move it as one; -[…] and +[…] too'],
  ['@zone  #why  from …  to …  at 0.12', 'trailing words; plan, hidden, "a note" as well'],
];

/** The sheet of keys, and the forms of the call line. */
export function KeysSheet({ onClose }: { onClose: () => void }) {
  return (
    <Dialog open onOpenChange={onClose} wide title="Keys and the call line">
      <div className="grid gap-6 md:grid-cols-[auto_1fr]">
        <div>
          <KeyTable title="Everywhere on the bench" rows={KEYS} />
          <KeyTable title="On an entry" rows={ROW_KEYS} />
        </div>
        <section>
          <h3 className="mb-1">The call line</h3>
          <dl>
            {FORMS.map(([form, says]) => (
              <div key={form} className="border-rule border-b py-1">
                <dt className="font-mono text-[12px]">{form}</dt>
                <dd className="text-soft">{says}</dd>
              </div>
            ))}
          </dl>
          <p className="text-soft mt-2">
            Commas part clauses; words after the last clause reach the earlier ones. A semicolon keeps them
            apart.
          </p>
        </section>
      </div>
    </Dialog>
  );
}

function KeyTable({ title, rows }: { title: string; rows: readonly [string, string][] }) {
  return (
    <section className="mb-4">
      <h3 className="mb-1">{title}</h3>
      <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1">
        {rows.map(([key, says]) => (
          <div key={key + says} className="contents">
            <dt>
              <Key>{key}</Key>
            </dt>
            <dd>{says}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
