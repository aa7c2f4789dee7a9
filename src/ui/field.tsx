'use client';

import clsx from 'clsx';
import {
  useId,
  useState,
  type ComponentProps,
  type FormEvent,
  type ReactNode,
  type SelectHTMLAttributes,
} from 'react';

const BOX = 'border-edge bg-sheet text-ink min-h-7 rounded-md border px-2 py-1';

/** A label over its control. */
export function Field({
  label,
  children,
  className,
}: {
  label: string;
  children: ReactNode;
  className?: string;
}) {
  return (
    <label className={clsx('flex flex-col gap-1', className)}>
      <span className="text-soft text-[12px]">{label}</span>
      {children}
    </label>
  );
}

/**
 * A field to type in. Where a form cannot take what is in it, it is gone to and says why beneath: a browser's own bubble is of
 * another colour and another language, and lies over what is there. A field with rules of its own says them itself.
 */
export function Input({ className, ...rest }: ComponentProps<'input'>) {
  const id = useId();
  const [fault, setFault] = useState('');
  const told = fault === '' ? {} : { 'aria-invalid': true, 'aria-describedby': id };
  const tell = (e: FormEvent<HTMLInputElement>) => {
    e.preventDefault();
    const field = e.currentTarget;
    unfold(field);
    if (firstWrong(field) === field) field.focus();
    const { customError, valueMissing } = field.validity;
    if (!customError) setFault(valueMissing ? 'it is empty' : 'it cannot be read');
  };
  return (
    <>
      <input
        {...rest}
        {...told}
        onInput={() => setFault('')}
        onInvalid={tell}
        className={clsx(BOX, className)}
      />
      {fault && (
        <span id={id} role="status" className="text-ink text-[12px]">
          ▲ {fault}
        </span>
      )}
    </>
  );
}

/** The first field of a form that it cannot take. */
const firstWrong = ({ form }: HTMLInputElement): Element | undefined =>
  [...(form?.elements ?? [])].find((e) => e instanceof HTMLInputElement && !e.validity.valid);

/** What is folded away could not be gone to. */
function unfold(field: Element): void {
  for (let d = field.closest('details'); d; d = d.parentElement?.closest('details') ?? null) d.open = true;
}

export const Select = ({ className, ...rest }: SelectHTMLAttributes<HTMLSelectElement>) => (
  <select {...rest} className={clsx(BOX, className)} />
);

/** A box to tick, with its words. */
export const Check = ({
  words,
  on,
  onChange,
}: {
  words: string;
  on: boolean;
  onChange: (on: boolean) => void;
}) => (
  <label className="flex min-h-7 items-center gap-2">
    <input type="checkbox" className="size-4" checked={on} onChange={(e) => onChange(e.target.checked)} />
    <bdi>{words}</bdi>
  </label>
);
