import { logLine, planWork, readLine, Workbench } from '../workbench';
import type { Command, Source } from '../ledger';
import {
  added,
  BLANK_ENTRY,
  BLANK_INTENT,
  changed,
  donorAccount,
  grade,
  invertDiff,
  joinDiffs,
  modelAccount,
  OUTSIDE,
  shippedAccount,
  stockAccount,
  type Condition,
  type Entry,
  type Grade,
  type Intent,
  type Movement,
  type TypedRecord,
} from '../ledger';
import {
  asId,
  countingIds,
  type BuildId,
  type CopyId,
  type EntryId,
  type TrayId,
  type ZoneId,
} from '../shared/ids';
import { diffSchema } from '../formats/record-schemas';
import type { ElementKey } from '../parts';
import { assert } from '../shared/assert';
import { el } from './world';

/** "18 brick 1x2 slate", or with a grade: "9 brick 1x1 chalk yellowed". */
type LotText = string;

interface WorkbenchText {
  readonly zones: Readonly<Record<string, readonly LotText[]>>;
  readonly stock?: readonly LotText[];
  /** "brick 1x2 ash 9" in pence, new; used is two thirds. */
  readonly prices?: readonly string[];
  /** The build's id, where a test has several. */
  readonly build?: BuildId;
}

export const TEST_BUILD = asId<BuildId>('build');
const COPY = asId<CopyId>('copy');
export const TEST_TRAY = asId<TrayId>('tray');
export const zoneId = (name: string): ZoneId => asId<ZoneId>(`zone ${name}`);

const lotOf = (text: LotText) => {
  const found = /^(\d+) (.+?) ([a-z-]+)(?: (new|used|faded|yellowed|bare|cracked)(:\w+)?)?$/.exec(text);
  if (!found) throw new Error(`not a lot: ${text}`);
  const [, qty, part = '', colour = '', condition = 'used', batch = ''] = found;
  return {
    element: el(part, colour),
    qty: Number(qty),
    grade: grade(condition as Condition, batch.slice(1)),
  };
};

/** A bench with one copy unpacked into zones, a tray of own parts and a price book, without a database. */
export function makeWorkbench({
  zones,
  stock = [],
  prices = [],
  build = TEST_BUILD,
}: WorkbenchText): Workbench {
  const root = { id: zoneId('root'), build, parent: null, name: 'Whole model', position: 0 };
  const named = Object.keys(zones).map((name, i) => ({
    id: zoneId(name),
    build,
    parent: root.id,
    name,
    position: i + 1,
  }));
  const unpacked = Object.entries(zones).flatMap(([name, lots]) =>
    lots.map(lotOf).map((l): Movement => ({
      ...l,
      from: shippedAccount(COPY),
      to: modelAccount(zoneId(name)),
      worth: null,
    })),
  );
  const stocked = stock.map(lotOf).map((l): Movement => ({
    ...l,
    from: OUTSIDE,
    to: stockAccount(TEST_TRAY),
    worth: null,
  }));
  const logged = (id: string, kind: Entry['kind'], movements: Movement[]): TypedRecord => ({
    type: 'entry',
    record: {
      ...BLANK_ENTRY,
      id: asId<EntryId>(id),
      build: kind === 'add-stock' ? null : build,
      kind,
      loggedAt: '2026-01-01T00:00:00Z',
      movements,
    },
  });
  const records: TypedRecord[] = [
    {
      type: 'build',
      record: { id: build, name: 'Test', note: '', createdAt: '2026-01-01', archived: false },
    },
    {
      type: 'copy',
      record: {
        id: COPY,
        build,
        setName: 'Test',
        setCode: 'T',
        condition: 'second-hand',
        role: 'base',
        price: 1000,
      },
    },
    ...[root, ...named].map((record) => ({ type: 'zone' as const, record })),
    { type: 'tray', record: { id: TEST_TRAY, name: 'A1', place: '', position: 1 } },
    ...prices.map((text): TypedRecord => {
      const [, part = '', colour = '', pence = ''] = /^(.+) ([a-z-]+) (\d+)$/.exec(text) ?? [];
      const element = el(part, colour);
      const newPrice = Number(pence);
      return {
        type: 'price',
        record: { id: element, element, newPrice, usedPrice: Math.round((newPrice * 2) / 3) },
      };
    }),
    logged('unpack', 'unpack', unpacked),
  ];
  const surroundings = stocked.map(({ element, grade: g, qty, to }) => ({
    account: to,
    element,
    grade: g,
    qty,
  }));
  return new Workbench({
    workspace: 'test',
    complete: true,
    revision: 0,
    build,
    records,
    surroundings,
    plannedElsewhere: [],
    undoRedo: { undo: null, redo: null },
  });
}

