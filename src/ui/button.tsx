import clsx from 'clsx';
import type { ButtonHTMLAttributes } from 'react';

type Look = 'plain' | 'main' | 'bare';

const LOOKS: Readonly<Record<Look, string>> = {
  plain: 'border border-edge bg-sheet text-ink hover:border-ink',
  main: 'border border-ink bg-ink text-sheet hover:bg-soft',
  bare: 'border border-transparent hover:bg-wash',
};

export const buttonClass = (look: Look = 'plain', more?: string): string =>
  clsx(
    'inline-flex min-h-7 items-center justify-center gap-1.5 rounded-md px-2.5 py-1 font-medium whitespace-nowrap',
    'disabled:cursor-default disabled:border-rule disabled:bg-wash disabled:text-faint',
    LOOKS[look],
    more,
  );

export function Button({
  look,
  className,
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { look?: Look }) {
  return <button type="button" {...rest} className={buttonClass(look, className)} />;
}

/** A key as it is shown on the sheet of keys and beside what it does. */
export function Key({ children }: { children: string }) {
  return (
    <kbd className="border-edge bg-sheet text-soft rounded-sm border border-b-2 px-1.5 font-mono text-[11px] leading-5 whitespace-nowrap">
      {children}
    </kbd>
  );
}
