'use client';

import type { ZoneId } from '@/core/shared/ids';
import { NameField } from '../common/name-field';
import { ZoneSelect } from '../common/zone-select';

interface NameAndZoneProps {
  readonly name: string;
  readonly zone: ZoneId;
  readonly onChange: (more: { name: string } | { zone: ZoneId }) => void;
}

/** What something that is laid is called, as its modification will be, and the zone that it is laid in. */
export const NameAndZone = ({ name, zone, onChange }: NameAndZoneProps) => (
  <>
    <NameField
      label="Name, and of the modification when it is planned"
      value={name}
      onKeep={(next) => onChange({ name: next })}
    />
    <ZoneSelect label="Zone" zone={zone} onChange={(next) => onChange({ zone: next })} />
  </>
);
