'use client';

import { useId, useState } from 'react';
import { readTyped } from '@/core/shared/decimal';
import { editNumber } from '@/core/shared/forms';
import { Input } from '@/ui/field';

interface NumberBoxProps {
  readonly label: string;
  /** Null = not said. */
  readonly value: number | null;
  readonly least: number;
  readonly most: number;
  /** True where parts of one are allowed. */
  readonly parts?: boolean;
  readonly onChange: (value: number) => void;
  /** Where nothing may stand there, and what that means. */
  readonly onEmpty?: () => void;
  readonly none?: string;
  /** The label stands elsewhere, and is read out alone. */
  readonly bare?: boolean;
  readonly className?: string;
}

/** A number within bounds, taken when the field is left or Enter is pressed; what is none stays and says so. */
export function NumberBox(props: NumberBoxProps) {
  const { label, value, least, most, parts, onChange, onEmpty, none, bare, className } = props;
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const read = (text: string): number | null => {
    const n = readTyped(text);
    return n >= least && n <= most && (parts || Number.isInteger(n)) ? n : null;
  };
  const isEmptied = onEmpty !== undefined && typed?.trim() === '';
  const bad = typed !== null && !isEmptied && read(typed) === null;
  const take = () => {
    if (typed === null) return;
    if (isEmptied) {
      setTyped(null);
      if (value !== null) onEmpty?.();
      return;
    }
    const n = read(typed);
    if (n === null) return;
    setTyped(null);
    if (n !== value) onChange(n);
  };
  return (
    <div className={className}>
      <label htmlFor={id} className={bare ? 'sr-only' : 'text-soft block text-[12px]'}>
        {label}
      </label>
      <Input
        id={id}
        inputMode={parts ? 'decimal' : 'numeric'}
        placeholder={none}
        value={typed ?? (value === null ? '' : editNumber(value))}
        onChange={(e) => setTyped(e.target.value)}
        onBlur={take}
        onKeyDown={(e) => e.key === 'Enter' && take()}
        aria-invalid={bad}
        aria-describedby={bad ? `${id}-says` : undefined}
        className={none ? 'w-full' : 'w-20'}
      />
      {bad && (
        <span id={`${id}-says`} role="status" className="block text-[12px]">
          ▲ {parts ? '' : 'a whole number '}from {editNumber(least)} to {editNumber(most)}
        </span>
      )}
    </div>
  );
}
