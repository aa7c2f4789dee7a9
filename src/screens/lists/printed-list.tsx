'use client';

import { Link } from '@/ui/link';
import type { Colour } from '@/core/colour';
import type { ListTable } from '@/core/formats';
import { elementKey } from '@/core/parts';
import type { ColourId, PartId } from '@/core/shared/ids';
import { Button, buttonClass } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { formatDay } from '@/core/shared/forms';
import { count } from '@/ui/numbers';
import { PaletteProvider } from '@/ui/palette-context';

interface PrintedProps {
  readonly title: string;
  /** Whose list it is: the build's name, or the workspace's. */
  readonly of: string;
  readonly table: ListTable;
  /** Rows that the page leaves out, being too many for paper. */
  readonly leftOut: number;
  readonly ticked: boolean;
  readonly palette: readonly Colour[];
  readonly today: string;
  /** Where the files of the list are, and where one came from. */
  readonly file: string;
  readonly back: string;
}

/** Rows whose parts are drawn: thousands of drawings are more than a page can carry. */
const MOST_DRAWN = 400;

/** A list as it is printed, on A4 or Letter: its heading on every sheet, no row torn, a box to tick where one works by it. */
export function PrintedList({ title, of, table, ...props }: PrintedProps) {
  const { leftOut, ticked, palette, today, file, back } = props;
  const { heading, rows } = table;
  const isNumber = heading.map((_, i) => rows.every((r) => r[i] === '' || /^-?[\d.]+$/.test(String(r[i]))));
  return (
    <PaletteProvider palette={palette}>
      <main className="printed mx-auto max-w-5xl bg-white px-4 py-5 text-black">
        <header className="mb-3 flex flex-wrap items-end gap-3">
          <div className="min-w-0 flex-1">
            <h1 className="text-[20px] leading-tight">
              {title}: <bdi>{of}</bdi>
            </h1>
            <p>
              {count(rows.length + leftOut)} {rows.length + leftOut === 1 ? 'row' : 'rows'},{' '}
              {formatDay(today)}.
              {leftOut > 0 && ` The first ${count(rows.length)} are here; the files have all.`}
            </p>
          </div>
          <nav aria-label="This list" className="no-print flex flex-wrap gap-2">
            <Button look="main" onClick={() => window.print()}>
              Print
            </Button>
            <a href={`${file}.csv`} download className={buttonClass()}>
              CSV
            </a>
            <a href={`${file}.xlsx`} download className={buttonClass()}>
              XLSX
            </a>
            <Link href={back} className={buttonClass()}>
              Back
            </Link>
          </nav>
        </header>
        {rows.length === 0 ? (
          <p>Nothing stands in this list.</p>
        ) : (
          <div
            className="overflow-x-auto print:overflow-visible"
            role="region"
            aria-label={title}
            tabIndex={0}
          >
            <table className="w-full border-collapse text-left">
              <thead>
                <tr>
                  {ticked && (
                    <th scope="col">
                      <span className="sr-only">done</span>
                    </th>
                  )}
                  {heading.map((h, i) => (
                    <th key={h} scope="col" className={isNumber[i] ? 'text-right' : ''}>
                      {h}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {rows.map((row, n) => (
                  <tr key={n}>
                    {ticked && (
                      <td aria-hidden>
                        <span className="inline-block size-3 border border-black" />
                      </td>
                    )}
                    {row.map((cell, i) => (
                      <td key={i} className={isNumber[i] ? 'text-right tabular-nums' : ''}>
                        {heading[i] === 'part' && n < MOST_DRAWN ? (
                          <span className="flex items-center gap-2">
                            <Drawn heading={heading} row={row} /> <bdi>{cell}</bdi>
                          </span>
                        ) : (
                          <bdi>{cell}</bdi>
                        )}
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        )}
      </main>
    </PaletteProvider>
  );
}

function Drawn({ heading, row }: { heading: readonly string[]; row: readonly (string | number)[] }) {
  const cell = (name: string) => String(row[heading.indexOf(name)] ?? '');
  const [part, colour] = [cell('part'), cell('colour')];
  if (!part || !colour) return null;
  const element = elementKey(part as PartId, colour as ColourId, cell('print'));
  return <Glyph element={element} size={24} label="" />;
}
