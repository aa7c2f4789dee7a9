import * as z from 'zod';
import type { LabD65 } from '@/core/colour';
import { splitElementKey, type ElementKey } from '@/core/parts';
import { seededRandom } from '@/core/shared/random';
import type { Handle } from '@/data/database';
import { readTruth } from '@/data/hidden-truths';
import { paletteIn } from './palette';
import { workspace } from './workspace';
import {
  simulatedMeter,
  type ColourMeter,
  type MeterAnswer,
  type MeterState,
  type MeterTarget,
} from '@/simulated/colour-meter';

export type { MeterState };

/** What a page may ask of the meter. */
export const meterSchema = z.discriminatedUnion('ask', [
  z.strictObject({ ask: z.literal('state') }),
  z.strictObject({ ask: z.literal('connect') }),
  z.strictObject({ ask: z.literal('calibrate') }),
  z.strictObject({
    ask: z.literal('read'),
    target: z.strictObject({
      account: z.string().max(120),
      element: z.string().max(400),
      piece: z.int().min(0).max(1_000_000),
    }),
  }),
]);
export type MeterWish = z.infer<typeof meterSchema>;

const held = globalThis as typeof globalThis & { evarnMeter?: ColourMeter };

/** The one meter of this machine. It asks for the workspace at every reading, since a restore puts another in place. */
export function meter(): ColourMeter {
  held.evarnMeter ??= simulatedMeter({
    truth: (target) => truthOf(workspace(), target),
    random: seededRandom(Date.now() % 2 ** 31),
    now: () => Date.now(),
    wait: (ms) => new Promise((done) => setTimeout(done, ms)),
  });
  return held.evarnMeter;
}

/** Asks the meter; a reading comes with how the meter stood. */
export async function askMeter(
  meter: ColourMeter,
  wish: MeterWish,
): Promise<MeterAnswer<{ state: MeterState; lab?: LabD65 }>> {
  if (wish.ask === 'state') return { ok: true, value: { state: meter.state() } };
  if (wish.ask === 'read') {
    const answer = await meter.read(wish.target);
    return answer.ok ? { ok: true, value: { state: meter.state(), lab: answer.value } } : answer;
  }
  const answer = await (wish.ask === 'connect' ? meter.connect() : meter.calibrate());
  return answer.ok ? { ok: true, value: { state: answer.value } } : answer;
}

/** The hidden truth of a piece: as the demo says; else its palette colour, a little off, as moulded parts are. */
export function truthOf(handle: Handle, { account, element, piece }: MeterTarget): LabD65 {
  const known = readTruth(handle.db, account, element);
  const told = known?.[piece % Math.max(1, known.length)];
  if (told) return told;
  const { colour } = splitElementKey(element as ElementKey);
  const fresh = paletteIn(handle.db).find((c) => c.id === colour)?.lab;
  const { l, a, b } = fresh ?? { l: 50, a: 0, b: 0 };
  const off = seededRandom(
    [...`${account}${element}${piece}`].reduce((h, c) => (h * 31 + c.charCodeAt(0)) | 0, 7),
  );
  return { l: l + off() * 0.8 - 0.5, a: a + off() * 0.4 - 0.2, b: b + off() * 1.2, white: 'D65' };
}
