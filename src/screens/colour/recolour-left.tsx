'use client';

import { alternativesFor, leaveLot, planColour, type Register } from '@/core/mismatch';
import type { LeftLot } from '@/core/recolouring';
import { elementName, inColour } from '@/core/parts';
import { Button } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { kinds } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { thisYear } from '../common/use-register';
import { differenceWords, LEFT_WORDS } from '../words/colour';

interface LeftProps {
  readonly left: readonly LeftLot[];
  readonly register: Register;
}

/** What stays in its old colour, each with the reason, and what can be done about what is not available. */
export function RecolourLeft({ left, register }: LeftProps) {
  if (left.length === 0) return null;
  return (
    <>
      <h2 className="mt-5 mb-1">What stays, and why</h2>
      <ul className="grid max-w-4xl gap-x-6 xl:grid-cols-2">
        {left.slice(0, 60).map((l) => (
          <LeftRow key={`${l.zone}${l.element}${l.because}`} lot={l} register={register} />
        ))}
      </ul>
      {left.length > 60 && <p className="text-faint mt-1">and {kinds(left.length - 60)} more</p>}
    </>
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
        <span className="text-soft">
          {' '}
          {LEFT_WORDS[l.because]}
          {noted && `; left: ${noted.reason}`}
        </span>
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
