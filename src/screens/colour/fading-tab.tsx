'use client';

import { formatFixed } from '@/core/shared/forms';
import clsx from 'clsx';
import { useMemo, useState } from 'react';
import { hexOfLab } from '@/core/colour';
import { batchOf, type Tally } from '@/core/ledger';
import { elementName } from '@/core/parts';
import {
  Ages,
  compareOptions,
  fadingByZone,
  planFadingOption,
  standingPlan,
  type FadingOption,
  type ZoneFading,
} from '@/core/fading';
import { deleteEntries } from '@/core/workbench';
import { Button, Key } from '@/ui/button';
import { count, pieces } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { useTrying } from '../common/use-trying';
import { useCommands } from '../commands';
import { FADING_SHORT, inWords, recommendation, differenceWords } from '../words/colour';
import { EyeDialog } from './eye-dialog';
import { MeterDialog } from './meter-dialog';
import { PhotoDialog } from './photo-dialog';
import { ReadingsDialog } from './readings-dialog';
import { Moves, OptionTable } from './option-table';
import { WhiteningDialog } from './whitening-dialog';
import { ZonePlaces } from './zone-places';
import { ListLinks } from '../lists/list-links';

type Sheet = 'eye' | 'meter' | 'photo' | 'readings' | 'whiten';

interface FadingTabProps {
  readonly onTry: (tally: Tally | null) => void;
  /** The zone and colour to begin with; null for the most uneven. */
  readonly opensAt?: Pick<ZoneFading, 'zone' | 'colour'> | null;
}

