import { bringModFileIn, readModFile, type ModFileFault } from '@/core/formats';
import { added, joinDiffs } from '@/core/ledger';
import { asId, type BuildId } from '@/core/shared/ids';
import { fail, type Result } from '@/core/shared/result';
import { readRecord } from '@/data/records';
import { perform, type Refusal } from './perform';
import type { TakeContext } from './take-in';

/** Brings a mod file in as a build of its own, with colours of its own that are not there yet. */
export function bringModFile(
  text: string,
  request: string,
  { handle, newId, now }: TakeContext,
): Result<{ build: BuildId }, ModFileFault | Refusal> {
  const read = readModFile(text);
  if (!read.ok) return read;
  const { diff, build } = bringModFileIn(read.value, newId, now.toISOString());
  const colours = read.value.customColours.filter((c) => !readRecord(handle.db, 'customColour', c.id));
  const whole = joinDiffs(added('customColour', ...colours), diff);
  const label = `bring in mod file ${read.value.build.name}`;
  const done = perform(handle, { id: asId(request), scope: build, label, diff: whole }, now);
  return done.ok ? { ok: true, value: { build } } : fail(done.reason);
}
