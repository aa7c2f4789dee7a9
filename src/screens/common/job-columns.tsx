import type { ReactNode } from 'react';

interface JobColumnsProps {
  /** What is wanted. */
  readonly left: ReactNode;
  /** What it takes, and what is done with it. */
  readonly side: ReactNode;
  /** How it lies, on the background. */
  readonly children: ReactNode;
}

/** What is wanted on the left, how it lies in the middle, what it takes on the right; on a phone one under another. */
export const JobColumns = ({ left, side, children }: JobColumnsProps) => (
  <div className="h-full min-h-0 max-lg:overflow-auto lg:grid lg:grid-cols-[300px_1fr_300px] print:block">
    <section
      aria-label="What is wanted"
      tabIndex={0}
      className="border-rule no-print flex min-h-0 flex-col gap-3 border-r p-4 lg:overflow-auto"
    >
      {left}
    </section>
    <section
      aria-label="How it lies"
      tabIndex={0}
      className="bg-background text-background-ink min-h-0 p-4 lg:overflow-auto print:bg-transparent"
    >
      {children}
    </section>
    {side}
  </div>
);
