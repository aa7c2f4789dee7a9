'use client';

import { useState } from 'react';
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
import { Field, Input } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { useBuild } from '../common/build-store';

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
  const all = FIGURE_PARTS.reduce((s, p) => s + make[p], 0);
  return (
    <details className="border-rule rounded-md border px-3 py-1">
      <summary className="min-h-7">It counts as one piece: open it into its parts</summary>
      <div className="flex flex-wrap items-end gap-3 pb-2">
        {FIGURE_PARTS.map((p) => (
          <Field key={p} label={WORDS[p]}>
            <span className="flex items-center gap-1">
              <Glyph element={figurePart(element, p)} size={26} label="" />
              <Input
                type="number"
                min={0}
                max={9}
                value={make[p]}
                onChange={(e) =>
                  setMake({
                    ...make,
                    [p]: Math.max(0, Math.min(9, Math.floor(Number(e.target.value)) || 0)),
                  })
                }
                className="w-14"
              />
            </span>
          </Field>
        ))}
        <Button
          disabled={all === 0}
          onClick={() => {
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
