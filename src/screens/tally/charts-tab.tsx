'use client';

import dynamic from 'next/dynamic';
import { useMemo, useState, type ReactNode } from 'react';
import { formatDay, formatFixed } from '@/core/shared/forms';
import {
  colourShifts,
  growthByDay,
  growthOf,
  piecesByOrigin,
  type ColourShift,
  type GrowthPoint,
  type OriginSum,
} from '@/core/show';
import { Button } from '@/ui/button';
import { count, pieces, priced, signed } from '@/ui/numbers';
import { usePalette } from '@/ui/palette-context';
import { useBuild } from '../common/build-store';
import { ORIGIN_WORDS } from '../words/places';

const GrowthChart = dynamic(() => import('./growth-chart').then((m) => m.GrowthChart));

/** What a build came to, to look at: over time, its colours before and after, and where its pieces came from. */
export function ChartsTab({ planned }: { planned: boolean }) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const [days, lines, colours, origins] = useMemo(() => {
    void version;
    return [
      growthByDay(workbench, planned),
      growthOf(workbench, planned),
      colourShifts(workbench, planned),
      piecesByOrigin(workbench, planned),
    ] as const;
  }, [workbench, version, planned]);
  const [asked, setAsked] = useState<'day' | 'line' | null>(null);
  // Where all was logged on a few days the days say little.
  const by = asked ?? (days.length < 5 ? 'line' : 'day');
  const points =
    by === 'day'
      ? days.map((d) => ({ ...d, label: formatDay(d.day) }))
      : thinned(lines).map((p) => ({ ...p, label: `entry ${p.entry.no}` }));
  if (days.length === 0) return <p className="text-soft">Nothing stands yet that a chart could show.</p>;
  return (
    <div className="mx-auto grid w-full max-w-6xl gap-x-8 gap-y-6 lg:grid-cols-2">
      <h1 className="sr-only">Charts</h1>
      <Section title="Pieces and money over time" className="lg:col-span-2">
        <div role="group" aria-label="Along" className="mb-1 flex gap-1">
          {(['day', 'line'] as const).map((b) => (
            <Button
              key={b}
              aria-pressed={by === b}
              look={by === b ? 'main' : 'plain'}
              onClick={() => setAsked(b)}
            >
              by {b}
            </Button>
          ))}
        </div>
        <GrowthChart points={points} by={by} />
        <Table
          label="Pieces and money by day"
          heading={['day', 'lines', 'on the model', 'net', 'out of pocket']}
          rows={days.map((d) => [
            formatDay(d.day),
            count(d.lines),
            count(d.onModel),
            signed(d.net),
            priced(d.outOfPocket, d.unpriced),
          ])}
        />
      </Section>
      <Section title="Colours before and after">
        <Colours shifts={colours} />
        <Table
          label="Pieces by colour before and after"
          heading={['colour', 'before', 'after', 'change']}
          rows={colours.map((c) => [c.colour, count(c.before), count(c.after), signed(c.after - c.before)])}
        />
      </Section>
      <Section title="Where the pieces came from">
        <Origins sums={origins} />
        <Table
          label="Pieces by where they came from"
          heading={['from', 'pieces']}
          rows={origins.map((o) => [ORIGIN_WORDS[o.from], count(o.pieces)])}
        />
      </Section>
    </div>
  );
}

/** Points that a chart draws: of a long log every so manieth, and the last. */
const MOST_POINTS = 400;

function thinned(points: readonly GrowthPoint[]): readonly GrowthPoint[] {
  const step = Math.ceil(points.length / MOST_POINTS);
  return points.filter((_, i) => i % step === 0 || i === points.length - 1);
}

const Section = ({
  title,
  className,
  children,
}: {
  title: string;
  className?: string;
  children: ReactNode;
}) => (
  <section aria-label={title} className={className}>
    <h2 className="mb-2 text-[16px]">{title}</h2>
    {children}
  </section>
);