/** Breaks a box up for the build: its pieces lie in it. */
export function withBox(
  workbench: Workbench,
  name: string,
  lots: Readonly<Record<string, number>>,
  build = TEST_BUILD,
  price: number | null = 0,
): Workbench {
  const id = asId<CopyId>(`box ${name}`);
  const entry: Entry = {
    ...BLANK_ENTRY,
    id: asId<EntryId>(`unpack ${name}`),
    build,
    kind: 'unpack',
    loggedAt: '2026-01-02',
    movements: Object.entries(lots).map(([element, qty]) => ({
      element: element as ElementKey,
      grade: grade('used'),
      qty,
      from: shippedAccount(id),
      to: donorAccount(id),
      worth: null,
    })),
  };
  return did(workbench, {
    label: '',
    diff: joinDiffs(
      added('copy', {
        id,
        build,
        setName: name,
        setCode: name,
        condition: 'second-hand',
        role: 'donor',
        price,
      }),
      added('entry', entry),
    ),
  });
}

/** Ids and a clock for commands in tests. */
export const testSource = (prefix = 'n'): Source => ({
  newId: countingIds(prefix),
  now: '2026-11-24T10:00:00Z',
});

/** Does a command, and gives the bench back. */
export function did(workbench: Workbench, command: Command): Workbench {
  workbench.apply(command.diff);
  return workbench;
}

/** Does a command, having seen that the server would let it in, and that its inverse brings every record back. */
export function doneAndBack(workbench: Workbench, command: Command): Workbench {
  const read = diffSchema.safeParse(command.diff);
  assert(read.success, 'what is done passes the door', read.error?.issues[0]);
  const before = workbench.recordList();
  workbench.apply(command.diff);
  workbench.apply(invertDiff(command.diff));
  const sorted = (list: readonly TypedRecord[]) => list.map((r) => JSON.stringify(r)).sort();
  assert(
    sorted(workbench.recordList()).join() === sorted(before).join(),
    'undo brings every record back',
    command.label,
  );
  return did(workbench, command);
}

/** Plans intents in a modification called Wall, in the zone of that name. */
export const planned = (workbench: Workbench, source: Source, ...intents: Partial<Intent>[]): Workbench =>
  did(
    workbench,
    planWork(
      workbench,
      [
        {
          title: 'Wall',
          zone: zoneId('Wall'),
          intents: intents.map((i) => ({ ...BLANK_INTENT, planned: true, ...i })),
        },
      ],
      'plan',
      source,
    ),
  );

export const used: Grade = grade('used');

/** Says of the planned work that it is done: of all entries of modifications, or of the nth alone. */
export function carriedOut(workbench: Workbench, n?: number): Workbench {
  const entries = workbench.entries.filter((e) => e.modification);
  const chosen = n === undefined ? entries.filter((e) => e.state === 'planned') : entries.slice(n, n + 1);
  return did(workbench, {
    label: '',
    diff: joinDiffs(...chosen.map((e) => changed('entry', e, { state: 'done' }))),
  });
}

/** Notes pieces of a zone as yellowed, in the first modification: they stay where they are. */
export function notedYellowed(
  workbench: Workbench,
  zone: ZoneId,
  element: ElementKey,
  qty: number,
): Workbench {
  const at = modelAccount(zone);
  const piece = { element, qty, worth: null };
  const modification = workbench.modifications[0]?.id ?? null;
  const entry: Entry = {
    ...BLANK_ENTRY,
    ...workbench.nextEntry(modification),
    id: asId<EntryId>(`noted ${element} ${zone}`),
    build: workbench.build,
    modification,
    kind: 'regrade',
    loggedAt: '2026-01-03',
    movements: [
      { ...piece, grade: used, from: at, to: OUTSIDE },
      { ...piece, grade: grade('yellowed'), from: OUTSIDE, to: at },
    ],
  };
  return did(workbench, { label: 'noted', diff: added('entry', entry) });
}

/** Logs lines in the first modification, as a person types them; one that cannot be logged says why. */
export function logLines(workbench: Workbench, lines: readonly string[], planned = false): Workbench {
  for (const line of lines) {
    const [modification] = workbench.modifications;
    assert(modification, 'lines are logged in a modification');
    const reading = readLine(workbench, line, { modification, planned });
    assert(reading.ready, line, [reading.problems, reading.clauses]);
    did(workbench, logLine(workbench, reading, line, testSource(line)));
  }
  return workbench;
}
