'use client';

import clsx from 'clsx';
import { useEffect, useMemo, useState } from 'react';
import { hexOfLab } from '@/core/colour';
import { batchOf, takeTally, type Tally } from '@/core/ledger';
import { elementName } from '@/core/parts';
import { Ages, compareSchools, fadingByZone, planSchool, type School, type ZoneFading } from '@/core/survey';
import { Button, Key } from '@/ui/button';
import { count, pieces } from '@/ui/numbers';
import { useBench } from '../common/bench-store';
import { useKeys } from '../common/use-keys';
import { FADING_SHORT, inWords, recommendation } from '../words/colour';
import { MeterDialog } from './meter-dialog';
import { PhotoDialog } from './photo-dialog';
import { ReadingsDialog } from './readings-dialog';
import { Moves, SchoolTable } from './school-table';
import { WhiteningDialog } from './whitening-dialog';
import { ZonePlaces } from './zone-places';

type Sheet = 'meter' | 'photo' | 'readings' | 'whiten';

/** Fading: how far each zone is from new, how far its parts are from one another, and what the schools would do. */
export function FadingTab({ onTry }: { onTry: (tally: Tally | null) => void }) {
  const bench = useBench((s) => s.bench);
  const version = useBench((s) => s.version);
  const perform = useBench((s) => s.perform);
  const source = useBench((s) => s.source);
  const [at, setAt] = useState(0);
  const [school, setSchool] = useState<School['name'] | null>(null);
  const [sheet, setSheet] = useState<Sheet | null>(null);
  const ages = useMemo(() => {
    void version;
    return new Ages(bench);
  }, [bench, version]);
  const zones = useMemo(() => fadingByZone(bench, ages), [bench, ages]);
  const zone = zones[Math.min(at, zones.length - 1)];
  const report = useMemo(
    () => (zone ? compareSchools(bench, zone.zone, zone.colour, ages) : undefined),
    [bench, zone, ages],
  );
  const chosen = report?.schools.find((s) => s.name === (school ?? report.recommended));
  useEffect(() => {
    if (!report || !chosen || chosen.comesIn.length === 0) return onTry(null);
    let n = 0;
    const { entries } = planSchool(bench, report, chosen, { newId: () => `try-${n++}`, now: '' });
    onTry(bench.planned.trying(entries, [], () => takeTally(bench.planned, { of: 'build' }, bench.priceOf)));
  }, [bench, report, chosen, onTry]);
  const plan = () => {
    if (!report || !chosen) return;
    if (chosen.name === 'whiten') return setSheet('whiten');
    perform(planSchool(bench, report, chosen, source()));
  };
  useKeys(
    [
      { key: 'r', run: () => setSheet('meter') },
      { key: 'f', run: () => setSheet('photo') },
      { key: 'p', run: plan },
      { key: 'j', run: () => setAt((i) => Math.min(zones.length - 1, i + 1)) },
      { key: 'k', run: () => setAt((i) => Math.max(0, i - 1)) },
    ],
    sheet === null,
  );
  return (
    <div className="flex h-full flex-col">
      <header className="flex flex-wrap items-end gap-3 px-4 pt-3 pb-2">
        <div className="min-w-72 flex-1">
          <h1 className="text-[21px] leading-tight">
            {headline(zones, (z) => bench.records.zone.get(z)?.name ?? '')}
          </h1>
          <p className="text-soft">
            Evenly aged parts look right; one new part among them looks wrong. So the spread within a zone
            counts more than the distance from new.
          </p>
        </div>
        <Button onClick={() => setSheet('readings')}>Readings and grades…</Button>
        <Button onClick={() => setSheet('photo')}>
          Read a photo <Key>F</Key>
        </Button>
        <Button look="main" onClick={() => setSheet('meter')}>
          Read with the meter <Key>R</Key>
        </Button>
      </header>
      <div className="grid min-h-0 flex-1 max-lg:overflow-auto lg:grid-cols-[1fr_520px]">
        <section
          aria-label="Zones that were read"
          className="bg-mat text-mat-ink min-h-0 overflow-auto px-4 py-3"
          tabIndex={0}
        >
          {zones.length === 0 && (
            <p>
              No colour has been read on this model yet. Read a few parts of each zone, the worst and the
              best, with the meter or in a photo beside a white or grey card.
            </p>
          )}
          <ul className="flex flex-col gap-2">
            {zones.map((z, i) => (
              <ZoneCard
                key={`${z.zone}${z.colour}`}
                zone={z}
                name={bench.records.zone.get(z.zone)?.name ?? ''}
                here={i === Math.min(at, zones.length - 1)}
                onPick={() => {
                  setAt(i);
                  setSchool(null);
                }}
              />
            ))}
          </ul>
          {zone && <ZonePlaces zone={zone} />}
        </section>
        {report && chosen && zone && (
          <aside aria-label="Schools" className="border-rule min-h-0 overflow-auto border-l p-4">
            <h2 className="text-[16px]">
              <bdi>{bench.records.zone.get(zone.zone)?.name}</bdi>, {zone.colour}: {pieces(report.seenPlaces)}{' '}
              seen
              {report.hiddenPlaces > 0 && `, ${report.hiddenPlaces} hidden`}
            </h2>
            <p className="mb-2">
              {recommendation(report)}
              {report.unread > 0 && ` ${pieces(report.unread)} of it were not read and are left out.`}
            </p>
            <SchoolTable
              schools={report.schools}
              chosen={chosen.name}
              recommended={report.recommended}
              onChoose={setSchool}
            />
            <Moves school={chosen} />
            <div className="mt-3 flex items-center gap-3">
              <Button look="main" disabled={chosen.touched === 0} onClick={plan}>
                {chosen.name === 'whiten' ? 'Record a whitening…' : 'Plan it'} <Key>P</Key>
              </Button>
              {chosen.name !== 'whiten' && chosen.comesIn.length > 0 && (
                <span className="text-faint text-[12px]">The balance above shows it already.</span>
              )}
            </div>
            {chosen.proven === false && (
              <p className="text-soft mt-2">
                The search was cut short: there may be a better choice of pieces.
              </p>
            )}
          </aside>
        )}
      </div>
      {sheet === 'meter' && <MeterDialog zone={zone?.zone ?? null} onClose={() => setSheet(null)} />}
      {sheet === 'photo' && <PhotoDialog zone={zone?.zone ?? null} onClose={() => setSheet(null)} />}
      {sheet === 'readings' && <ReadingsDialog onClose={() => setSheet(null)} />}
      {sheet === 'whiten' && zone && <WhiteningDialog zone={zone} onClose={() => setSheet(null)} />}
    </div>
  );
}

