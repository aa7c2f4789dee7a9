'use client';

import { useState } from 'react';
import { elementName } from '@/core/parts';
import { labelSize, SHEET, type SheetBlock, type SheetDocument, type SheetGuide } from '@/core/mod-sheet';
import { Button } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { count } from '@/ui/numbers';
import { inkOn } from '@/core/colour';
import { usePalette } from '@/ui/palette-context';

/** Blocks and pieces in them that are shown at once: the files hold all. */
const MOST = 180;

/** A mod sheet as a page: what the files hold, and what is printed. A long one shows its beginning until all of it is asked for. */
export function SheetView({ document: sheet }: { document: SheetDocument }) {
  const [all, setAll] = useState(false);
  const upTo = all ? sheet.blocks.length : firstOf(sheet.blocks);
  const rest = sheet.blocks.length - upTo;
  return (
    <article
      aria-label="The sheet"
      className="bg-sheet border-rule min-w-0 border p-6 print:border-0 print:p-0"
    >
      <h2 className="text-[24px] leading-tight">
        <bdi>{sheet.title}</bdi>
      </h2>
      {sheet.author && (
        <p className="text-soft">
          by <bdi>{sheet.author}</bdi>
        </p>
      )}
      {sheet.blocks.slice(0, upTo).map((b, i) => (
        <Block key={i} block={b} />
      ))}
      {rest > 0 && (
        <p className="mt-4">
          The rest is long. The files hold all of it.{' '}
          <Button onClick={() => setAll(true)}>Show all of it, to print</Button>
        </p>
      )}
    </article>
  );
}

/** How many blocks come to no more than is shown at once. */
function firstOf(blocks: readonly SheetBlock[]): number {
  let left = MOST;
  const at = blocks.findIndex((b) => {
    left -= sizeOf(b);
    return left < 0;
  });
  return at < 0 ? blocks.length : at;
}

function sizeOf(b: SheetBlock): number {
  if (b.is === 'parts') return b.lots.length;
  if (b.is === 'change') return b.off.length + b.on.length;
  if (b.is === 'guide') return b.rects.length;
  return b.is === 'table' ? b.rows.length : 1;
}

function Block({ block: b }: { block: SheetBlock }) {
  switch (b.is) {
    case 'heading':
      return b.level === 2 ? (
        <h3 className="border-rule mt-5 mb-1 break-after-avoid border-b text-[18px]">
          <bdi>{b.text}</bdi>
        </h3>
      ) : (
        <h4 className="mt-3 break-after-avoid font-semibold">
          <bdi>{b.text}</bdi>
        </h4>
      );
    case 'text':
      return <p className={b.soft ? 'text-soft my-1 max-w-prose' : 'my-1 max-w-prose'}>{b.text}</p>;
    case 'list':
      return (
        <ul className="my-1 list-disc pl-5">
          {b.items.map((t, i) => (
            <li key={i}>{t}</li>
          ))}
        </ul>
      );
    case 'facts':
      return (
        <dl className="my-1 grid grid-cols-[max-content_1fr] gap-x-4 max-sm:grid-cols-1">
          {b.rows.map(([k, v]) => (
            <div key={k} className="contents">
              <dt className="text-soft">{k}</dt>
              <dd>{v}</dd>
            </div>
          ))}
        </dl>
      );
    case 'table':
      return <SheetTable head={b.head} rows={b.rows} />;
    case 'parts':
      return (
        <ul className="my-1 grid gap-x-4 sm:grid-cols-2 xl:grid-cols-3">
          {b.lots.map((l) => (
            <Lot key={l.element} {...l} />
          ))}
        </ul>
      );
    case 'change':
      return (
        <div className="my-1 break-inside-avoid">
          {b.where && <b>{b.where}</b>}
          <ul className="flex flex-wrap gap-x-4">
            {b.off.map((l) => (
              <Lot key={`off ${l.element}`} {...l} says="off" />
            ))}
            {b.on.map((l) => (
              <Lot key={l.element} {...l} says="on" />
            ))}
          </ul>
        </div>
      );
    case 'guide':
      return <Guide {...b} />;
    case 'pictures':
      return (
        <div className="my-2 flex flex-wrap gap-3">
          {b.pictures.map((p) => (
            <figure key={p.photo} className="min-w-56 flex-1">
              {/* Kept photos are served by this machine, at the size they are kept in. */}
              {/* eslint-disable-next-line @next/next/no-img-element */}
              <img src={`/api/photos/${p.photo}?side=${SHEET.photoSide}`} alt={p.says} className="w-full" />
              <figcaption className="text-soft">{p.says}</figcaption>
            </figure>
          ))}
        </div>
      );
  }
}

/** A guide at its proportions, no wider than the sheet. */
function Guide({ says, w, h, rects }: SheetGuide) {
  const palette = usePalette();
  return (
    <figure className="my-2 break-inside-avoid">
      <svg
        viewBox={`-1 -1 ${w + 2} ${h + 2}`}
        width={(w + 2) * 3}
        role="img"
        aria-label={says}
        className="h-auto max-w-full"
      >
        {rects.map((r, i) => {
          const colour = r.colour === null ? undefined : palette.get(r.colour);
          const size = labelSize(r);
          return (
            <g key={i}>
              <rect
                x={r.x}
                y={r.y}
                width={r.w}
                height={r.h}
                fill={r.colour === null ? 'none' : (colour?.hex ?? '#9a9a9a')}
                stroke="currentColor"
                strokeWidth={0.3}
              />
              {size > 0 && (
                <text
                  x={r.x + r.w / 2}
                  y={r.y + r.h / 2 + size * 0.35}
                  fontSize={size}
                  textAnchor="middle"
                  fill={inkOn(colour)}
                >
                  {r.label}
                </text>
              )}
            </g>
          );
        })}
      </svg>
      <figcaption className="text-soft">{says}</figcaption>
    </figure>
  );
}

const SheetTable = ({ head, rows }: { head: readonly string[]; rows: readonly (readonly string[])[] }) => (
  <div className="my-1 overflow-x-auto" tabIndex={0} role="region" aria-label={head[0]}>
    <table className="w-full text-left">
      <thead>
        <tr className="border-ink border-b">
          {head.map((h) => (
            <th key={h} scope="col" className="py-1 pr-3">
              {h}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((r, i) => (
          <tr key={i} className="border-rule border-b align-top">
            {r.map((c, k) =>
              k === 0 ? (
                <th key={k} scope="row" className="py-1 pr-3 font-medium">
                  <bdi>{c}</bdi>
                </th>
              ) : (
                <td key={k} className="py-1 pr-3">
                  {c}
                </td>
              ),
            )}
          </tr>
        ))}
      </tbody>
    </table>
  </div>
);

type LotProps = Extract<SheetBlock, { is: 'parts' }>['lots'][number] & { readonly says?: 'on' | 'off' };

const Lot = ({ element, qty, says }: LotProps) => (
  <li className="flex min-w-0 items-center gap-2 break-inside-avoid">
    <Glyph element={element} mark={says === 'off' ? 'out' : 'in'} size={30} />
    <span className="min-w-0">
      <b>{count(qty)}</b> <bdi>{elementName(element)}</bdi> {says}
    </span>
  </li>
);
