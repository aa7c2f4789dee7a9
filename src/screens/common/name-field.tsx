'use client';

import { Field, Input } from '@/ui/field';

interface NameFieldProps {
  readonly label: string;
  readonly value: string;
  readonly onKeep: (value: string) => void;
  /** True where nothing may stand there. */
  readonly mayBeEmpty?: boolean;
  readonly className?: string;
}

/** A text that is kept when its field is left: a name is never empty. */
export const NameField = ({ label, value, onKeep, mayBeEmpty, className }: NameFieldProps) => (
  <Field label={label} className={className}>
    <Input
      key={value}
      defaultValue={value}
      maxLength={mayBeEmpty ? 1000 : 120}
      onBlur={(e) => {
        const next = e.target.value.trim();
        if (next !== value && (next || mayBeEmpty)) onKeep(next);
        else e.target.value = value;
      }}
    />
  </Field>
);
