'use client';

import { formatLengths } from '@/core/shared/forms';
import { Fragment } from 'react';
import { sizeAt, type Standing } from '@/core/show';
import type { Size } from '@/core/ledger';
import { inMillimetres } from '@/core/inspection';
import { count, priced, signed } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { hoursWords } from '../words/brief';
import { ColourBars } from './colour-bars';
import type { Shown } from './stages-tab';

/** Two or three moments in columns: figures, colours in their true colours, size to scale, zone by zone. */
export function StageColumns({ shown }: { shown: readonly Shown[] }) {
  const workbench = useBuild((s) => s.workbench);
  if (shown.length === 0) return <p className="text-soft">No stage is chosen.</p>;
  const sizes = shown.map((s) => sizeAt(workbench, s.stage));
  const zones = workbench.zones.filter((z) => shown.some((s) => s.now.zones.some((x) => x.zone === z.id)));
  const rows: readonly [string, (s: Shown) => string][] = [
    ['on the model', (s) => count(s.now.standing.onModel)],
    ['net', (s) => signed(s.now.tally.figures.net)],
    ['kept', (s) => count(s.now.standing.kept)],
    ['changed', (s) => count(s.now.standing.changed)],
    ['new', (s) => count(s.now.standing.fresh)],
    ['recoloured', (s) => count(s.now.tally.figures.recoloured)],
    [
      'out of pocket',
      ({ now: { tally } }) => priced(tally.figures.outOfPocket, tally.figures.boughtUnpriced),
    ],
    ['spares', (s) => count(s.now.tally.figures.sparesLeft)],
    ['hours noted', (s) => (s.now.minutes > 0 ? hoursWords(s.now.minutes) : 'none')],
    ['last entry', (s) => s.now.on || 'none'],
  ];
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Stages beside each other">
      <table className="w-full table-fixed" style={{ minWidth: `${8 + shown.length * 11}rem` }}>
        <thead>
          <tr className="border-ink border-b">
            <th scope="col" className="w-36 py-1 text-left font-normal">
              <span className="sr-only">What</span>
            </th>
            {shown.map((s) => (
              <th key={s.id} scope="col" className="px-2 text-left text-[16px]">
                <bdi>{s.name}</bdi>
                {s.stage?.note && (
                  <span className="text-soft block text-[12px] font-normal">
                    <bdi>{s.stage.note}</bdi>
                  </span>
                )}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([words, value]) => (
            <tr key={words} className="border-rule border-b">
              <th scope="row" className="py-1 text-left font-normal">
                {words}
              </th>
              {shown.map((s) => (
                <td key={s.id} className="px-2 font-semibold">
                  {value(s)}
                </td>
              ))}
            </tr>
          ))}
          <tr className="border-rule border-b align-top">
            <th scope="row" className="py-1 text-left font-normal">
              size
            </th>
            {shown.map((s, i) => (
              <td key={s.id} className="px-2 py-1">
                <SizeToScale size={sizes[i] ?? null} all={sizes} />
              </td>
            ))}
          </tr>
          <tr className="border-rule border-b align-top">
            <th scope="row" className="py-1 text-left font-normal">
              colours
            </th>
            {shown.map((s) => (
              <td key={s.id} className="px-2 py-1">
                <ColourBars colours={s.now.colours} of={s.now.standing.onModel} />
              </td>
            ))}
          </tr>
          <tr>
            <th scope="rowgroup" colSpan={shown.length + 1} className="pt-3 pb-1 text-left">
              Zone by zone: kept, changed, new
            </th>
          </tr>
          {zones.map((z) => (
            <tr key={z.id} className="border-rule border-b">
              <th scope="row" className="truncate py-1 text-left font-normal">
                <bdi>{z.name}</bdi>
              </th>
              {shown.map((s) => (
                <td key={s.id} className="px-2">
                  <ZoneCell standing={s.now.zones.find((x) => x.zone === z.id)} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

const ZoneCell = ({ standing: s }: { standing: Standing | undefined }) =>
  s ? (
    <Fragment>
      <b>{count(s.onModel)}</b>{' '}
      <span className="text-soft">
        {count(s.kept)} + {count(s.changed)} + {count(s.fresh)}
      </span>
    </Fragment>
  ) : (
    <span className="text-soft">not there</span>
  );

const PIXELS = 110;

/** Length by height as a rectangle, all of them to one scale, with a figure's height beside it. */
function SizeToScale({ size, all }: { size: Size | null; all: readonly (Size | null)[] }) {
  if (!size) return <span className="text-soft">not known</span>;
  const most = Math.max(...all.flatMap((s) => (s ? [s.length * 8, s.height * 9.6] : [])), 1);
  const mm = inMillimetres(size);
  const scale = PIXELS / most;
  const [w, h] = [mm.length * scale, mm.height * scale];
  return (
    <figure>
      <svg width={w + 2} height={h + 2} aria-hidden className="max-w-full">
        <rect x={1} y={1} width={w} height={h} fill="none" stroke="currentColor" />
      </svg>
      <figcaption className="text-[12px]">
        {count(size.length)} × {count(size.width)} studs, {count(size.height)} bricks high
        <span className="text-soft block">{formatLengths([mm.length, mm.width, mm.height])}</span>
      </figcaption>
    </figure>
  );
}
