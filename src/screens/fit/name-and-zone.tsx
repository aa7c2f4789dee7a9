'use client';

import type { ZoneId } from '@/core/shared/ids';
import { Field, Input, Select } from '@/ui/field';
import { useBuild } from '../common/build-store';

interface NameAndZoneProps {
  readonly name: string;
  readonly zone: ZoneId;
  readonly onChange: (more: { name: string } | { zone: ZoneId }) => void;
}

/** What something that is laid is called, as its modification will be, and the zone that it is laid in. */
export function NameAndZone({ name, zone, onChange }: NameAndZoneProps) {
  const { zones } = useBuild((s) => s.workbench);
  return (
    <>
      <Field label="Name, and of the modification when it is planned">
        <Input
          key={name}
          defaultValue={name}
          maxLength={120}
          onBlur={(e) => {
            const next = e.target.value.trim();
            if (next && next !== name) onChange({ name: next });
          }}
        />
      </Field>
      <Field label="Zone">
        <Select value={zone} onChange={(e) => onChange({ zone: e.target.value as ZoneId })}>
          {zones.map((z) => (
            <option key={z.id} value={z.id}>
              {z.name}
            </option>
          ))}
        </Select>
      </Field>
    </>
  );
}