function headline(zones: readonly ZoneFading[], name: (zone: ZoneFading['zone']) => string): string {
  const [worst] = zones;
  if (!worst) return 'No colour has been read yet.';
  const read = new Set(zones.map((z) => z.zone)).size;
  const rank = read === 1 ? 'the only zone read' : `the most uneven of ${inWords(read)} zones read`;
  return `ΔE ${worst.largest.toFixed(1)} between the parts of ${name(worst.zone)}, ${rank}.`;
}

function ZoneCard({
  zone: z,
  name,
  here,
  onPick,
}: {
  zone: ZoneFading;
  name: string;
  here: boolean;
  onPick: () => void;
}) {
  return (
    <li>
      <button
        type="button"
        aria-pressed={here}
        onClick={onPick}
        className={clsx(
          'w-full rounded-md border p-2 text-left',
          here ? 'bg-mat-lit border-mat-ink' : 'border-mat-rule hover:border-mat-ink',
        )}
      >
        <span className="flex items-baseline gap-2">
          <bdi className="font-semibold">{name}</bdi>
          <span>{z.colour}</span>
          <span className="text-mat-soft flex-1">
            {z.known} of {pieces(z.pieces)} read
          </span>
          <span>
            apart <b>{z.largest.toFixed(1)}</b> at most, <b>{z.typical.toFixed(1)}</b> usually
          </span>
        </span>
        <span className="mt-1.5 flex gap-1">
          {z.batches.map((b) => (
            <span key={`${b.element}${b.grade}`} className="min-w-9 text-center" style={{ flexGrow: b.qty }}>
              <span
                className="block h-10 rounded-xs"
                style={{ background: hexOfLab(b.lab) }}
                title={`${b.qty} ${elementName(b.element)}, ${batchOf(b.grade) || 'new'}`}
              />
              <b className="block">{b.parts.deltaE.toFixed(1)}</b>
              <span className="text-mat-soft block text-[11px] leading-tight">
                {count(b.qty)} · {FADING_SHORT[b.seen]}
              </span>
            </span>
          ))}
        </span>
        <Parts zone={z} />
      </button>
    </li>
  );
}

/** What the difference of the worst batch is made of. */
function Parts({ zone }: { zone: ZoneFading }) {
  const worst = zone.batches.at(-1);
  if (!worst) return null;
  const { yellowShare, yellowing, lightness, chromaLoss } = worst.parts;
  const words = [
    `${Math.round(100 * yellowShare)} % yellowing (Δb* ${yellowing.toFixed(1)})`,
    `${lightness < 0 ? 'darker' : 'lighter'} by ΔL* ${Math.abs(lightness).toFixed(1)}`,
    chromaLoss > 0.5 ? `duller by ΔC* ${chromaLoss.toFixed(1)}` : '',
  ];
  return (
    <span className="text-mat-soft mt-1 block text-[12px]">
      The worst: {words.filter(Boolean).join(', ')}. From new: ΔE {zone.fromNew.toFixed(1)} in the mean.
    </span>
  );
}
