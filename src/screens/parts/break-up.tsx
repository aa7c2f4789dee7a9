'use client';

import { ActSelect } from '@/ui/act-select';
import { formatCurrency, forms } from '@/core/shared/forms';
import { useMemo, useState } from 'react';
import { modelAccount, type Copy, type Tray } from '@/core/ledger';
import type { ElementKey } from '@/core/parts';
import { asId, type BuildId, type CopyId, type TrayId, type ZoneId } from '@/core/shared/ids';
import {
  breakUpBox,
  breakUpBuild,
  donorReport,
  handBoxOn,
  type BreakUpGoal,
  type DonorReport,
} from '@/core/stock';
import { needOf } from '@/core/need';
import { Button } from '@/ui/button';
import { Check, Field, Select } from '@/ui/field';
import { LotGlyph } from '@/ui/glyph';
import { boxPrice, count, kinds, paidWords, pieces } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { ask } from '../sending/answers';

/** Boxes that are being broken up for this build, whole or in part, and this build itself broken up for its parts. */
export function BreakUp({ trays }: { trays: readonly Tray[] }) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const reports = useMemo(() => {
    void version;
    const lacking = new Map<ElementKey, number>();
    for (const e of workbench.entries)
      if (e.state === 'planned' && e.whatIf === null)
        for (const m of e.movements)
          if (m.from.startsWith('donor:')) lacking.set(m.element, (lacking.get(m.element) ?? 0) + m.qty);
    for (const l of needOf(workbench).lots) lacking.set(l.element, (lacking.get(l.element) ?? 0) + l.qty);
    return donorReport(workbench, lacking).map((report) => ({ report, lacking }));
  }, [workbench, version]);
  return (
    <aside aria-label="Break up" tabIndex={0} className="border-rule min-h-0 overflow-auto border-l p-4">
      <h2 className="mb-1">Boxes being broken up</h2>
      {reports.length === 0 && (
        <p className="text-soft mb-4">
          None. A box bought in the buying plan, or imported as a donor, is broken up here: in part, or whole.
        </p>
      )}
      {reports.map(({ report, lacking }) => (
        <DonorCard key={report.copy.id} report={report} lacking={lacking} />
      ))}
      <BreakBuild trays={trays} />
    </aside>
  );
}

function DonorCard({ report, lacking }: { report: DonorReport; lacking: ReadonlyMap<ElementKey, number> }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const { copy, lots, pieces: left, useful } = report;
  const usefulLots = () => {
    const rest = new Map(lacking);
    return lots.flatMap((l) => {
      const n = Math.min(l.qty, rest.get(l.element) ?? 0);
      rest.set(l.element, (rest.get(l.element) ?? 0) - n);
      return n > 0 ? [{ ...l, qty: n }] : [];
    });
  };
  const each = (of: number | null) => (of === null ? 'nothing' : formatCurrency(of, forms(), true));
  return (
    <section className="border-edge mb-4 rounded-md border p-3">
      <h3>
        <bdi>{copy.setName}</bdi>
      </h3>
      <p className="text-soft">
        {boxPrice(copy.price)} for {pieces(report.opened)}
        {report.eachOfAll !== null && `: ${each(report.eachOfAll)} a piece`}
        {useful > 0 &&
          report.eachOfUseful !== null &&
          `, ${each(report.eachOfUseful)} if only the ${count(useful)} wanted ones are used`}
        . {left === 0 ? 'All of it is out.' : `${pieces(left)} are still in it.`}
      </p>
      <p className="my-2 flex flex-wrap gap-1">
        {lots.slice(0, 12).map((l) => (
          <LotGlyph key={`${l.element}${l.grade}`} element={l.element} qty={l.qty} size={28} />
        ))}
        {lots.length > 12 && <span className="text-faint">and {kinds(lots.length - 12)} more</span>}
      </p>
      <span className="flex flex-wrap gap-2">
        <Button
          disabled={useful === 0}
          onClick={() => perform(breakUpBox(workbench, usefulLots(), source()))}
        >
          Take out the {count(useful)} wanted
        </Button>
        <Button disabled={left === 0} onClick={() => perform(breakUpBox(workbench, lots, source()))}>
          Take out all {count(left)}
        </Button>
        {left > 0 && <HandOn copy={copy} />}
      </span>
    </section>
  );
}

