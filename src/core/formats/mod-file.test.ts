import { describe, expect, it } from 'vitest';
import {
  added,
  applyDiff,
  donorAccount,
  joinDiffs,
  modelAccount,
  sparesAccount,
  stockAccount,
  type AccountKey,
  type Entry,
  type Modification,
  type Zone,
} from '../ledger';
import {
  asId,
  countingIds,
  type BuildId,
  type ColourId,
  type CopyId,
  type EntryId,
  type KeptAssemblyId,
} from '../shared/ids';
import { setExposure } from '../fading';
import { el } from '../testing/world';
import {
  did,
  makeWorkbench,
  TEST_BUILD,
  TEST_TRAY,
  testSource,
  used,
  withBox,
  zoneId,
} from '../testing/workbench';
import { addModification, logLine, readLine, type Workbench } from '../workbench';
import { listOf, makeModFile, modFileDiff, readModFile, type ModFile } from './index';

const ash = el('brick 1x2', 'ash');
const tile = el('tile 1x2', 'bark');
const NOW = '2026-02-02';

function log(workbench: Workbench, text: string, planned = false): void {
  const [modification] = workbench.modifications;
  const reading = readLine(workbench, text, { modification: modification!, planned });
  if (!reading.ready) throw new Error(`${text}: ${JSON.stringify([reading.problems, reading.clauses])}`);
  did(workbench, logLine(workbench, reading, text, testSource(text)));
}
/** Two tiles out of own parts are on the model, three more are planned, and two bricks went there. */
function house(): Workbench {
  const workbench = withBox(
    makeWorkbench({
      zones: { Porch: ['40 plate 2x3 chalk', '12 brick 1x2 ash'] },
      stock: ['4 tile 1x2 bark'],
    }),
    'Tram',
    { [el('brick 1x4', 'kelp')]: 9 },
  );
  did(workbench, addModification(workbench, 'New porch', zoneId('Porch'), testSource('m')));
  log(workbench, '+2 tile 1x2 bark from own parts @Porch');
  log(workbench, '+3 tile 1x2 bark from own parts @Porch', true);
  log(workbench, '-2 brick 1x2 ash @Porch');
  return workbench;
}
/** The same house, in the colours of a workspace that has made two of its own. */
function painted(): Workbench {
  const workbench = house();
  const made = (name: string) => ({
    ...{ id: asId<ColourId>(name), name, hex: '#665544' },
    ...({ family: 'brown', finish: 'solid' } as const),
  });
  did(workbench, { label: '', diff: added('customColour', made('mud'), made('silt')) });
  log(workbench, '+1 brick 1x2 mud @Porch own');
  return workbench;
}
const fileOf = (workbench = house()): ModFile =>
  JSON.parse(JSON.stringify(makeModFile(workbench.records, TEST_BUILD, workbench.planned))) as ModFile;

