'use client';

import { useEffect, useRef, useState } from 'react';
import { enoughReadings, type LabD65 } from '@/core/colour';
import type { MeterState } from '@/server/meter';
import { askMeter } from '../common/meter-client';
import { meterFaultWords } from '../words/inspection';
import type { LotChoiceValue } from './lot-choice';

/** Minutes after which a calibration is no longer trusted. */
export const STALE_MINUTES = 30;

/** The colour meter held against some parts: its state, and what was read so far. */
export function useMeter(choice: LotChoiceValue) {
  const [state, setState] = useState<MeterState | null>(null);
  const [labs, setLabs] = useState<readonly LabD65[]>([]);
  const [says, setSays] = useState('');
  const [busy, setBusy] = useState(false);
  const [calibrated, setCalibrated] = useState(false);
  const stop = useRef(false);
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
  return {
    state,
    labs,
    says,
    busy,
    calibrated,
    calibrate,
    connect,
    read,
    say: setSays,
    forget: () => setLabs([]),
    stop: () => {
      stop.current = true;
    },
  };
}

const isCalibrated = (s: MeterState): boolean =>
  s.calibratedAt !== null && Date.now() - s.calibratedAt < STALE_MINUTES * 60_000;
