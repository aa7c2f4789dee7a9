'use client';

import { Link } from '@/ui/link';
import { buttonClass } from '@/ui/button';

/** One list as files for other programs, and to print. `of` is the page of a build, or of own parts. */
export function ListLinks({ of, list }: { of: string; list: string }) {
  const files = of.startsWith('/builds/') ? `/api${of}/files` : '/api/stock/files';
  return (
    <span role="group" aria-label="This list as a file" className="no-print flex gap-1">
      {(['csv', 'xlsx'] as const).map((form) => (
        <a key={form} href={`${files}/${list}.${form}`} download className={buttonClass()}>
          {form.toUpperCase()}
        </a>
      ))}
      <Link href={`${of}/print/${list}`} className={buttonClass()}>
        Print
      </Link>
    </span>
  );
}
