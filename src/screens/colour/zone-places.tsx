'use client';

import { formatFixed } from '@/core/shared/forms';
import { useMemo } from 'react';
import { proposeSeen } from '@/core/mismatch';
import { batchOf, modelAccount } from '@/core/ledger';
import { byElementName, elementName, splitElementKey, type ElementKey } from '@/core/parts';
import { exposureOf, hiddenOf, type ZoneFading } from '@/core/fading';
import { Glyph } from '@/ui/glyph';
import { count } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { useKeepExposure } from './use-keep-exposure';
import { NumberBox } from '../common/number-box';

/** The parts of one colour in a zone: how many places each shape has, how many of them nobody sees, what was read. */
export function ZonePlaces({ zone }: { zone: ZoneFading }) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const elements = useMemo(() => {
    void version;
    return workbench.built.balances
      .elements(modelAccount(zone.zone))
      .filter(([e, n]) => n > 0 && splitElementKey(e).colour === zone.colour)
      .sort((a, b) => byElementName(a[0], b[0]));
  }, [workbench, version, zone]);
  return (
    <section className="mt-4">
      <h2 className="mb-1">Its places</h2>
      <p className="text-background-soft mb-1 text-[12px]">
        Say how many of each lie where nobody sees them: the worst can go there.
      </p>
      <ul>
        {elements.map(([element, n]) => (
          <PlaceRow key={element} zone={zone} element={element} qty={n} />
        ))}
      </ul>
    </section>
  );
}

function PlaceRow({ zone, element, qty }: { zone: ZoneFading; element: ElementKey; qty: number }) {
  const workbench = useBuild((s) => s.workbench);
  const seen =
    exposureOf(workbench, zone.zone, element)?.seen ??
    proposeSeen(element, workbench.records.zone.get(zone.zone)?.name ?? '');
  const keep = useKeepExposure(zone.zone, element, seen);
  const read = zone.batches.filter((b) => b.element === element && b.reading);
  const known = read.reduce((s, b) => s + b.qty, 0);
  return (
    <li className="border-background-rule flex min-h-10 items-center gap-3 border-b">
      <Glyph element={element} size={32} />
      <span className="min-w-0 flex-1">
        <span className="block truncate">
          {count(qty)} {elementName(element)}
        </span>
        <span className="text-background-soft block truncate text-[12px]">
          {read.length === 0
            ? 'not read'
            : `${known === qty ? 'all read' : `${known} read`}: ${read.map((b) => `${b.qty} ${batchOf(b.grade)} ΔE ${formatFixed(b.parts.deltaE)}`).join(', ')}`}
        </span>
      </span>
      <span className="flex items-center gap-1.5">
        hidden
        <NumberBox
          label={`${elementName(element)}: places that nobody sees`}
          bare
          least={0}
          most={qty}
          value={hiddenOf(workbench, zone.zone, element)}
          onChange={(hidden) => keep({ hidden })}
        />
      </span>
    </li>
  );
}
