'use client';

import type { BuildId, EntryId, ModificationId, ZoneId } from '@/core/shared/ids';
import { KeptAtOnce } from '../sending/kept-at-once';
import { fromGoneWindows, holdWindowName } from '../sending/window-name';

/** A line as it was typed, and what was set around it. */
export interface Typed {
  readonly line: string;
  readonly editing: EntryId | null;
  readonly logPlanned: boolean;
  readonly zone: ZoneId | null;
  /** The modification that was open. */
  readonly selected: ModificationId | null;
}

/** Lines that were entered, and are logged when what is at hand is known: they are neither in the field nor sent. */
const waiting = new KeptAtOnce<{ readonly build: BuildId; readonly typed: Typed }>('line');
let next = 0;

/** Keeps a line past the end of its page; gives what forgets it. */
export function keepLine(build: BuildId, typed: Typed): () => void {
  holdWindowName();
  const no = next++;
  waiting.keep(no, { build, typed });
  return () => waiting.forget(no);
}

/** Takes over the lines that waited in windows which are gone, in the order in which they were entered. */
export async function takeLinesLeft(build: BuildId, take: (typed: Typed) => void): Promise<void> {
  await fromGoneWindows((isGone) =>
    waiting.takeFrom(
      isGone,
      ({ typed }) => take(typed),
      (left) => left.build === build,
    ),
  );
}
