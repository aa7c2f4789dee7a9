import clsx from 'clsx';
import type { ComponentProps, ReactNode, SelectHTMLAttributes } from 'react';

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

export const Input = ({ className, ...rest }: ComponentProps<'input'>) => (
  <input {...rest} onInvalid={(e) => unfold(e.currentTarget)} className={clsx(BOX, className)} />
);

/** A form goes to the first field that it cannot take: one that is folded away could not be gone to. */
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
