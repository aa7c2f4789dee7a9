'use client';

import clsx from 'clsx';
import { useEffect, useId, useRef, useState, type KeyboardEvent } from 'react';
import { readTyped } from '@/core/shared/decimal';
import { editNumber } from '@/core/shared/forms';
import { Input } from '@/ui/field';
import { count } from '@/ui/numbers';

interface NumberBoxProps {
  readonly label: string;
  /** Null = not said. */
  readonly value: number | null;
  readonly least: number;
  readonly most: number;
  /** True where parts of one are allowed. */
  readonly parts?: boolean;
  readonly onChange: (value: number) => void;
  /** Taken at each letter, where something is seen to follow from it. */
  readonly live?: boolean;
  /** Where nothing may stand there, and what that means. */
  readonly onEmpty?: () => void;
  readonly none?: string;
  /** The label stands elsewhere, and is read out alone. */
  readonly bare?: boolean;
  readonly autoFocus?: boolean;
  readonly className?: string;
}

const says = (least: number, most: number, parts: boolean): string =>
  parts
    ? `from ${editNumber(least)} to ${editNumber(most)}`
    : least === most
      ? `it can only be ${count(least)}`
      : `a whole number from ${count(least)} to ${count(most)}`;

/**
 * A number within bounds, taken when the field is left or Enter is pressed, or as it is typed. What is none stays and says
 * so, and until it is put right no form takes it.
 */
export function NumberBox(props: NumberBoxProps) {
  const { label, value, least, most, parts = false, onChange, live, onEmpty, none, bare, className } = props;
  const id = useId();
  const field = useRef<HTMLInputElement>(null);
  const [typed, setTyped] = useState<string | null>(null);
  const read = (text: string): number | null => {
    const n = readTyped(text);
    return n >= least && n <= most && (parts || Number.isInteger(n)) ? n : null;
  };
  // A value that comes from elsewhere is shown: what was typed meant another.
  const [shown, setShown] = useState(value);
  if (value !== shown) {
    setShown(value);
    if (typed !== null && read(typed) !== value) setTyped(null);
  }
  const isEmptied = onEmpty !== undefined && typed?.trim() === '';
  const bad = typed !== null && !isEmptied && read(typed) === null ? says(least, most, parts) : '';
  useEffect(() => field.current?.setCustomValidity(bad), [bad]);
  const change = (n: number) => n !== value && onChange(n);
  const type = (text: string) => {
    setTyped(text);
    const n = live ? read(text) : null;
    if (n !== null) change(n);
  };
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
    change(n);
  };
  const press = (e: KeyboardEvent) => {
    if (e.key === 'Enter') take();
    const step = { ArrowUp: 1, ArrowDown: -1 }[e.key];
    if (step === undefined || parts) return;
    e.preventDefault();
    const from = typed === null ? value : read(typed);
    type(String(Math.max(least, Math.min(most, from === null ? least : from + step))));
  };
  return (
    <div className={className}>
      <label htmlFor={id} className={bare ? 'sr-only' : 'text-soft mb-1 block text-[12px]'}>
        {label}
      </label>
      <Input
        ref={field}
        id={id}
        inputMode={parts ? 'decimal' : 'numeric'}
        placeholder={none}
        autoFocus={props.autoFocus}
        value={typed ?? (value === null ? '' : editNumber(value))}
        onChange={(e) => type(e.target.value)}
        onBlur={take}
        onKeyDown={press}
        aria-invalid={bad !== ''}
        aria-describedby={bad ? `${id}-says` : undefined}
        className={clsx(none ? 'w-full' : bare ? 'w-16' : 'w-20', 'text-ink')}
      />
      {bad && (
        <span id={`${id}-says`} role="status" className="text-ink mt-1 block text-[12px]">
          ▲ {bad}
        </span>
      )}
    </div>
  );
}

/** Whether all that stands in an area can be taken; else the first that cannot is gone to. For acts outside of a form. */
export function isFilledIn(area: Element | null): boolean {
  const wrong = [...(area?.querySelectorAll('input') ?? [])].find((input) => !input.checkValidity());
  wrong?.focus();
  return !wrong;
}