/** A goal as the choice names it. */
function goalOf(text: string): BreakUpGoal {
  const [kind, id = ''] = text.split(' ');
  if (kind === 'tray') return { tray: asId<TrayId>(id) };
  if (kind === 'box') return { box: asId<CopyId>(id) };
  return kind === 'own' ? { own: true } : null;
}

/** What is left of a box goes on to another build, of those worked on last. */
function HandOn({ copy }: { copy: Copy }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [builds, setBuilds] = useState<readonly { id: BuildId; name: string }[] | null>(null);
  const open = async () => {
    const told = await ask<{ builds: readonly { id: BuildId; name: string }[] }>('/api/builds');
    setBuilds((told?.builds ?? []).filter((b) => b.id !== workbench.build));
  };
  if (builds === null)
    return (
      <Button look="bare" onClick={() => void open()}>
        Hand what is left on…
      </Button>
    );
  return (
    <ActSelect
      label="What is left goes on to"
      verb="Hand on"
      none={builds.length === 0 ? 'there is no other build' : 'what is left goes on to…'}
      focused
      options={builds.map((b) => ({ value: b.id, words: b.name }))}
      onAct={(id) => perform(handBoxOn(workbench, copy, asId<BuildId>(id), source()))}
    />
  );
}

/** An old build becomes a donor: zone by zone, to a tray or to its own spares. */
function BreakBuild({ trays }: { trays: readonly Tray[] }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [zones, setZones] = useState<ReadonlySet<ZoneId>>(new Set());
  const [goal, setGoal] = useState('');
  const copies = [...workbench.records.copy.values()].filter((c) => c.build === workbench.build);
  const held = workbench.zones
    .map((z) => ({ zone: z, qty: workbench.built.balances.total(modelAccount(z.id)) }))
    .filter((z) => z.qty > 0);
  const going = held.filter((h) => zones.has(h.zone.id)).reduce((s, h) => s + h.qty, 0);
  const paid = [...workbench.records.copy.values()]
    .filter((c) => c.build === workbench.build && c.role === 'base')
    .reduce(
      (s, c) => ({ worth: s.worth + (c.price ?? 0), unpriced: s.unpriced + (c.price === null ? 1 : 0) }),
      {
        worth: 0,
        unpriced: 0,
      },
    );
  const all = held.reduce((s, h) => s + h.qty, 0);
  return (
    <section>
      <h2 className="mb-1">Break this build up</h2>
      <p className="text-soft mb-2">
        {all === 0
          ? 'Nothing is on the model.'
          : `${pieces(all)} are on it. For its boxes: ${paidWords(paid)}${paid.unpriced === 0 && paid.worth > 0 ? `, so about ${formatCurrency(paid.worth / all, forms(), true)} a piece` : ''}. It can be undone.`}
      </p>
      {held.map(({ zone, qty }) => (
        <Check
          key={zone.id}
          words={`${zone.name}, ${count(qty)}`}
          on={zones.has(zone.id)}
          onChange={(on) => {
            const next = new Set(zones);
            if (on) next.add(zone.id);
            else next.delete(zone.id);
            setZones(next);
          }}
        />
      ))}
      <span className="mt-2 flex flex-wrap items-end gap-2">
        <Field label="Its parts go to">
          <Select value={goal} onChange={(e) => setGoal(e.target.value)}>
            <option value="">its spares, put away later</option>
            {copies.map((c) => (
              <option key={c.id} value={`box ${c.id}`}>
                back into the box {c.setName}
              </option>
            ))}
            <option value="own">own parts, uncounted</option>
            {trays.map((t) => (
              <option key={t.id} value={`tray ${t.id}`}>
                tray {t.name}
              </option>
            ))}
          </Select>
        </Field>
        <Button
          disabled={going === 0}
          onClick={() => {
            perform(breakUpBuild(workbench, [...zones], goalOf(goal), source()));
            setZones(new Set());
          }}
        >
          Take off {count(going)}
        </Button>
      </span>
    </section>
  );
}
