import type { LabD65 } from '@/core/colour';
import type { Random } from '@/core/shared/random';

/** Why a meter gave no reading. */
export type MeterFault = 'not connected' | 'not calibrated' | 'no contact' | 'lost connection';

export type MeterAnswer<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly fault: MeterFault };

/** How a meter stands. */
export interface MeterState {
  readonly name: string;
  readonly connected: boolean;
  /** Milliseconds since the epoch; null = never since it was connected. */
  readonly calibratedAt: number | null;
}

/** A hand-held colour meter. A real one is driven through the same three calls. */
export interface ColourMeter {
  connect(): Promise<MeterAnswer<MeterState>>;
  /** On the white tile that came with it. */
  calibrate(): Promise<MeterAnswer<MeterState>>;
  /** Reads what it stands on. Lab under D65. */
  read(target: MeterTarget): Promise<MeterAnswer<LabD65>>;
  state(): MeterState;
}

/** What the meter is held against: one piece of a lot at a place. The simulated meter looks its truth up by it. */
export interface MeterTarget {
  readonly account: string;
  readonly element: string;
  readonly piece: number;
}

export interface SimulatedMeterOptions {
  readonly truth: (target: MeterTarget) => LabD65;
  readonly random: Random;
  readonly now: () => number;
  readonly wait: (ms: number) => Promise<void>;
}

/** Noise of one reading, a standard deviation in each of L*, a*, b*. */
const NOISE = 0.35;
/** Drift after calibration, in ΔL* and Δb* an hour, and what it is worth when it was never calibrated. */
const DRIFT_PER_HOUR = 1.6;
const DRIFT_RAW = 4;
/** One in so many readings finds no contact, one in so many loses the connection. */
const NO_CONTACT = 1 / 24;
const LOST = 1 / 90;

/**
 * The simulated colour meter that ships: noisy, drifting from the hour it was calibrated, failing now and then. It reads
 * even without calibration, and then wrong: a person has to see that from its state.
 */
export function simulatedMeter(options: SimulatedMeterOptions): ColourMeter {
  const { truth, random, now, wait } = options;
  let connected = false;
  let calibratedAt: number | null = null;
  const state = (): MeterState => ({ name: 'Tidepool M1, simulated', connected, calibratedAt });
  const normal = (): number => (random() + random() + random() + random() - 2) * Math.sqrt(3);
  return {
    state,
    async connect() {
      await wait(120);
      connected = true;
      calibratedAt = null;
      return { ok: true, value: state() };
    },
    async calibrate() {
      await wait(180);
      if (!connected) return { ok: false, fault: 'not connected' };
      calibratedAt = now();
      return { ok: true, value: state() };
    },
    async read(target) {
      await wait(90);
      if (!connected) return { ok: false, fault: 'not connected' };
      if (random() < LOST) {
        connected = false;
        calibratedAt = null;
        return { ok: false, fault: 'lost connection' };
      }
      if (random() < NO_CONTACT) return { ok: false, fault: 'no contact' };
      const { l, a, b } = truth(target);
      const hours = calibratedAt === null ? 0 : (now() - calibratedAt) / 3_600_000;
      const drift = calibratedAt === null ? DRIFT_RAW : Math.min(DRIFT_RAW, hours * DRIFT_PER_HOUR);
      const value: LabD65 = {
        l: l - drift * 0.6 + NOISE * normal(),
        a: a + drift * 0.2 + NOISE * normal(),
        b: b + drift + NOISE * normal(),
        white: 'D65',
      };
      return { ok: true, value };
    },
  };
}