describe('a mod file is made', () => {
  const OTHER = asId<BuildId>('other');
  const keep = (id: string, account: AccountKey) =>
    added('keptAssembly', {
      id: asId<KeptAssemblyId>(id),
      name: id,
      account,
      lots: [{ element: ash, qty: 1 }],
    });

  it('of what lies in the build’s own places, and of nothing of another', () => {
    const { records, planned } = house();
    const theirs = { id: zoneId('theirs'), build: OTHER, parent: null, name: 'Theirs', position: 0 };
    const box = {
      ...records.copy.get(asId<CopyId>('box Tram'))!,
      id: asId<CopyId>('their box'),
      build: OTHER,
    };
    const [own] = [...records.entry.values()].filter((e) => e.build === TEST_BUILD);
    const all = applyDiff(
      records,
      joinDiffs(
        added('build', { ...records.build.get(TEST_BUILD)!, id: OTHER, name: 'Other' }),
        added('zone', theirs),
        added('copy', box),
        added('entry', { ...own!, id: asId<EntryId>('their entry'), build: OTHER }),
        keep('porch', modelAccount(zoneId('Porch'))),
        keep('spares', sparesAccount(TEST_BUILD)),
        keep('box', donorAccount(asId<CopyId>('box Tram'))),
        keep('their zone', modelAccount(theirs.id)),
        keep('their spares', sparesAccount(OTHER)),
        keep('their box', donorAccount(box.id)),
        keep('a tray', stockAccount(TEST_TRAY)),
      ),
    );
    const file = makeModFile(all, TEST_BUILD, planned);
    expect(file.build.name).toBe('Test');
    expect(listOf(file, 'keptAssembly').map((k) => k.name)).toEqual(['porch', 'spares', 'box']);
    expect(listOf(file, 'zone').map((z) => z.name)).toEqual(['Whole model', 'Porch']);
    expect(listOf(file, 'copy').map((c) => c.setName)).toEqual(['Test', 'Tram']);
    expect(listOf(file, 'entry').every((e) => e.build === TEST_BUILD)).toBe(true);
    expect(listOf(file, 'entry').length).toBeGreaterThan(3);
    expect(() => makeModFile(all, asId<BuildId>('none'), planned)).toThrow('none');
  });

  it('with what its entries took from trays: of plans no more than there was', () => {
    expect(fileOf().stock).toEqual([{ tray: TEST_TRAY, trayName: 'A1', element: tile, grade: used, qty: 4 }]);
    const more = house();
    log(more, '-2 tile 1x2 bark to own parts @Porch');
    // What was put back is not brought: two are out, and two of the three that are planned are there.
    expect(fileOf(more).stock).toEqual([
      { tray: TEST_TRAY, trayName: 'A1', element: tile, grade: used, qty: 3 },
    ]);
  });

  it('with the colours that its log uses, of those that the workspace has made', () => {
    expect(listOf(fileOf(painted()), 'customColour').map((c) => c.id)).toEqual(['mud']);
    expect(listOf(fileOf(), 'customColour')).toEqual([]);
  });

  it('with none where nothing came from own parts', () => {
    const workbench = makeWorkbench({ zones: { Porch: ['12 brick 1x2 ash'] }, stock: ['4 tile 1x2 bark'] });
    expect(fileOf(workbench).stock).toEqual([]);
    expect(modFileDiff(fileOf(workbench), countingIds('n'), NOW).diff.added.map((a) => a.type)).not.toContain(
      'tray',
    );
  });
});

describe('a mod file is brought in', () => {
  const bring = (file = fileOf()) => {
    const { diff, build } = modFileDiff(file, countingIds('n'), NOW);
    const brought = <T>(type: string) => diff.added.filter((a) => a.type === type).map((a) => a.record as T);
    return { diff, build, brought };
  };

  it('as a build of its own, with the name it had', () => {
    const { build, brought } = bring();
    expect(brought('build')).toMatchObject([{ id: build, name: 'Test', createdAt: NOW }]);
    expect(build).not.toBe(TEST_BUILD);
    expect(brought<Zone>('zone').map((z) => [z.name, z.build])).toEqual([
      ['Whole model', build],
      ['Porch', build],
    ]);
  });

  it('with trays of its own, and in them what its entries take', () => {
    const { build, brought } = bring();
    const [tray] = brought<{ id: string; name: string; place: string; position: number }>('tray');
    expect(tray).toMatchObject({ name: 'A1', place: 'from Test' });
    expect(tray!.id).not.toBe(TEST_TRAY);
    const entries = brought<Entry>('entry');
    const [stock] = entries.filter((e) => e.build === null);
    const filled = stockAccount(asId(tray!.id));
    expect(stock).toMatchObject({ kind: 'add-stock', note: 'from Test', loggedAt: NOW });
    expect(stock!.movements).toEqual([
      { element: tile, grade: used, qty: 4, from: 'outside', to: filled, worth: null },
    ]);
    const taking = entries.filter((e) => e.build === build).flatMap((e) => e.movements);
    expect(taking.reduce((s, m) => s + (m.from === filled ? m.qty : 0), 0)).toBe(5);
    expect(taking.flatMap((m) => [m.from, m.to]).filter((a) => a.includes(TEST_TRAY))).toEqual([]);
  });

  it('with a name for each tray that the file has none for', () => {
    const file = fileOf();
    const nameless = { ...file, stock: file.stock.map((s) => ({ ...s, trayName: '' })) };
    expect(bring(nameless).brought('tray')).toMatchObject([{ name: 'Tray 1' }]);
  });

  it('without a word of own parts where nothing came from them', () => {
    const file = fileOf(makeWorkbench({ zones: { Porch: ['12 brick 1x2 ash'] } }));
    expect(
      bring(file)
        .brought<Entry>('entry')
        .map((e) => e.kind),
    ).toEqual(['unpack']);
  });

  it('with colours that are named by others once for all: they are not made again', () => {
    expect(bring(fileOf(painted())).brought('customColour')).toEqual([]);
  });

  it('what is named by what it speaks of is named anew', () => {
    const workbench = house();
    did(workbench, setExposure(workbench, zoneId('Porch'), ash, 'one side', { hidden: 3 }));
    const { brought } = bring(fileOf(workbench));
    const [, porch] = brought<Zone>('zone');
    expect(brought('exposure')).toMatchObject([{ id: `${porch!.id}|${ash}`, zone: porch!.id, hidden: 3 }]);
  });
});

