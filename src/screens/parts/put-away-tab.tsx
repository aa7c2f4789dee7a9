'use client';

import { useMemo, useState } from 'react';
import { freeOf, accountOwner, placeOf, sparesAccount, type Tray } from '@/core/ledger';
import { elementName } from '@/core/parts';
import { asId, type TrayId } from '@/core/shared/ids';
import { breakUpKept, keepWhole, proposeTrays, putAway, type StockLot } from '@/core/stock';
import { Button, Key } from '@/ui/button';
import { Select } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { count, pieces, piecesOfKinds } from '@/ui/numbers';
import { VirtualList } from '@/ui/virtual-list';
import { useBuild } from '../common/build-store';
import { useCommands } from '../commands';
import { BreakUp } from './break-up';

const keyOf = (l: StockLot): string => `${l.element}|${l.grade}`;

/** A finished build's spares go to trays in one step, each where it is proposed; and what else can be broken up. */
export function PutAwayTab() {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [chosen, setChosen] = useState<ReadonlyMap<string, TrayId | 'stay'>>(new Map());
  const trays = useMemo(() => {
    void version;
    return [...workbench.records.tray.values()].sort((a, b) => a.position - b.position);
  }, [workbench, version]);
  const proposals = useMemo(() => {
    void version;
    const at = sparesAccount(workbench.build);
    const { kept } = workbench;
    const planned = new Map<string, number>();
    for (const e of workbench.entries)
      if (e.state === 'planned' && e.whatIf === null)
        for (const m of e.movements)
          if (m.from === at)
            planned.set(`${m.element}|${m.grade}`, (planned.get(`${m.element}|${m.grade}`) ?? 0) + m.qty);
    const lots = workbench.built.balances
      .rows((a) => a === at)
      .map((r) => ({
        ...r,
        qty:
          freeOf(workbench.built.balances, at, r.element, r.grade, kept) -
          (planned.get(`${r.element}|${r.grade}`) ?? 0),
      }))
      .filter((r) => r.qty > 0);
    const rows = workbench.built.balances.rows((a) => placeOf(a) === 'stock').filter((r) => r.qty > 0);
    return proposeTrays(lots, trays, rows);
  }, [workbench, version, trays]);
  const going = proposals.filter((p) => chosen.get(keyOf(p.lot)) !== 'stay');
  const total = going.reduce((s, p) => s + p.lot.qty, 0);
  const put = () => {
    if (total === 0) return;
    const fresh: Tray[] =
      trays.length > 0 ? [] : [{ id: asId<TrayId>(source().newId()), name: 'A1', place: '', position: 1 }];
    const first = fresh[0]?.id;
    const choices = going.flatMap((p) => {
      const tray = chosen.get(keyOf(p.lot)) ?? p.tray ?? first;
      return tray && tray !== 'stay' ? [{ lot: p.lot, tray }] : [];
    });
    perform(putAway(workbench, choices, fresh, source()));
    setChosen(new Map());
  };
  useCommands([{ name: 'Put all away', key: 'p', run: put }]);
  return (
    <div className="grid h-full min-h-0 max-lg:overflow-auto lg:grid-cols-[1fr_400px]">
      <section aria-label="Spares to put away" tabIndex={0} className="min-h-0 overflow-auto p-4">
        <div className="mb-3 flex flex-wrap items-start gap-3">
          <div className="min-w-72 flex-1">
            <h1 className="text-[21px] leading-tight">
              {proposals.length === 0
                ? 'No spares to put away.'
                : `${piecesOfKinds(total, going.length)} ${total === 1 ? 'goes' : 'go'} to ${inTrays(new Set(going.map((p) => chosen.get(keyOf(p.lot)) ?? p.tray)).size)}.`}
            </h1>
            <p className="text-soft">
              What no plan of this build takes, each with the tray where its like lies. Change a tray, or
              leave some with the build.
            </p>
          </div>
          <Button look="main" disabled={total === 0} onClick={put}>
            Put all away <Key>P</Key>
          </Button>
        </div>
        <KeptHere />
        <VirtualList
          items={proposals}
          keyOf={(p) => keyOf(p.lot)}
          rowHeight={45}
          rowClass="border-rule flex min-h-11 items-center gap-3 border-b"
        >
          {({ lot, tray, why }) => (
            <>
              <Glyph element={lot.element} size={34} label="" />
              <b className="w-9 text-right">{count(lot.qty)}</b>
              <span className="min-w-0 flex-1 truncate">
                {elementName(lot.element)} <span className="text-faint">{lot.grade}</span>
              </span>
              <span className="text-soft text-[12px] max-sm:hidden">{tray ? why : 'a new tray'}</span>
              <Select
                aria-label={`Tray for ${elementName(lot.element)} ${lot.grade}`}
                value={chosen.get(keyOf(lot)) ?? tray ?? ''}
                onChange={(e) =>
                  setChosen(new Map(chosen).set(keyOf(lot), e.target.value as TrayId | 'stay'))
                }
                className="w-32"
              >
                {!tray && <option value="">A1 (new)</option>}
                {trays.map((t) => (
                  <option key={t.id} value={t.id}>
                    {t.name} {t.place}
                  </option>
                ))}
                <option value="stay">stays here</option>
              </Select>
            </>
          )}
        </VirtualList>
      </section>
      <BreakUp trays={trays} />
    </div>
  );
}

/** Assemblies whose pieces lie in the spares: kept whole, or broken up into parts. */
function KeptHere() {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const at = sparesAccount(workbench.build);
  const kept = [...workbench.records.keptAssembly.values()].filter((k) => k.account === at);
  const loose = [...workbench.records.assembly.values()].filter(
    (a) =>
      a.lots.length > 0 &&
      !kept.some((k) => k.name === a.name) &&
      a.lots.every((l) => workbench.built.balances.at(at, l.element) >= l.qty),
  );
  if (kept.length + loose.length === 0) return null;
  const size = (lots: readonly { qty: number }[]) => pieces(lots.reduce((s, l) => s + l.qty, 0));
  return (
    <ul aria-label="Assemblies" className="mb-3">
      {kept.map((k) => (
        <li key={k.id} className="border-rule flex min-h-10 items-center gap-3 border-b">
          <span className="flex-1">
            <b>{k.name}</b> is kept whole, {size(k.lots)}
            {accountOwner<string>(k.account) === workbench.build ? '' : ' elsewhere'}
          </span>
          <Button onClick={() => perform(breakUpKept(k))}>Break it up</Button>
        </li>
      ))}
      {loose.map((a) => (
        <li key={a.id} className="border-rule flex min-h-10 items-center gap-3 border-b">
          <span className="flex-1">
            All of <b>{a.name}</b> lies in the spares, {size(a.lots)}
          </span>
          <Button onClick={() => perform(keepWhole(a.name, at, a.lots, source()))}>Keep it whole</Button>
        </li>
      ))}
    </ul>
  );
}

const inTrays = (n: number): string => `${count(n)} ${n === 1 ? 'tray' : 'trays'}`;
