import type { ReactNode } from 'react';

interface SumProps {
  readonly title: string;
  /** What it is asked for. */
  readonly form: ReactNode;
  /** What comes out; what cannot be worked out says why. */
  readonly children: ReactNode;
}

/** One sum of the trade: what it is asked, and what comes out of it as one types. */
export const Sum = ({ title, form, children }: SumProps) => (
  <section aria-label={title} className="border-rule bg-sheet flex flex-col gap-3 rounded-lg border p-4">
    <h2 className="text-[16px]">{title}</h2>
    <div className="flex flex-wrap items-end gap-3">{form}</div>
    <div>{children}</div>
  </section>
);

/** Sums beside one another, as many as there is room for. */
export const Sums = ({ title, says, children }: { title: string; says: string; children: ReactNode }) => (
  <div className="h-full overflow-auto p-4" tabIndex={0} role="region" aria-label={title}>
    <h1 className="text-[21px] leading-tight">{title}</h1>
    <p className="text-soft mb-3 max-w-prose">{says}</p>
    <div className="gap-4 *:mb-4 *:break-inside-avoid lg:columns-2">{children}</div>
  </div>
);

/** A number with its words under it. */
export const Figure = ({ value, words }: { value: string; words: string }) => (
  <span className="inline-block min-w-24">
    <b className="figure-md block">{value}</b>
    <span className="text-soft text-[12px]">{words}</span>
  </span>
);
