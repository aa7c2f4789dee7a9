'use client';

import { ActSelect } from '@/ui/act-select';
import { useMemo } from 'react';
import { placeOf, zoneOf } from '@/core/ledger';
import { byElementName, elementName, type ElementKey } from '@/core/parts';
import type { ZoneId } from '@/core/shared/ids';
import { Button } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { useBuild } from '../../common/build-store';

interface ElementsFieldProps {
  readonly zone: ZoneId;
  readonly elements: readonly ElementKey[];
  readonly onChange: (elements: readonly ElementKey[]) => void;
}

/** The parts that a sticker lies on, in their order: chosen from what stands in its zone. */
export function ElementsField({ zone, elements, onChange }: ElementsFieldProps) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const there = useMemo(() => {
    void version;
    const found = new Set<ElementKey>();
    for (const r of workbench.planned.balances.rows((a) => placeOf(a) === 'model' && zoneOf(a) === zone))
      if (r.qty > 0) found.add(r.element);
    return [...found].sort(byElementName);
  }, [workbench, version, zone]);
  return (
    <div className="flex flex-col gap-1">
      <ol className="flex flex-wrap gap-1">
        {elements.map((e, i) => (
          <li key={i} className="border-rule flex items-center gap-1 rounded-md border px-1">
            <Glyph element={e} size={22} />
            <span>{elementName(e)}</span>
            <Button
              look="bare"
              aria-label={`Not on ${elementName(e)}, ${i + 1}`}
              onClick={() => onChange(elements.filter((_, k) => k !== i))}
            >
              ×
            </Button>
          </li>
        ))}
      </ol>
      <ActSelect
        label={elements.length > 0 ? 'and across' : 'On which part'}
        verb="Add"
        none={elements.length > 0 ? 'and across…' : 'on which part of the zone…'}
        disabled={elements.length >= 20}
        options={there.map((e) => ({ value: e, words: elementName(e) }))}
        onAct={(e) => onChange([...elements, e as ElementKey])}
      />
    </div>
  );
}
