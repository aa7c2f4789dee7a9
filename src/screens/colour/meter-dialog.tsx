'use client';

import { differenceWords } from '../words/colour';
import { useEffect, useRef, useState } from 'react';
import { averageReadings, deltaE00, enoughReadings, hexOfLab, type LabD65 } from '@/core/colour';
import { modelAccount } from '@/core/ledger';
import { elementName, splitElementKey } from '@/core/parts';
import type { ZoneId } from '@/core/shared/ids';
import { keepReading } from '@/core/fading';
import type { MeterState } from '@/simulated/colour-meter';
import { Button, Key } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { useBuild } from '../common/build-store';
import { askMeter } from '../common/meter-client';
import { useCommands } from '../commands';
import { meterFaultWords, readingProblemWords } from '../words/inspection';
import { LotChoice, type LotChoiceValue } from './lot-choice';
import { lotsToRead } from './use-lots-to-read';

/** Minutes after which a calibration is no longer trusted. */
const STALE_MINUTES = 30;

/** Reading with the colour meter: connect, calibrate on its tile, read until it is sure, keep. All by keys. */
export function MeterDialog({ zone, onClose }: { zone: ZoneId | null; onClose: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [state, setState] = useState<MeterState | null>(null);
  const [labs, setLabs] = useState<readonly LabD65[]>([]);
  const [says, setSays] = useState('');
  const [busy, setBusy] = useState(false);
  const [calibrated, setCalibrated] = useState(false);
  const stop = useRef(false);
  const [choice, setChoice] = useState<LotChoiceValue>(() => {
    const account = modelAccount(zone ?? workbench.zones[1]?.id ?? workbench.rootZone.id);
    const [lot] = lotsToRead(workbench, account);
    return { account, lot, qty: lot?.qty ?? 1 };
  });
  useEffect(() => {
    void askMeter({ ask: 'state' }).then((a) => {
      if (a.ok) setState(a.value.state);
    });
    return () => {
      stop.current = true;
    };
  }, []);
  const ask = async (wish: Parameters<typeof askMeter>[0]) => {
    const answer = await askMeter(wish);
    if (answer.ok) setState(answer.value.state);
    else {
      setSays(`▲ ${meterFaultWords(answer.fault)}`);
      if (answer.fault === 'lost connection' || answer.fault === 'not connected')
        setState((s) => s && { ...s, connected: false, calibratedAt: null });
    }
    return answer;
  };
  const calibrate = async () => {
    setBusy(true);
    const done = await ask({ ask: 'calibrate' });
    setBusy(false);
    if (done.ok) setSays('Calibrated on the white tile.');
  };
  const connect = async () => {
    setBusy(true);
    const done = await ask({ ask: 'connect' });
    setBusy(false);
    if (done.ok) setSays('Connected. Put it on its white tile and calibrate.');
  };
  /** Reads on until the mean is sure, or there were enough, or it is stopped. */
  const read = async () => {
    if (!choice.lot) return;
    setBusy(true);
    stop.current = false;
    let run = labs;
    setSays('Reading…');
    while (!stop.current) {
      const piece = choice.lot.readBefore + (run.length % choice.qty);
      const answer = await ask({
        ask: 'read',
        target: { account: choice.account, element: choice.lot.element, piece },
      });
      if (!answer.ok || !answer.value.lab) break;
      run = [...run, answer.value.lab];
      setLabs(run);
      setCalibrated(isCalibrated(answer.value.state));
      const enough = enoughReadings(run);
      if (enough !== 'more') {
        setSays(
          enough === 'sure'
            ? 'Sure enough: keep it.'
            : '▲ Still not sure: the pieces differ, or the hand shook.',
        );
        break;
      }
    }
    setBusy(false);
  };
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
    if (!kept.ok) return setSays(`▲ ${readingProblemWords(kept.reason)}`);
    perform(kept.value);
    setLabs([]);
    const lots = lotsToRead(workbench, choice.account);
    const next = lots.find((l) => l.element === choice.lot?.element && !l.grade.includes(':')) ?? lots[0];
    setChoice({ ...choice, lot: next, qty: next?.qty ?? 1 });
    setSays(
      `Kept as ${kept.value.batch}${doubt ? `, not trusted: ${doubt}. Nothing is worked out from it.` : '.'}`,
    );
  };
  const keys = [
    {
      name: 'Connect or calibrate the meter',
      key: 'c',
      run: () => void (state?.connected ? calibrate() : connect()),
    },
    { name: 'Read, or stop reading', key: ' ', run: () => (busy ? (stop.current = true) : void read()) },
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
        <Button disabled={busy} onClick={() => void connect()}>
          Connect
        </Button>
        <Button disabled={busy || !state?.connected} onClick={() => void calibrate()}>
          Calibrate <Key>C</Key>
        </Button>
      </div>
      <LotChoice
        value={choice}
        onChange={(v) => {
          setChoice(v);
          setLabs([]);
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
                ? `± ${mean.error.toFixed(2)} ΔE00`
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
        <Button onClick={() => setLabs([])} disabled={labs.length === 0 || busy}>
          Delete these readings
        </Button>
        <Button disabled={!choice.lot} onClick={() => (busy ? (stop.current = true) : void read())}>
          {busy ? 'Stop' : 'Read'} <Key>Space</Key>
        </Button>
        <Button look="main" disabled={!mean || busy} onClick={keep}>
          Keep for {choice.qty} {choice.lot ? elementName(choice.lot.element) : ''} <Key>Enter</Key>
        </Button>
      </div>
    </Dialog>
  );
}

const isCalibrated = (s: MeterState): boolean =>
  s.calibratedAt !== null && Date.now() - s.calibratedAt < STALE_MINUTES * 60_000;

const minutesAgo = (at: number): string => {
  const minutes = Math.round((Date.now() - at) / 60_000);
  return minutes < 1
    ? 'just now'
    : `${minutes} min ago${minutes >= STALE_MINUTES ? ': calibrate again' : ''}`;
};

const labWords = (c: LabD65): string => `L* ${c.l.toFixed(1)}, a* ${c.a.toFixed(1)}, b* ${c.b.toFixed(1)}`;

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
