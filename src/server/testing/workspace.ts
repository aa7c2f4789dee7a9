import { addModification, logLine, readLine, Workbench } from '@/core/workbench';
import type { Command } from '@/core/ledger';
import { asId, countingIds, type ActionId, type BuildId, type IdSource } from '@/core/shared/ids';
import { el } from '@/core/testing/world';
import { openDatabase, type Handle } from '@/data/database';
import { perform } from '../perform';
import { takeSnapshot } from '../snapshot';
import { importBoxes } from '../import-rows';
import type { ImportBoxes } from '../import-schemas';

/** A workspace in memory with one build of a few lots, and the ways a person works on it. */
export interface TestBuild {
  readonly handle: Handle;
  readonly build: BuildId;
  readonly newId: IdSource;
  readonly open: () => Workbench;
  readonly act: (command: Command, id?: string) => ReturnType<typeof perform>;
  /** Logs a line in the first modification, as the bench does. */
  readonly log: (line: string, id?: string) => ReturnType<typeof perform>;
}

export const NOW = new Date('2026-11-24T10:00:00Z');

export const SMALL_BOX: Omit<ImportBoxes, 'request'> = {
  build: { name: 'Test house' },
  boxes: [
    {
      setName: 'Test house',
      setCode: 'T1',
      copies: 1,
      condition: 'second-hand',
      role: 'base',
      price: 1000,
      lots: [
        { element: el('plate 2x3', 'chalk'), qty: 40, condition: null, zone: 'Porch', extra: false },
        { element: el('brick 1x2', 'ash'), qty: 60, condition: null, zone: 'Porch', extra: false },
        { element: el('arch 1x4', 'ash'), qty: 12, condition: null, zone: 'Gallery', extra: false },
        { element: el('tile 1x2', 'bark'), qty: 2, condition: null, zone: '', extra: true },
      ],
    },
  ],
  colours: { made: [], matched: [] },
  memory: null,
};

export function testBuild(handle: Handle = openDatabase(':memory:', NOW), prefix = 't'): TestBuild {
  const newId = countingIds(prefix);
  const taken = importBoxes({ ...SMALL_BOX, request: newId() }, { handle, newId, now: NOW });
  if (!taken.ok || !taken.value.build) throw new Error(JSON.stringify(taken));
  const build = taken.value.build;
  const open = () => {
    const snapshot = takeSnapshot(handle, build);
    if (!snapshot) throw new Error('no build');
    return new Workbench(snapshot);
  };
  const act: TestBuild['act'] = (command, id = newId()) =>
    perform(handle, { id: asId<ActionId>(id), scope: build, ...command }, NOW);
  const source = () => ({ newId, now: NOW.toISOString() });
  const workbench = open();
  const porch = workbench.zones.find((z) => z.name === 'Porch') ?? workbench.rootZone;
  act(addModification(workbench, 'First', porch.id, source()));
  const log: TestBuild['log'] = (line, id) => {
    const now = open();
    const modification = now.modifications[0];
    if (!modification) throw new Error('no modification');
    const reading = readLine(now, line, { modification, planned: false });
    if (!reading.ready) throw new Error(`${line}: ${JSON.stringify([reading.problems, reading.clauses])}`);
    return act(logLine(now, reading, line, source()), id);
  };
  return { handle, build, newId, open, act, log };
}

/** A test's workspace as the one that routes answer from; it is closed by `end`. */
export function servedBuild(): { readonly t: TestBuild; readonly end: () => void } {
  const held = globalThis as typeof globalThis & { evarnWorkspace?: Handle | undefined };
  const t = testBuild();
  held.evarnWorkspace = t.handle;
  return {
    t,
    end: () => {
      t.handle.sqlite.close();
      held.evarnWorkspace = undefined;
    },
  };
}
