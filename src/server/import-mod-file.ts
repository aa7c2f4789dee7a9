import { listOf, modFileDiff, readModFile, type ModFileFault } from '@/core/formats';
import { added, joinDiffs } from '@/core/ledger';
import { asId, type ActionId, type BuildId } from '@/core/shared/ids';
import { fail, type Result } from '@/core/shared/result';
import { readRecord } from '@/data/records';
import { cutText } from '@/core/shared/text';
import { fingerprint, perform, type Refusal } from './perform';
import type { ImportContext } from './import-rows';

/** Brings a mod file in as a build of its own, with colours of its own that are not there yet. */
export function importModFile(
  text: string,
  request: string,
  { handle, newId, now }: ImportContext,
): Result<{ build: BuildId }, ModFileFault | Refusal> {
  const read = readModFile(text);
  if (!read.ok) return read;
  const { diff, build } = modFileDiff(read.value, newId, now.toISOString());
  const colours = listOf(read.value, 'customColour').filter(
    (c) => !readRecord(handle.db, 'customColour', c.id),
  );
  const whole = joinDiffs(added('customColour', ...colours), diff);
  const label = cutText(`import mod file ${read.value.build.name}`, 500);
  const action = { id: asId<ActionId>(request), scope: build, label, diff: whole };
  const done = perform(handle, action, now, fingerprint(text));
  return done.ok ? { ok: true, value: { build: asId<BuildId>(done.value.scope) } } : fail(done.reason);
}
