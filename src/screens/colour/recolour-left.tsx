'use client';

import { useState } from 'react';
import { alternativesFor, leaveLot, planColour, type Register } from '@/core/mismatch';
import type { LeftLot } from '@/core/recolouring';
import { elementName, inColour } from '@/core/parts';
import { Button } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { kinds, piecesOfKinds } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { thisYear } from '../common/use-register';
import { differenceWords, LEFT_WORDS } from '../words/colour';

interface LeftProps {
  readonly left: readonly LeftLot[];
  readonly register: Register;
}

/** Lots that are listed at once for each reason; the rest are one press away. */
const MOST_ROWS = 12;

/** What stays in its old colour, by the reason, and what can be done about what is not available. */
export function RecolourLeft({ left, register }: LeftProps) {
  if (left.length === 0) return null;
  const groups = new Map<LeftLot['because'], LeftLot[]>();
  for (const l of left) groups.set(l.because, [...(groups.get(l.because) ?? []), l]);
  const sorted = [...groups].sort(([, a], [, b]) => b.length - a.length);
  return (
    <>
      <h2 className="mt-5 mb-1">What stays, and why</h2>
      {sorted.map(([because, lots]) => (
        <LeftGroup key={because} because={because} lots={lots} register={register} />
      ))}
    </>
  );
}

function LeftGroup({
  because,
  lots,
  register,
}: {
  because: LeftLot['because'];
  lots: readonly LeftLot[];
  register: Register;
}) {
  const [all, setAll] = useState(false);
  const shown = all ? lots : lots.slice(0, MOST_ROWS);
  return (
    <details open className="mb-3">
      <summary className="min-h-7">
        <b>
          {piecesOfKinds(
            lots.reduce((n, l) => n + l.qty, 0),
            lots.length,
          )}
        </b>{' '}
        {LEFT_WORDS[because]}
      </summary>
      <ul className="grid gap-x-6 lg:grid-cols-2">
        {shown.map((l) => (
          <LeftRow key={`${l.zone}${l.element}`} lot={l} register={register} />
        ))}
      </ul>
      {lots.length > shown.length && (
        <Button look="bare" className="text-soft mt-1" onClick={() => setAll(true)}>
          Show {kinds(lots.length - shown.length)} more
        </Button>
      )}
    </details>
  );
}

function LeftRow({ lot: l, register }: { lot: LeftLot; register: Register }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const zone = workbench.records.zone.get(l.zone)?.name ?? '';
  const noted = workbench.records.leftMismatch.get(`${l.zone}|${l.element}`);
  const lacks = l.because === 'never made' || l.because === 'no longer made';
  const near =
    lacks && !noted
      ? alternativesFor(l.to, workbench.palette, register, thisYear(), 1, l.element).colours[0]
      : undefined;
  return (
    <li className="border-rule flex min-h-9 flex-wrap items-center gap-2 border-b py-1">
      <Glyph element={l.element} size={28} label="" />
      <span className="min-w-40 flex-1">
        {l.qty} {elementName(l.element)}, <bdi>{zone}</bdi>
        {noted && <span className="text-soft"> left: {noted.reason}</span>}
      </span>
      {near && (
        <Button
          aria-label={`Take ${near.colour.name} for ${elementName(l.element)}`}
          onClick={() =>
            perform(planColour(workbench, { ...l, to: inColour(l.element, near.colour.id) }, source()))
          }
        >
          Take {near.colour.name}, {differenceWords(near.deltaE)}
        </Button>
      )}
      {lacks && !noted && (
        <Button
          aria-label={`Leave ${elementName(l.element)}, noted`}
          onClick={() =>
            perform(leaveLot(workbench, l.zone, l.element, `${elementName(l.to)}: ${l.because}`))
          }
        >
          Leave it, noted
        </Button>
      )}
    </li>
  );
}
