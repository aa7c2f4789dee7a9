'use client';

import { useMemo } from 'react';
import {
  blockOf,
  keepZonePlace,
  storeySizes,
  whatSticksOut,
  zoneExtents,
  type Block,
  type ZoneExtent,
} from '@/core/fit';
import type { Plot } from '@/core/records';
import { Button } from '@/ui/button';
import { useBuild } from '../common/build-store';
import { blockWords, sticksOutWords, storeyWords } from '../words/plot';
import { NumberBox } from '../common/number-box';

/** Where each zone lies and how big it is, planned walls with it; what sticks out of the plot, and how big each storey is. */
export function ZonePlaces({ plot }: { plot: Plot }) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const { zones, out, storeys } = useMemo(() => {
    void version;
    return {
      zones: zoneExtents(workbench).filter((z) => z.zone !== workbench.rootZone.id || z.block),
      out: whatSticksOut(workbench, plot),
      storeys: storeySizes(workbench, plot.storeys),
    };
  }, [workbench, version, plot]);
  return (
    <section aria-label="Zones on the plot" className="border-rule bg-sheet mt-4 rounded-lg border p-4">
      <h2 className="text-[16px]">Zones on the plot</h2>
      <p className="text-soft mb-2">
        From the plot’s left front corner, in studs; above the ground and tall in plates. Walls that are
        planned in a zone begin at its corner and add to its size by themselves.
      </p>
      {out.length > 0 && (
        <ul aria-label="What would have to move" className="mb-2">
          {out.map((s) => (
            <li key={s.zone}>
              ▲ <b>{s.name}</b> sticks out {sticksOutWords(s)}.
            </li>
          ))}
        </ul>
      )}
      <ul>
        {zones.map((z) => (
          <ZoneRow
            key={z.zone}
            zone={z}
            onKeep={(block) => perform(keepZonePlace(workbench, z.zone, block))}
          />
        ))}
      </ul>
      {storeys.length > 0 && (
        <ul aria-label="Storeys" className="mt-2">
          {storeys.map((s) => (
            <li key={s.from}>{storeyWords(s)}</li>
          ))}
        </ul>
      )}
    </section>
  );
}

const FIELDS = [
  ['x', 'from the left', -500, 2000],
  ['y', 'from the front', -500, 2000],
  ['width', 'wide', 1, 2000],
  ['depth', 'deep', 1, 2000],
  ['bottom', 'above ground', 0, 3000],
  ['height', 'tall', 1, 3000],
] as const;

const FIRST: Block = { x: 0, y: 0, width: 8, depth: 8, bottom: 0, height: 18 };

function ZoneRow({ zone, onKeep }: { zone: ZoneExtent; onKeep: (block: Block | null) => void }) {
  const said = zone.said;
  return (
    <li className="border-rule flex flex-wrap items-end gap-2 border-b py-1">
      <bdi className="w-36 truncate pb-1 font-semibold">{zone.name}</bdi>
      {said ? (
        <>
          {FIELDS.map(([key, label, least, most]) => (
            <NumberBox
              key={key}
              label={label}
              value={said[key]}
              least={least}
              most={most}
              onChange={(n) => onKeep({ ...blockOf(said), [key]: n })}
            />
          ))}
          <Button look="bare" aria-label={`Leave open where ${zone.name} lies`} onClick={() => onKeep(null)}>
            Leave open
          </Button>
        </>
      ) : (
        <Button
          aria-label={`Say where ${zone.name} lies`}
          onClick={() => onKeep(zone.block ? { ...FIRST, ...zone.block } : FIRST)}
        >
          Say where it lies
        </Button>
      )}
      {zone.block && <span className="text-soft pb-1">{blockWords(zone.block)}</span>}
    </li>
  );
}
