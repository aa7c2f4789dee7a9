'use client';

import { useId, useState } from 'react';
import type { Result } from '@/core/shared/result';
import { Input } from '@/ui/field';

interface TypedFieldProps<T, F> {
  readonly label: string;
  /** What stands there while nothing is typed. */
  readonly value: string;
  readonly read: (text: string) => Result<T, F>;
  readonly onRead: (value: T) => void;
  readonly sayFault: (fault: F) => string;
  readonly long?: boolean;
}

/** A field that is read as a whole when it is left or Enter is pressed; what cannot be read stays, with why. */
export function TypedField<T, F>({ label, value, read, onRead, sayFault, long }: TypedFieldProps<T, F>) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const [fault, setFault] = useState<F | null>(null);
  const take = () => {
    if (typed === null) return;
    const answer = read(typed);
    if (!answer.ok) return setFault(answer.reason);
    setFault(null);
    setTyped(null);
    if (typed !== value) onRead(answer.value);
  };
  const shared = {
    id,
    value: typed ?? value,
    'aria-invalid': fault !== null,
    'aria-describedby': `${id}-says`,
    onBlur: take,
    className: 'w-full font-mono',
  };
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="text-soft text-[12px]">
        {label}
      </label>
      {long ? (
        <textarea
          {...shared}
          rows={2}
          spellCheck={false}
          onChange={(e) => setTyped(e.target.value)}
          onKeyDown={(e) => {
            if (e.key !== 'Enter' || e.shiftKey) return;
            e.preventDefault();
            take();
          }}
          className="border-edge bg-sheet w-full rounded-md border px-2 py-1 font-mono"
        />
      ) : (
        <Input
          {...shared}
          onChange={(e) => setTyped(e.target.value)}
          onKeyDown={(e) => e.key === 'Enter' && take()}
        />
      )}
      <span id={`${id}-says`} role="status" className="text-[12px]">
        {fault !== null ? `▲ ${sayFault(fault)}` : ''}
      </span>
    </div>
  );
}
