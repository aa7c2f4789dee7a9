'use client';

import type { ColourId, ZoneId } from '@/core/shared/ids';
import { Check, Select } from '@/ui/field';
import { count } from '@/ui/numbers';
import { usePalette } from '@/ui/palette-context';
import { useBuild } from '../common/build-store';

export interface Leave {
  readonly leavePrints: boolean;
  readonly leaveHidden: boolean;
  readonly leaveRetired: boolean;
}

interface RecolourMapProps {
  /** The colours that are seen, with their pieces, most first. */
  readonly colours: readonly (readonly [ColourId, number])[];
  readonly pairs: ReadonlyMap<ColourId, ColourId>;
  readonly onPairs: (pairs: ReadonlyMap<ColourId, ColourId>) => void;
  readonly leave: Leave;
  readonly onLeave: (leave: Leave) => void;
  /** Null = all. */
  readonly zones: ReadonlySet<ZoneId> | null;
  readonly onZones: (zones: ReadonlySet<ZoneId>) => void;
}

/** Which colour is to become which, what is left as it is, and in which zones. */
export function RecolourMap({ colours, pairs, onPairs, leave, onLeave, zones, onZones }: RecolourMapProps) {
  const workbench = useBuild((s) => s.workbench);
  const palette = usePalette();
  const solid = [...palette.values()].filter((c) => c.finish === 'solid');
  return (
    <section
      aria-label="From colour to colour"
      className="border-rule min-h-0 overflow-auto border-r p-4"
      tabIndex={0}
    >
      <h2 className="mb-2 text-[16px]">From colour to colour</h2>
      <ul>
        {colours.map(([colour, n]) => (
          <li key={colour} className="border-rule flex min-h-9 items-center gap-2 border-b">
            <span
              aria-hidden
              style={{ background: palette.get(colour)?.hex }}
              className="border-edge size-5 rounded-xs border"
            />
            <span className="flex-1">
              {colour} <span className="text-faint">{count(n)}</span>
            </span>
            <span aria-hidden>→</span>
            <span
              aria-hidden
              style={{ background: palette.get(pairs.get(colour) ?? '')?.hex }}
              className="border-edge size-5 rounded-xs border"
            />
            <Select
              aria-label={`${colour} becomes`}
              value={pairs.get(colour) ?? ''}
              onChange={(e) => {
                const next = new Map(pairs);
                if (e.target.value) next.set(colour, e.target.value as ColourId);
                else next.delete(colour);
                onPairs(next);
              }}
              className="w-36"
            >
              <option value="">stays</option>
              {solid
                .filter((c) => c.id !== colour)
                .map((c) => (
                  <option key={c.id} value={c.id}>
                    {c.name}
                  </option>
                ))}
            </Select>
          </li>
        ))}
      </ul>
      <fieldset className="mt-4">
        <legend className="font-head font-bold">Leave as it is</legend>
        {(
          [
            ['leavePrints', 'what is printed'],
            ['leaveHidden', 'what nobody sees'],
            ['leaveRetired', 'what is no longer made'],
          ] as const
        ).map(([key, words]) => (
          <Check
            key={key}
            words={words}
            on={leave[key]}
            onChange={(on) => onLeave({ ...leave, [key]: on })}
          />
        ))}
        <p className="text-faint text-[12px]">What was never made in the new colour always stays.</p>
      </fieldset>
      <fieldset className="mt-4">
        <legend className="font-head font-bold">Zones</legend>
        {workbench.zones
          .filter((z) => z.parent)
          .map((z) => (
            <Check
              key={z.id}
              words={z.name}
              on={zones?.has(z.id) ?? true}
              onChange={(on) => {
                const next = new Set(zones ?? workbench.zones.map((x) => x.id));
                if (on) next.add(z.id);
                else next.delete(z.id);
                onZones(next);
              }}
            />
          ))}
      </fieldset>
    </section>
  );
}
