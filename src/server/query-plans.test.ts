import { readSurroundings } from '@/data/openings';
import { describe, expect, it } from 'vitest';
import { added, STOCK_SCOPE } from '@/core/ledger';
import { asId, type ActionId } from '@/core/shared/ids';
import { el } from '@/core/testing/world';
import { needsOfAll } from './needs';
import { perform, undoOrRedo } from './perform';
import { readBuilds } from './build-list';
import { stepsFrom } from './steps';
import { pageOpening, takeOpening } from './snapshot';
import { importStock } from './import-rows';
import { NOW, testBuild } from './testing/workspace';

/** Tables that grow with the work: none of them may be gone through from end to end for one build or one action. */
const GROWING = [
  'accounts',
  'action_scopes',
  'actions',
  'changes',
  'count_lines',
  'entries',
  'exposures',
  'findings',
  'left_mismatches',
  'movements',
  'photos',
  'schemes',
  'zones',
];

type Sqlite = ReturnType<typeof testBuild>['handle']['sqlite'];

/** The statements that some work runs, each once: also those that were made ready before. */
function statementsOf(sqlite: Sqlite, work: () => void): string[] {
  const seen = new Set<string>();
  const statement = Object.getPrototypeOf(sqlite.prepare('select 1')) as Record<
    'all' | 'get' | 'run' | 'iterate',
    (this: { source: string }, ...values: unknown[]) => unknown
  >;
  const { all, get, run, iterate } = statement;
  for (const [name, way] of Object.entries({ all, get, run, iterate }))
    statement[name as 'all'] = function (...values) {
      seen.add(this.source);
      return way.apply(this, values);
    };
  try {
    work();
  } finally {
    Object.assign(statement, { all, get, run, iterate });
  }
  return [...seen].filter((s) => /^\s*(select|update|delete|insert)/i.test(s));
}

/** How the database goes about a statement, step by step. */
function planOf(sqlite: Sqlite, source: string): string[] {
  const holes = source.match(/\?/g)?.length ?? 0;
  const plan = sqlite.prepare(`explain query plan ${source}`).all(...Array<null>(holes).fill(null));
  return (plan as { detail: string }[]).map((p) => p.detail);
}

/** Growing tables that some work goes through from end to end, with the statement that does. */
function scansOf(sqlite: Sqlite, work: () => void): string[] {
  const statements = statementsOf(sqlite, work);
  expect(statements.length).toBeGreaterThan(0);
  return statements.flatMap((source) => {
    const names = new Map(
      [...source.matchAll(/\b(?:from|join)\s+["`]?(\w+)["`]?(?:\s+(?:as\s+)?(\w+))?/gi)].map((m) => [
        m[2] ?? m[1]!,
        m[1]!,
      ]),
    );
    return planOf(sqlite, source)
      .map((step) => /^SCAN (\w+)(?! USING (COVERING )?INDEX \w+ \()/.exec(step)?.[1])
      .filter((alias) => alias && GROWING.includes(names.get(alias) ?? alias))
      .map((alias) => `${names.get(alias!) ?? alias} in ${source.slice(0, 160)}`);
  });
}

describe('what the server asks the database', () => {
  const t = testBuild();
  const lot = { element: el('tile 2x2', 'ash'), qty: 6, condition: null, tray: '', place: '', worth: null };
  importStock(
    { request: 'add-stock', tray: 'A1', lots: [lot], colours: { made: [], matched: [] }, memory: null },
    { handle: t.handle, newId: t.newId, now: NOW },
  );
  t.log('+4 tile 2x2 ash from own parts plan');
  const { handle, build } = t;
  const tray = { id: asId<never>('t2'), name: 'T2', place: '', position: 2 };

  it.each<[string, () => unknown]>([
    ['opening a build', () => takeOpening(handle, build)],
    ['a page of a build', () => pageOpening(handle, build)],
    ['what others leave a build', () => readSurroundings(handle.db, build, [lot.element])],
    ['logging a line', () => t.log('-2 plate 2x3 chalk')],
    ['undo', () => undoOrRedo(handle, `u${Math.random()}`, build, 'undo')],
    [
      'a tray made',
      () =>
        perform(
          handle,
          { id: asId<ActionId>('tray'), scope: STOCK_SCOPE, label: 'x', diff: added('tray', tray) },
          NOW,
        ),
    ],
    ['catching up', () => stepsFrom(handle, 2)],
    ['the list of builds', () => readBuilds(handle)],
    ['what all builds lack', () => needsOfAll(handle)],
  ])('%s goes through no growing table from end to end', (_, work) =>
    expect(scansOf(handle.sqlite, work)).toEqual([]),
  );

  it('what others leave a build is looked up by the kinds that are asked for, not by all that others did', () => {
    const { sqlite } = handle;
    const asked = statementsOf(sqlite, () => readSurroundings(handle.db, build, [lot.element]));
    const ofKinds = asked.filter((s) => s.includes('m.element in'));
    expect(ofKinds.length).toBeGreaterThan(0);
    for (const source of ofKinds)
      expect(planOf(sqlite, source).filter((step) => /^(SEARCH|SCAN) [me] /.test(step))).toEqual(
        Array.from({ length: 2 }, () => [
          expect.stringContaining('m USING INDEX movements_element'),
          expect.stringMatching(/^SEARCH e USING INDEX \w+ \(id=\?\)/),
        ]).flat(),
      );
  });

  it('no index is of a reference that most rows lack: those would be looked up by their lacking it', () => {
    const { sqlite } = handle;
    const indexes = sqlite
      .prepare(
        "select name, tbl_name as tbl, sql from sqlite_master where type = 'index' and sql is not null",
      )
      .all() as { name: string; tbl: string; sql: string }[];
    const ofAll = indexes.filter(({ name, tbl, sql }) => {
      const columns = sqlite.pragma(`index_info(${name})`) as { name: string }[];
      const table = sqlite.pragma(`table_info(${tbl})`) as { name: string; notnull: number; pk: number }[];
      const may = table.find((c) => c.name === columns[0]?.name);
      return columns.length === 1 && !may?.notnull && !may?.pk && !/where .* is not null$/i.test(sql);
    });
    expect(indexes.length).toBeGreaterThan(20);
    expect(ofAll.map((i) => i.name)).toEqual([]);
  });

  it('and it is seen where an index is missing', () => {
    const other = testBuild();
    other.handle.sqlite.exec('DROP INDEX entries_build');
    expect(scansOf(other.handle.sqlite, () => takeOpening(other.handle, other.build))[0]).toContain(
      'entries in',
    );
  });
});
