'use client';

import { formatFixed } from '@/core/shared/forms';
import { differenceWords } from '../words/colour';
import { useState } from 'react';
import { averageReadings, deltaE00, enoughReadings, hexOfLab, type LabD65 } from '@/core/colour';
import { modelAccount } from '@/core/ledger';
import { elementName, splitElementKey } from '@/core/parts';
import type { ZoneId } from '@/core/shared/ids';
import { keepReading } from '@/core/fading';
import { Button, Key } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { useBuild } from '../common/build-store';
import { useCommands } from '../commands';
import { readingProblemWords } from '../words/inspection';
import { LotChoice, type LotChoiceValue } from './lot-choice';
import { lotsToRead } from './use-lots-to-read';
import { STALE_MINUTES, useMeter } from './use-meter';

/** Reading with the colour meter: connect, calibrate on its tile, read until it is sure, keep. All by keys. */
export function MeterDialog({ zone, onClose }: { zone: ZoneId | null; onClose: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [choice, setChoice] = useState<LotChoiceValue>(() => {
    const account = modelAccount(zone ?? workbench.zones[1]?.id ?? workbench.rootZone.id);
    const [lot] = lotsToRead(workbench, account);
    return { account, lot, qty: lot?.qty ?? 1 };
  });
  const meter = useMeter(choice);
  const { state, labs, says, busy, calibrated } = meter;
  const mean = labs.length > 0 ? averageReadings(labs) : null;
  const fresh = choice.lot && workbench.colour(splitElementKey(choice.lot.element).colour);
  const keep = () => {
    if (!mean || !choice.lot) return;
    const doubt = !calibrated
      ? 'the meter was not calibrated'
      : enoughReadings(labs) === 'unsure'
        ? 'the readings differ too much'
        : '';
    const kept = keepReading(
      workbench,
      {
        ...choice,
        element: choice.lot.element,
        grade: choice.lot.grade,
        lab: mean.lab,
        spread: Number.isFinite(mean.error) ? mean.error : 100,
        count: mean.used,
        how: 'meter',
        made: `${state?.name ?? 'meter'}, ${calibrated ? 'calibrated' : 'not calibrated'}, D65`,
        trusted: doubt === '' && labs.length > 1,
        doubt: doubt || (labs.length > 1 ? '' : 'a single reading'),
      },
      source(),
    );
    if (!kept.ok) return meter.say(`▲ ${readingProblemWords(kept.reason)}`);
    perform(kept.value);
    meter.forget();
    const lots = lotsToRead(workbench, choice.account);
    const next = lots.find((l) => l.element === choice.lot?.element && !l.grade.includes(':')) ?? lots[0];
    setChoice({ ...choice, lot: next, qty: next?.qty ?? 1 });
    meter.say(
      `Kept as ${kept.value.batch}${doubt ? `, not trusted: ${doubt}. Nothing is worked out from it.` : '.'}`,
    );
  };
  const keys = [
    {
      name: 'Connect or calibrate the meter',
      key: 'c',
      run: () => void (busy || (state?.connected ? meter.calibrate() : meter.connect())),
    },
    { name: 'Read, or stop reading', key: ' ', run: () => (busy ? meter.stop() : void meter.read()) },
    { name: 'Keep the reading', key: 'Enter', run: keep },
  ];
  useCommands(keys, true, true);
  return (
    <Dialog
      open
      onOpenChange={onClose}
      wide
      title="Read with the colour meter"
      says="Hold it flat on the piece, out of the light. It is read until the mean is sure, in Lab under D65."
    >
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <span className="flex-1">
          <b>{state?.name ?? 'Looking for a meter…'}</b>{' '}
          <span className="text-soft">
            {!state?.connected
              ? 'not connected'
              : state.calibratedAt === null
                ? 'not calibrated: it will read wrong'
                : `calibrated ${minutesAgo(state.calibratedAt)}`}
          </span>
        </span>
        <Button disabled={busy} onClick={() => void meter.connect()}>
          Connect
        </Button>
        <Button disabled={busy || !state?.connected} onClick={() => void meter.calibrate()}>
          Calibrate <Key>C</Key>
        </Button>
      </div>
      <LotChoice
        value={choice}
        onChange={(v) => {
          setChoice(v);
          meter.forget();
        }}
      />
      <div className="mt-4 grid grid-cols-[1fr_1fr_2fr] gap-3">
        <Swatch title="fresh" hex={fresh?.hex} says={fresh ? labWords(fresh.lab) : ''} />
        <Swatch
          title="as read"
          hex={mean ? hexOfLab(mean.lab) : undefined}
          says={mean ? labWords(mean.lab) : 'nothing read yet'}
        />
        <dl className="grid grid-cols-[auto_1fr] content-start gap-x-3">
          <dt>Readings</dt>
          <dd>
            <b>{labs.length}</b>
            {mean && mean.leftOut > 0 && `, ${mean.leftOut} left out as an outlier`}
          </dd>
          <dt>From fresh</dt>
          <dd>
            <b>{mean && fresh ? differenceWords(deltaE00(fresh.lab, mean.lab)) : '–'}</b>
          </dd>
          <dt>How sure</dt>
          <dd>
            <b>
              {mean && Number.isFinite(mean.error)
                ? `± ${formatFixed(mean.error, 2)} ΔE00`
                : mean
                  ? 'one reading says nothing of that'
                  : '–'}
            </b>
          </dd>
        </dl>
      </div>
      <p role="status" aria-live="polite" className="mt-3 min-h-6 font-medium">
        {says}
      </p>
      <div className="flex flex-wrap justify-end gap-2">
        <Button onClick={meter.forget} disabled={labs.length === 0 || busy}>
          Delete these readings
        </Button>
        <Button disabled={!choice.lot} onClick={() => (busy ? meter.stop() : void meter.read())}>
          {busy ? 'Stop' : 'Read'} <Key>Space</Key>
        </Button>
        <Button look="main" disabled={!mean || busy} onClick={keep}>
          Keep for {choice.qty} {choice.lot ? elementName(choice.lot.element) : ''} <Key>Enter</Key>
        </Button>
      </div>
    </Dialog>
  );
}

const minutesAgo = (at: number): string => {
  const minutes = Math.round((Date.now() - at) / 60_000);
  return minutes < 1
    ? 'just now'
    : `${minutes} min ago${minutes >= STALE_MINUTES ? ': calibrate again' : ''}`;
};

const labWords = (c: LabD65): string =>
  `L* ${formatFixed(c.l)}, a* ${formatFixed(c.a)}, b* ${formatFixed(c.b)}`;

const Swatch = ({ title, hex, says }: { title: string; hex: string | undefined; says: string }) => (
  <div className="bg-background text-background-ink rounded-md p-2">
    <span className="block">{title}</span>
    <span
      aria-hidden
      style={{ background: hex }}
      className="border-background-rule my-1 block h-16 rounded-sm border"
    />
    <span className="text-background-soft block text-[12px]">{says}</span>
  </div>
);
