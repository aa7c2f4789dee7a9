'use client';

import { useState } from 'react';
import { adoptWhatIf, deleteWhatIf, startWhatIf, Workbench } from '@/core/workbench';
import { takeTally, type Tally, type WhatIf } from '@/core/ledger';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Field, Input } from '@/ui/field';
import { count, signed, priced } from '@/ui/numbers';
import { useBuild } from '../common/build-store';

/** What-ifs side by side with the plan as it is: pieces, cost and spares of each; adopt one or drop it. */
export function WhatIfsDialog({ onClose }: { onClose: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const whatIfs = [...workbench.records.whatIf.values()];
  const columns = columnsOf(workbench, version, whatIfs);
  return (
    <Dialog
      open
      onOpenChange={onClose}
      wide
      title="What if"
      says="Named alternative lists of planned entries. None of them counts until it is adopted."
    >
      <div className="overflow-auto" tabIndex={0} role="region" aria-label="Comparison">
        <table className="w-full text-right">
          <thead>
            <tr className="border-rule border-b">
              <th scope="col" className="py-2 text-left font-normal">
                <span className="sr-only">Figure</span>
              </th>
              {columns.map((c) => (
                <th key={c.name} scope="col" className="px-3 py-2">
                  <bdi>{c.name}</bdi>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {ROWS.map(([words, value]) => (
              <tr key={words} className="border-rule border-b">
                <th scope="row" className="py-1.5 text-left font-normal">
                  {words}
                </th>
                {columns.map((c) => (
                  <td key={c.name} className="px-3 font-semibold">
                    {value(c.tally)}
                  </td>
                ))}
              </tr>
            ))}
            <tr>
              <td />
              {columns.map((c) => (
                <td key={c.name} className="px-3 py-2">
                  {c.whatIf && <Acts whatIf={c.whatIf} onClose={onClose} />}
                </td>
              ))}
            </tr>
          </tbody>
        </table>
      </div>
      <NewWhatIf onClose={onClose} />
    </Dialog>
  );
}

const ROWS: readonly [string, (t: Tally) => string][] = [
  ['On the model', (t) => count(t.figures.onModel)],
  ['Net', (t) => signed(t.figures.net)],
  ['Out', (t) => count(t.figures.out)],
  ['In', (t) => count(t.figures.in)],
  ['Recoloured', (t) => count(t.figures.recoloured)],
  ['Renewed', (t) => count(t.figures.renewed)],
  ['Bought or to buy', (t) => count(t.figures.bought)],
  ['Out of pocket', (t) => priced(t.figures.outOfPocket, t.figures.boughtUnpriced)],
  ['Worth with own parts', (t) => priced(t.figures.worthIn, t.figures.unpriced)],
  ['Spares left', (t) => count(t.figures.sparesLeft)],
];

function columnsOf(workbench: Workbench, _version: number, whatIfs: readonly WhatIf[]) {
  const scope = { of: 'build' } as const;
  const plan = takeTally(workbench.open({ kind: 'planned' }), scope, workbench.priceOf);
  return [
    { name: 'The plan as it is', tally: plan, whatIf: null },
    ...whatIfs.map((w) => ({
      name: w.name,
      tally: takeTally(workbench.open({ kind: 'planned', whatIf: w.id }), scope, workbench.priceOf),
      whatIf: w,
    })),
  ];
}

function Acts({ whatIf, onClose }: { whatIf: WhatIf; onClose: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const selectWhatIf = useBuild((s) => s.selectWhatIf);
  const leave = () => workbench.whatIf === whatIf.id && selectWhatIf(null);
  return (
    <span className="inline-flex flex-col gap-1">
      <Button
        onClick={() => {
          selectWhatIf(whatIf.id);
          onClose();
        }}
      >
        Work on it
      </Button>
      <Button
        onClick={() => {
          const command = adoptWhatIf(workbench, whatIf);
          leave();
          perform(command);
        }}
      >
        Adopt
      </Button>
      <Button
        onClick={() => {
          const command = deleteWhatIf(workbench, whatIf);
          leave();
          perform(command);
        }}
      >
        Delete
      </Button>
    </span>
  );
}

function NewWhatIf({ onClose }: { onClose: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const selectWhatIf = useBuild((s) => s.selectWhatIf);
  const set = useBuild((s) => s.set);
  const [name, setName] = useState('');
  const start = () => {
    if (!name.trim()) return;
    const command = startWhatIf(workbench, name.trim(), source());
    perform(command);
    selectWhatIf(command.id);
    set({ logPlanned: true });
    onClose();
  };
  return (
    <form
      className="mt-4 flex items-end gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        start();
      }}
    >
      <Field label="A new what-if: planned lines go into it while it is in view" className="flex-1">
        <Input
          value={name}
          maxLength={200}
          placeholder="Roof in slate"
          onChange={(e) => setName(e.target.value)}
        />
      </Field>
      <Button type="submit" disabled={!name.trim()}>
        Start it
      </Button>
    </form>
  );
}