describe('a mod file that does not hold together is not read', () => {
  const lists = (file: ModFile) =>
    file as ModFile & {
      entries: readonly Entry[];
      zones: readonly Zone[];
      modifications: readonly Modification[];
    };
  const said = (change: (file: ReturnType<typeof lists>) => object) => {
    const read = readModFile(JSON.stringify(change(lists(fileOf()))));
    return read.ok ? 'read' : read.reason;
  };
  const moved = (to: string) => (f: ReturnType<typeof lists>) => ({
    ...f,
    entries: f.entries.map((e) => ({ ...e, movements: e.movements.map((m) => ({ ...m, to })) })),
  });

  it('and one that does is', () => expect(said((f) => f)).toBe('read'));

  it.each<[string, (f: ReturnType<typeof lists>) => object, object]>([
    ['no zones', (f) => ({ ...f, zones: [] }), { fault: 'zones', how: 'no root' }],
    ['two roots', (f) => ({ ...f, zones: f.zones.map((z) => ({ ...z, parent: null })) }), { fault: 'zones' }],
    [
      'an entry twice',
      (f) => ({ ...f, entries: [...f.entries, f.entries[0]] }),
      { fault: 'twice', where: 'entries' },
    ],
    [
      'no modification for its entries',
      (f) => ({ ...f, modifications: [] }),
      { fault: 'refers to nothing', where: expect.stringMatching(/^entry \d+$/), id: expect.any(String) },
    ],
    [
      'a modification of a zone that is not there',
      (f) => ({ ...f, modifications: f.modifications.map((m) => ({ ...m, zone: 'none' })) }),
      { fault: 'refers to nothing', where: 'modification 1', id: 'none' },
    ],
    ['the spares of another', moved('spares:other'), { fault: 'refers to nothing', id: 'other' }],
    [
      'an entry of another build',
      (f) => ({ ...f, entries: f.entries.map((e) => ({ ...e, build: 'other' })) }),
      { fault: 'refers to nothing', id: 'other' },
    ],
    [
      'pieces that go nowhere',
      (f) => ({
        ...f,
        entries: f.entries.map((e) => ({ ...e, movements: e.movements.map((m) => ({ ...m, to: m.from })) })),
      }),
      { fault: 'entry', where: expect.stringMatching(/^entry \d+$/), how: 'same place' },
    ],
    [
      'a list that lacks',
      (f) => ({ ...f, entries: undefined }),
      { fault: 'shape', where: 'entries', says: expect.stringMatching(/./) },
    ],
  ])('%s', (_, change, fault) => expect(said(change)).toMatchObject(fault));

  it('a zone may say another build: it is put into the one that is made', () => {
    const file = lists(fileOf());
    const read = readModFile(
      JSON.stringify({ ...file, zones: file.zones.map((z) => ({ ...z, build: 'x' })) }),
    );
    expect(read.ok).toBe(true);
  });
});

describe('a mod file of an earlier program', () => {
  const earlier = (change: (file: ModFile) => object) => {
    const read = readModFile(JSON.stringify({ ...change(fileOf()), schema: 'evarn-mod/1' }));
    if (!read.ok) throw new Error(JSON.stringify(read.reason));
    return read.value;
  };

  it('is read under its earlier names: stores, and a build that is bound to its boxes', () => {
    const read = earlier(({ stock, buildSources: _, ...rest }) => ({
      ...rest,
      stores: stock,
      bound: true,
    }));
    expect(read.stock).toEqual(fileOf().stock);
    expect(read.schema).toBe(fileOf().schema);
    expect(listOf(read, 'buildSources')).toMatchObject([{ build: TEST_BUILD, boxesOnly: true }]);
    expect(
      listOf(
        earlier(({ buildSources: _, ...f }) => ({ ...f, bound: false })),
        'buildSources',
      ),
    ).toEqual([]);
  });

  it.each([
    ['{', { fault: 'not json' }],
    ['null', { fault: 'not a mod file' }],
    ['7', { fault: 'not a mod file' }],
    ['{"schema":"evarn-mod/9"}', { fault: 'newer version', version: 'evarn-mod/9' }],
  ])('%s is none', (text, reason) => expect(readModFile(text)).toEqual({ ok: false, reason }));
});
