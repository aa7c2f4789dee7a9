'use client';

import { useState } from 'react';
import { Link } from '@/ui/link';
import { restsOnRough } from '@/core/stock';
import { elementName } from '@/core/parts';
import { familyOf, NEED_ORDERS, needBy, sortNeed, type NeedLot, type NeedReport } from '@/core/need';
import { Button } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { count, modNo, pieces, piecesOfKinds } from '@/ui/numbers';
import { VirtualList } from '@/ui/virtual-list';
import { useBuild } from '../common/build-store';
import { list } from '../words/places';
import { PlaceholdersPanel } from './placeholders-panel';
import { WaitingPanel } from './waiting-panel';
import { FindAndOrder } from '../common/find-and-order';
import { useInAddress, useOneInAddress } from '../common/use-in-address';
import { ListLinks } from '../lists/list-links';

/** What is still missing, in one sentence; then by zone, modification and family, each figure opening its entries. */
export function NeedTab({ need, onBuyingPlan }: { need: NeedReport; onBuyingPlan: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  const [by, setBy] = useOneInAddress('by', ['modification', 'zone', 'family']);
  const nameOf = (lot: NeedLot, s: NeedLot['sources'][number]): string => {
    if (by === 'family') return familyOf(lot);
    if (by === 'zone') return s.zone ? (workbench.records.zone.get(s.zone)?.name ?? '') : 'no zone';
    const m = s.modification ? workbench.records.modification.get(s.modification) : undefined;
    return m ? `${modNo(m.no)} ${m.title}` : 'no modification';
  };
  const groups = needBy(need.lots, nameOf);
  const [text, setText] = useInAddress('look');
  const [order, setOrder] = useOneInAddress('sort', NEED_ORDERS);
  const placesOf = (lot: NeedLot) =>
    lot.sources
      .flatMap((s) => [
        s.zone ? workbench.records.zone.get(s.zone)?.name : '',
        s.modification ? workbench.records.modification.get(s.modification)?.title : '',
      ])
      .join(' ');
  const shown = sortNeed(need.lots, text, order, placesOf);
  // What was opened is open again when it comes back into sight.
  const [opened] = useState(() => new Set<string>());
  return (
    <div className="grid h-full min-h-0 max-lg:overflow-auto lg:grid-cols-[1fr_360px]">
      <section aria-label="Kinds still missing" tabIndex={0} className="min-h-0 overflow-auto p-4">
        <div className="mb-3 flex flex-wrap items-start gap-3">
          <div className="min-w-72 flex-1">
            <h1 className="text-[21px] leading-tight">{headline(need)}</h1>
            <p className="text-soft">{whereFrom(need)}</p>
          </div>
          <ListLinks of={`/builds/${workbench.build}`} list="needed" />
          {need.missing > 0 && (
            <Button look="main" onClick={onBuyingPlan}>
              To the buying plan
            </Button>
          )}
        </div>
        {need.lots.length === 0 && (
          <p className="text-soft">
            Plan something on the bench, or choose fixes in Colour: what they call for and nobody has is
            listed here.
          </p>
        )}
        {need.lots.length > 1 && (
          <div className="mb-1 flex items-center gap-2">
            <FindAndOrder
              what="what is needed"
              text={text}
              onText={setText}
              found={{ n: shown.length, one: 'kind', many: 'kinds' }}
              orders={NEED_ORDERS}
              order={order}
              onOrder={setOrder}
            />
          </div>
        )}
        {need.lots.length > 0 && shown.length === 0 && (
          <p className="text-soft py-2">Nothing that is needed has “{text.trim()}” in it.</p>
        )}
        <VirtualList items={shown} keyOf={idOf} rowHeight={43} rowClass="border-rule border-b">
          {(lot) => <LotRow lot={lot} opened={opened} />}
        </VirtualList>
      </section>
      <aside
        aria-label="The need by part of the work"
        tabIndex={0}
        className="border-rule min-h-0 overflow-auto border-l p-4"
      >
        <PlaceholdersPanel />
        <WaitingPanel />
        <RestsOnRough />
        {need.runningLow.length > 0 && (
          <section className="mb-5">
            <h2 className="mb-1">Running low</h2>
            <ul>
              {need.runningLow.slice(0, 8).map((r) => (
                <li key={r.element} className="flex min-h-9 items-center gap-2">
                  <Glyph element={r.element} size={28} />
                  <span className="flex-1">
                    {elementName(r.element)}: the plan takes {r.taken},{' '}
                    {r.left === 0 ? 'none is left' : `${r.left} ${r.left === 1 ? 'is' : 'are'} left`}
                  </span>
                </li>
              ))}
            </ul>
          </section>
        )}
        <div role="group" aria-label="Needed by" className="mb-2 flex gap-1">
          {(['modification', 'zone', 'family'] as const).map((b) => (
            <Button
              key={b}
              look={by === b ? 'main' : 'plain'}
              aria-pressed={by === b}
              onClick={() => setBy(b)}
            >
              by {b}
            </Button>
          ))}
        </div>
        <ul>
          {groups.map(([name, n]) => (
            <li key={name} className="border-rule border-b">
              <details>
                <summary className="flex min-h-9 items-center gap-2">
                  <bdi className="min-w-0 flex-1 truncate">{name}</bdi>
                  <b>{count(n)}</b>
                </summary>
                <ul className="text-soft pb-2 pl-3">
                  {need.lots.flatMap((lot) =>
                    lot.sources
                      .filter((s) => nameOf(lot, s) === name)
                      .map((s) => (
                        <li key={`${lot.element}${lot.hidden}${s.entry}${s.movement}`}>
                          {count(s.qty)} {elementName(lot.element)}, entry{' '}
                          {workbench.records.entry.get(s.entry)?.no}
                        </li>
                      )),
                  )}
                </ul>
              </details>
            </li>
          ))}
        </ul>
      </aside>
    </div>
  );
}

/** What plans take from own parts that nobody counted: what to count first. */
function RestsOnRough() {
  const workbench = useBuild((s) => s.workbench);
  const rests = restsOnRough(workbench);
  if (rests.length === 0) return null;
  const n = rests.reduce((s, r) => s + r.planned, 0);
  return (
    <section className="mb-5">
      <h2 className="mb-1">Count these first</h2>
      <p className="text-soft mb-1">
        {pieces(n)} of what is planned {n === 1 ? 'is' : 'are'} your own and uncounted.
      </p>
      <ul>
        {rests.slice(0, 8).map((r) => (
          <li key={r.element} className="flex min-h-9 items-center gap-2">
            <Glyph element={r.element} size={28} />
            <span className="flex-1">
              {count(r.planned)} {elementName(r.element)}:{' '}
              {r.said === null
                ? 'nothing is said of these'
                : r.planned > r.pieces
                  ? `you said “${r.said}”, which may not do`
                  : `you said “${r.said}”`}
            </span>
          </li>
        ))}
      </ul>
      <Link href="/own-parts?part=roughly" className="underline">
        Say what you have, roughly
      </Link>
    </section>
  );
}

function headline(need: NeedReport): string {
  if (need.planned === 0 && need.missing === 0) return 'Nothing is planned that needs parts.';
  if (need.missing === 0) return `Everything planned is at hand or on its way: ${pieces(need.planned)}.`;
  return `${piecesOfKinds(need.missing, need.lots.length)} ${need.missing === 1 ? 'is' : 'are'} still missing, of ${count(need.planned)} planned${need.placeholders > 0 ? `; placeholders keep the place of ${count(need.placeholders)}` : ''}.`;
}

function whereFrom(need: NeedReport): string {
  const parts = [
    need.fromSpares > 0 ? `${count(need.fromSpares)} from this build’s spares` : '',
    need.fromStock > 0 ? `${count(need.fromStock)} from own parts` : '',
    need.fromDonors > 0 ? `${count(need.fromDonors)} from boxes` : '',
    need.ordered > 0 ? `${count(need.ordered)} on order` : '',
  ].filter(Boolean);
  return parts.length > 0 ? `The rest is there: ${list(parts)}.` : 'Nothing of it is at hand.';
}

const idOf = (lot: NeedLot): string => `${lot.element}${lot.hidden}`;

/** A lot with the entries it came from, opened by its number. */
function LotRow({ lot, opened }: { lot: NeedLot; opened: Set<string> }) {
  const workbench = useBuild((s) => s.workbench);
  const id = idOf(lot);
  return (
    <details
      open={opened.has(id)}
      onToggle={(e) => void (e.currentTarget.open ? opened.add(id) : opened.delete(id))}
    >
      <summary className="flex min-h-10 items-center gap-3">
        <Glyph element={lot.element} mark={lot.hidden ? 'hidden' : 'in'} size={34} />
        <b className="w-10 text-right">{count(lot.qty)}</b>
        <span className="flex-1">
          {elementName(lot.element)}
          {lot.hidden && <span className="text-faint"> hidden, any colour does</span>}
        </span>
        <span className="text-faint">
          {lot.sources.length} {lot.sources.length === 1 ? 'entry' : 'entries'}
        </span>
      </summary>
      <ul className="text-soft pb-2 pl-20">
        {lot.sources.map((s) => {
          const entry = workbench.records.entry.get(s.entry);
          const m = s.modification ? workbench.records.modification.get(s.modification) : undefined;
          return (
            <li key={`${s.entry}${s.movement}`}>
              {count(s.qty)} {s.movement === null ? 'that a placeholder stands for since' : 'for'} entry{' '}
              {entry?.no}, <bdi>{m ? `${modNo(m.no)} ${m.title}` : ''}</bdi>
              {s.zone && <>, {workbench.records.zone.get(s.zone)?.name}</>}
            </li>
          );
        })}
      </ul>
    </details>
  );
}
