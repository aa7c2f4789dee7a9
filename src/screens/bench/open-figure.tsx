'use client';

import { useRef, useState } from 'react';
import { elementName, type ElementKey } from '@/core/parts';
import {
  FIGURE_PARTS,
  figurePart,
  openFigure,
  USUAL_FIGURE,
  type FigureMake,
  type FigurePart,
} from '@/core/workbench';
import { Button } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { useBuild } from '../common/build-store';
import { isFilledIn, NumberBox } from '../common/number-box';

const WORDS: Readonly<Record<FigurePart, string>> = {
  head: 'head',
  body: 'body',
  legs: 'legs',
  wear: 'wears',
  item: 'holds',
};

/** A figure counts as one piece until it is opened: said once for its kind, each of its parts is a piece from then on. */
export function OpenFigure({ element, onClose }: { element: ElementKey; onClose: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const [make, setMake] = useState<FigureMake>(USUAL_FIGURE);
  const area = useRef<HTMLDivElement>(null);
  const all = FIGURE_PARTS.reduce((s, p) => s + make[p], 0);
  return (
    <details className="border-rule rounded-md border px-3 py-1">
      <summary className="min-h-7">It counts as one piece: open it into its parts</summary>
      <div ref={area} className="flex flex-wrap items-end gap-3 pb-2">
        {FIGURE_PARTS.map((p) => (
          <span key={p} className="flex items-end gap-1">
            <Glyph element={figurePart(element, p)} size={26} label="" />
            <NumberBox
              label={WORDS[p]}
              least={0}
              most={9}
              value={make[p]}
              onChange={(qty) => setMake({ ...make, [p]: qty })}
              live
            />
          </span>
        ))}
        <Button
          disabled={all === 0}
          onClick={() => {
            if (!isFilledIn(area.current)) return;
            perform(openFigure(workbench, element, make));
            onClose();
          }}
        >
          Count every {elementName(element)} as {all} {all === 1 ? 'piece' : 'pieces'}
        </Button>
      </div>
    </details>
  );
}