/** Fading: how far each zone is from new, how far its parts are from one another, and what the options would do. */
export function FadingTab({ onTry, opensAt = null }: FadingTabProps) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [option, setOption] = useState<FadingOption['name'] | null>(null);
  const [sheet, setSheet] = useState<Sheet | null>(null);
  const ages = useMemo(() => {
    void version;
    return new Ages(workbench);
  }, [workbench, version]);
  const zones = useMemo(() => fadingByZone(workbench, ages), [workbench, ages]);
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      zones.findIndex((z) => z.zone === opensAt?.zone && z.colour === opensAt.colour),
    ),
  );
  const zone = zones[Math.min(at, zones.length - 1)];
  const report = useMemo(
    () => (zone ? compareOptions(workbench, zone.zone, zone.colour, ages) : undefined),
    [workbench, zone, ages],
  );
  const chosen = report?.options.find((s) => s.name === (option ?? report.recommended));
  const standing = zone && standingPlan(workbench, zone.zone, zone.colour);
  const tried = useMemo(() => {
    if (!report || !chosen || standing || chosen.comesIn.length === 0) return null;
    let n = 0;
    return planFadingOption(workbench, report, chosen, { newId: () => `try-${n++}`, now: '' }).entries;
  }, [workbench, report, chosen, standing]);
  useTrying(tried, onTry);
  const plan = () => {
    if (!report || !chosen) return;
    if (chosen.name === 'whiten') return setSheet('whiten');
    if (standing) return;
    perform(planFadingOption(workbench, report, chosen, source()));
  };
  useCommands(
    [
      { name: 'Read with the meter', key: 'r', run: () => setSheet('meter') },
      { name: 'Note a colour without the meter', key: 'e', run: () => setSheet('eye') },
      { name: 'Read a photo', key: 'f', run: () => setSheet('photo') },
      { name: 'Plan the chosen option', key: 'p', run: plan },
      { name: 'Next zone', key: 'j', run: () => setAt((i) => Math.min(zones.length - 1, i + 1)) },
      { name: 'Previous zone', key: 'k', run: () => setAt((i) => Math.max(0, i - 1)) },
    ],
    sheet === null,
  );
  return (
    <div className="flex h-full flex-col">
      <header className="flex flex-wrap items-end gap-3 px-4 pt-3 pb-2">
        <div className="min-w-72 flex-1">
          <h1 className="text-[21px] leading-tight">
            {headline(zones, (z) => workbench.records.zone.get(z)?.name ?? '')}
          </h1>
          <p className="text-soft">
            Evenly aged parts look right; one new part among them looks wrong. So the spread within a zone
            counts more than the distance from new.
          </p>
        </div>
        <ListLinks of={`/builds/${workbench.build}`} list="fading" />
        <Button onClick={() => setSheet('readings')}>Readings and grades…</Button>
        <Button onClick={() => setSheet('eye')}>
          Note by eye <Key>E</Key>
        </Button>
        <Button onClick={() => setSheet('photo')}>
          Read a photo <Key>F</Key>
        </Button>
        <Button look="main" onClick={() => setSheet('meter')}>
          Read with the meter <Key>R</Key>
        </Button>
      </header>
      <div className="grid min-h-0 flex-1 max-lg:overflow-auto lg:grid-cols-[minmax(0,1fr)_minmax(34rem,46%)]">
        <section
          aria-label="Zones that were read"
          className="bg-background text-background-ink min-h-0 overflow-auto px-4 py-3"
          tabIndex={0}
        >
          {zones.length === 0 && (
            <p>
              No colour has been read on this model yet. Read a few parts of each zone, the worst and the
              best, with the meter or in a photo beside a white or grey card; or note by eye which have aged
              and how far.
            </p>
          )}
          <ul className="flex flex-col gap-2">
            {zones.map((z, i) => (
              <ZoneCard
                key={`${z.zone}${z.colour}`}
                zone={z}
                name={workbench.records.zone.get(z.zone)?.name ?? ''}
                here={i === Math.min(at, zones.length - 1)}
                onPick={() => {
                  setAt(i);
                  setOption(null);
                }}
              />
            ))}
          </ul>
          {zone && <ZonePlaces zone={zone} />}
        </section>
        {report && chosen && zone && (
          <aside aria-label="Options" className="border-rule min-h-0 overflow-auto border-l p-4">
            <h2 className="text-[16px]">
              <bdi>{workbench.records.zone.get(zone.zone)?.name}</bdi>, {zone.colour}:{' '}
              {pieces(report.seenPlaces)} seen
              {report.hiddenPlaces > 0 && `, ${report.hiddenPlaces} hidden`}
            </h2>
            <p className="mb-2">
              {recommendation(report)}
              {report.unread > 0 && ` ${pieces(report.unread)} of it were not read and are left out.`}
              {report.byEye > 0 &&
                ` ${pieces(report.byEye)} were only noted by eye, which may be off by a grade: read the worst and the best with a meter before you buy.`}
            </p>
            <OptionTable
              options={report.options}
              chosen={chosen.name}
              recommended={report.recommended}
              onChoose={setOption}
            />
            <Moves option={chosen} />
            <div className="mt-3 flex items-center gap-3">
              <Button
                look="main"
                disabled={chosen.touched === 0 || (!!standing && chosen.name !== 'whiten')}
                onClick={plan}
              >
                {chosen.name === 'whiten' ? 'Record a whitening…' : 'Plan it'} <Key>P</Key>
              </Button>
              {standing && (
                <span className="flex flex-wrap items-center gap-2">
                  <b>A plan stands: {pieces(standing.pieces)}.</b>
                  <Button onClick={() => perform(deleteEntries(standing.entries))}>Drop it</Button>
                </span>
              )}
              {!standing && chosen.name !== 'whiten' && chosen.comesIn.length > 0 && (
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
      {sheet === 'eye' && <EyeDialog zone={zone?.zone ?? null} onClose={() => setSheet(null)} />}
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
  return `The parts of ${name(worst.zone)} are ${differenceWords(worst.largest)}, ${rank}.`;
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
          here
            ? 'bg-background-lit border-background-ink'
            : 'border-background-rule hover:border-background-ink',
        )}
      >
        <span className="flex items-baseline gap-2">
          <bdi className="font-semibold">{name}</bdi>
          <span>{z.colour}</span>
          <span className="text-background-soft flex-1">
            {z.known} of {pieces(z.pieces)} {z.byEye > 0 ? `known, ${z.byEye} by eye` : 'read'}
          </span>
          <span>
            apart <b>{formatFixed(z.largest)}</b> at most, <b>{formatFixed(z.typical)}</b> usually
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
              <b className="block">{formatFixed(b.parts.deltaE)}</b>
              <span className="text-background-soft block text-[11px] leading-tight">
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
    `${Math.round(100 * yellowShare)} % yellowing (Δb* ${formatFixed(yellowing)})`,
    `${lightness < 0 ? 'darker' : 'lighter'} by ΔL* ${formatFixed(Math.abs(lightness))}`,
    chromaLoss > 0.5 ? `duller by ΔC* ${formatFixed(chromaLoss)}` : '',
  ];
  return (
    <span className="text-background-soft mt-1 block text-[12px]">
      The worst: {words.filter(Boolean).join(', ')}. From new on average: {differenceWords(zone.fromNew)}.
    </span>
  );
}
