'use client';

import { MoreHorizontal } from 'lucide-react';
import { learnColourRule, type Audit, type Fix } from '@/core/mismatch';
import { elementName, splitElementKey } from '@/core/parts';
import type { ColourId } from '@/core/shared/ids';
import { Menu } from '@/ui/menu';
import { usePalette } from '@/ui/palette-context';
import { useBuild } from '../common/build-store';

/** Colours offered for what belongs there: those of the zone, most first. */
const OFFERED = 6;

/** What a person says of a mismatch in one go, learnt for its zone: it is meant so, or it belongs in another colour. */
export function MismatchMenu({ fix, audit, onLeave }: { fix: Fix; audit: Audit; onLeave: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const palette = usePalette();
  const { zone, element, to } = fix.mismatch;
  const { colour } = splitElementKey(element);
  const name = workbench.records.zone.get(zone)?.name ?? '';
  const learn = (belongs: ColourId | null) =>
    perform(learnColourRule(workbench, { zone, family: '', colour }, belongs, source()));
  const here = audit.zones.find((z) => z.zone === zone);
  const wanted = splitElementKey(to).colour;
  const colours = [wanted, ...(here?.scheme ?? []), ...(here?.colours.map((c) => c.colour) ?? [])];
  const offered = [...new Set(colours)]
    .filter((c) => c !== colour && palette.get(c)?.finish === 'solid')
    .slice(0, OFFERED);
  return (
    <Menu
      label={`What is said of ${elementName(element)}, ${name}`}
      trigger={
        <button
          type="button"
          aria-label={`What is said of ${elementName(element)}, ${name}`}
          className="hover:bg-wash grid size-7 place-items-center rounded-md"
        >
          <MoreHorizontal size={16} aria-hidden />
        </button>
      }
      items={[
        { label: `${colour} is meant so in ${name}`, onSelect: () => learn(null) },
        ...offered.map((c) => ({ label: `${colour} belongs in ${c} in ${name}`, onSelect: () => learn(c) })),
        { label: 'Leave these, noted…', onSelect: onLeave },
      ]}
    />
  );
}
