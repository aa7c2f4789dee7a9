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
import { modFileOf, modHouse } from '../testing/mod-file';
import { el } from '../testing/world';
import { did, logLines, makeWorkbench, TEST_BUILD, TEST_TRAY, used, zoneId } from '../testing/workbench';
import type { Workbench } from '../workbench';
import { listOf, makeModFile, modFileDiff } from './index';

const ash = el('brick 1x2', 'ash');
const tile = el('tile 1x2', 'bark');
const NOW = '2026-02-02';

/** The same house, in the colours of a workspace that has made two of its own. */
function painted(): Workbench {
  const workbench = modHouse();
  const made = (name: string) => ({
    ...{ id: asId<ColourId>(name), name, hex: '#665544' },
    ...({ family: 'brown', finish: 'solid' } as const),
  });
  did(workbench, { label: '', diff: added('customColour', made('mud'), made('silt')) });
  logLines(workbench, ['+1 brick 1x2 mud @Porch own']);
  return workbench;
}
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
    const { records, planned } = modHouse();
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
    expect(modFileOf().stock).toEqual([
      { tray: TEST_TRAY, trayName: 'A1', element: tile, grade: used, qty: 4 },
    ]);
    const more = modHouse();
    logLines(more, ['-2 tile 1x2 bark to own parts @Porch']);
    // What was put back is not brought: two are out, and two of the three that are planned are there.
    expect(modFileOf(more).stock).toEqual([
      { tray: TEST_TRAY, trayName: 'A1', element: tile, grade: used, qty: 3 },
    ]);
  });

  it('with the colours that its log uses, of those that the workspace has made', () => {
    expect(listOf(modFileOf(painted()), 'customColour').map((c) => c.id)).toEqual(['mud']);
    expect(listOf(modFileOf(), 'customColour')).toEqual([]);
  });

  it('with none where nothing came from own parts', () => {
    const workbench = makeWorkbench({ zones: { Porch: ['12 brick 1x2 ash'] }, stock: ['4 tile 1x2 bark'] });
    expect(modFileOf(workbench).stock).toEqual([]);
    expect(
      modFileDiff(modFileOf(workbench), countingIds('n'), NOW).diff.added.map((a) => a.type),
    ).not.toContain('tray');
  });
});

describe('a mod file is brought in', () => {
  const bring = (file = modFileOf()) => {
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
    const file = modFileOf();
    const nameless = { ...file, stock: file.stock.map((s) => ({ ...s, trayName: '' })) };
    expect(bring(nameless).brought('tray')).toMatchObject([{ name: 'Tray 1' }]);
  });

  it('without a word of own parts where nothing came from them', () => {
    const file = modFileOf(makeWorkbench({ zones: { Porch: ['12 brick 1x2 ash'] } }));
    expect(
      bring(file)
        .brought<Entry>('entry')
        .map((e) => e.kind),
    ).toEqual(['unpack']);
  });

  it('with colours that are named by others once for all: they are not made again', () => {
    expect(bring(modFileOf(painted())).brought('customColour')).toEqual([]);
  });

  it('what is named by what it speaks of is named anew', () => {
    const workbench = modHouse();
    did(workbench, setExposure(workbench, zoneId('Porch'), ash, 'one side', { hidden: 3 }));
    const { brought } = bring(modFileOf(workbench));
    const [, porch] = brought<Zone>('zone');
    expect(brought('exposure')).toMatchObject([{ id: `${porch!.id}|${ash}`, zone: porch!.id, hidden: 3 }]);
  });
});
