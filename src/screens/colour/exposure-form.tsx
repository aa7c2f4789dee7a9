'use client';

import { exposureOf, hiddenOf } from '@/core/fading';
import { SEEN, type Seen } from '@/core/ledger';
import type { ElementKey } from '@/core/parts';
import type { ZoneId } from '@/core/shared/ids';
import { Field, Select } from '@/ui/field';
import { useBuild } from '../common/build-store';
import { useKeepExposure } from './use-keep-exposure';
import { NumberBox } from '../common/number-box';

/** How much of a lot is seen, and how many of it nobody sees: proposed, corrected here. */
export function ExposureForm({ zone, element, seen }: { zone: ZoneId; element: ElementKey; seen: Seen }) {
  const workbench = useBuild((s) => s.workbench);
  const keep = useKeepExposure(zone, element, seen);
  return (
    <div className="flex flex-wrap items-end gap-3">
      <Field label="How much of it is seen">
        <Select value={seen} onChange={(e) => keep({ seen: e.target.value as Seen })}>
          {SEEN.map((s) => (
            <option key={s}>{s}</option>
          ))}
        </Select>
      </Field>
      <NumberBox
        label="Pieces of it that nobody sees"
        least={0}
        most={100_000}
        value={hiddenOf(workbench, zone, element)}
        onChange={(hidden) => keep({ hidden })}
      />
      <p className="text-faint flex-1 text-[12px]">
        {exposureOf(workbench, zone, element) ? 'As you said.' : 'Proposed from its family and zone.'} To hide
        it: move it inside the model, and say “hidden” here.
      </p>
    </div>
  );
}