interface TableProps {
  readonly label: string;
  readonly heading: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** The numbers of a chart, for who would rather read them. */
function Table({ label, heading, rows }: TableProps) {
  return (
    <details className="mt-2">
      <summary className="text-soft min-h-7">The numbers</summary>
      <div className="max-h-72 overflow-auto" tabIndex={0} role="region" aria-label={label}>
        <table className="w-full text-left">
          <thead>
            <tr className="border-ink border-b">
              {heading.map((h, i) => (
                <th key={h} scope="col" className={`px-1 font-normal ${i > 0 ? 'text-right' : ''}`}>
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row[0]} className="border-rule border-b">
                {row.map((cell, i) => (
                  <td key={i} className={`px-1 ${i > 0 ? 'text-right tabular-nums' : ''}`}>
                    {cell}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}

/** Colours that are drawn; the table has all. */
const MOST_COLOURS = 12;

/** For each colour two bars in its true colour: what it was, narrow, and what it is. */
function Colours({ shifts }: { shifts: readonly ColourShift[] }) {
  const palette = usePalette();
  const most = Math.max(1, ...shifts.map((s) => Math.max(s.before, s.after)));
  return (
    <ul>
      {shifts.slice(0, MOST_COLOURS).map((s) => (
        <li key={s.colour} className="grid grid-cols-[7rem_1fr_5.5rem] items-center gap-2 py-1">
          <span className="truncate">{s.colour}</span>
          <span aria-hidden className="flex flex-col gap-0.5">
            {([s.before, s.after] as const).map((n, i) => (
              <span
                key={i}
                className={`border-edge block border ${i === 0 ? 'h-1.5' : 'h-3.5'}`}
                style={{
                  width: `${Math.max(n > 0 ? 1 : 0, (100 * n) / most)}%`,
                  background: palette.get(s.colour)?.hex ?? 'transparent',
                }}
              />
            ))}
          </span>
          <span className="text-right tabular-nums">
            {count(s.before)} → <b>{count(s.after)}</b>
          </span>
        </li>
      ))}
      {shifts.length > MOST_COLOURS && (
        <li className="text-soft">{count(shifts.length - MOST_COLOURS)} more colours in the table</li>
      )}
    </ul>
  );
}

/** Told apart by pattern, so that no colour but the bricks' is needed. */
const PATTERNS = [
  'bg-ink',
  'bg-[repeating-linear-gradient(45deg,var(--color-ink)_0_2px,transparent_2px_6px)]',
  'bg-[repeating-linear-gradient(90deg,var(--color-ink)_0_1px,transparent_1px_4px)]',
  'bg-edge',
  'bg-[radial-gradient(var(--color-ink)_1px,transparent_1.5px)] bg-[length:5px_5px]',
  'bg-wash',
];

function Origins({ sums }: { sums: readonly OriginSum[] }) {
  const all = sums.reduce((s, o) => s + o.pieces, 0);
  return (
    <>
      <div
        role="img"
        aria-label={`${pieces(all)}: ${sums.map((o) => `${count(o.pieces)} ${ORIGIN_WORDS[o.from]}`).join(', ')}`}
        className="flex h-9 gap-0.5"
      >
        {sums.map((o, i) => (
          <span
            key={o.from}
            style={{ flexGrow: o.pieces }}
            className={`border-ink min-w-1 border ${PATTERNS[i % PATTERNS.length]}`}
          />
        ))}
      </div>
      <ul className="mt-2">
        {sums.map((o, i) => (
          <li key={o.from} className="flex items-center gap-2 py-0.5">
            <span aria-hidden className={`border-ink size-3.5 border ${PATTERNS[i % PATTERNS.length]}`} />
            <span className="flex-1">{ORIGIN_WORDS[o.from]}</span>
            <span className="tabular-nums">
              {count(o.pieces)}, {formatFixed((100 * o.pieces) / Math.max(1, all))} %
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}
