'use client';

import type { LeftLot } from '@/core/recolouring';
import { elementName } from '@/core/parts';
import { Glyph } from '@/ui/glyph';
import { kinds } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { LEFT_WORDS } from '../words/colour';

/** What stays in its old colour, each with the reason. */
export function RecolourLeft({ left }: { left: readonly LeftLot[] }) {
  const workbench = useBuild((s) => s.workbench);
  if (left.length === 0) return null;
  return (
    <>
      <h2 className="mt-5 mb-1">What stays, and why</h2>
      <ul className="grid max-w-4xl grid-cols-2 gap-x-6">
        {left.slice(0, 60).map((l) => (
          <li
            key={`${l.zone}${l.element}${l.because}`}
            className="border-rule flex min-h-9 items-center gap-2 border-b"
          >
            <Glyph element={l.element} size={28} />
            <span className="min-w-0 flex-1 truncate">
              {l.qty} {elementName(l.element)}, <bdi>{workbench.records.zone.get(l.zone)?.name}</bdi>
            </span>
            <span className="text-soft">{LEFT_WORDS[l.because]}</span>
          </li>
        ))}
      </ul>
      {left.length > 60 && <p className="text-faint mt-1">and {kinds(left.length - 60)} more</p>}
    </>
  );
}
