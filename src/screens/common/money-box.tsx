'use client';

import { useEffect, useId, useRef, useState } from 'react';
import { moneyToEdit, readMoney, type Minor } from '@/core/shared/money';
import { Input } from '@/ui/field';

interface MoneyBoxProps {
  readonly label: string;
  /** Null = not known. */
  readonly value: Minor | null;
  readonly onChange: (value: Minor | null) => void;
  /** The label stands elsewhere, and is read out alone. */
  readonly bare?: boolean;
}

/** An amount of money, taken when the field is left; empty = not known, and what is no amount stays and says so. */
export function MoneyBox({ label, value, onChange, bare }: MoneyBoxProps) {
  const id = useId();
  const field = useRef<HTMLInputElement>(null);
  const [typed, setTyped] = useState<string | null>(null);
  const read = typed?.trim() ? readMoney(typed) : null;
  const bad = read === undefined ? `an amount like ${moneyToEdit(450)}` : '';
  // No form takes it until it is put right.
  useEffect(() => field.current?.setCustomValidity(bad), [bad]);
  const take = () => {
    if (typed === null || read === undefined) return;
    setTyped(null);
    if (read !== value) onChange(read);
  };
  return (
    <div>
      <label htmlFor={id} className={bare ? 'sr-only' : 'text-soft mb-1 block text-[12px]'}>
        {label}
      </label>
      <Input
        ref={field}
        id={id}
        inputMode="decimal"
        placeholder="not known"
        value={typed ?? (value === null ? '' : moneyToEdit(value))}
        onChange={(e) => setTyped(e.target.value)}
        onBlur={take}
        onKeyDown={(e) => e.key === 'Enter' && take()}
        aria-invalid={bad !== ''}
        aria-describedby={bad ? `${id}-says` : undefined}
        className="w-24"
      />
      {bad && (
        <span id={`${id}-says`} role="status" className="mt-1 block text-[12px]">
          ▲ {bad}
        </span>
      )}
    </div>
  );
}
