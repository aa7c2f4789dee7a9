'use client';

import type { ZoneId } from '@/core/shared/ids';
import { Field, Select } from '@/ui/field';
import { useBuild } from './build-store';

interface ZoneSelectProps {
  readonly label: string;
  readonly zone: ZoneId;
  readonly onChange: (zone: ZoneId) => void;
}

/** A zone of the build. */
export function ZoneSelect({ label, zone, onChange }: ZoneSelectProps) {
  const { zones } = useBuild((s) => s.workbench);
  return (
    <Field label={label}>
      <Select value={zone} onChange={(e) => onChange(e.target.value as ZoneId)}>
        {zones.map((z) => (
          <option key={z.id} value={z.id}>
            {z.name}
          </option>
        ))}
      </Select>
    </Field>
  );
}
