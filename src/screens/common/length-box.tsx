'use client';

import type { ComponentProps } from 'react';
import { lengthAs, lengthFrom, lengthUnit } from '@/core/shared/forms';
import { NumberBox } from './number-box';

/** A length, kept in millimetres, in the unit of the workspace: its label is given without one. */
export function LengthBox({
  label,
  value,
  least,
  most,
  onChange,
  ...others
}: Omit<ComponentProps<typeof NumberBox>, 'parts'>) {
  return (
    <NumberBox
      {...others}
      label={`${label}, ${lengthUnit()}`}
      value={value === null ? null : lengthAs(value)}
      least={lengthAs(least)}
      most={lengthAs(most)}
      parts
      // The bounds are rounded in another unit: what is kept stays within them.
      onChange={(n) => onChange(Math.min(most, Math.max(least, lengthFrom(n))))}
    />
  );
}
