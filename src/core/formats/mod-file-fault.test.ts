import { describe, expect, it } from 'vitest';
import type { Entry, Modification, Zone } from '../ledger';
import { modFileOf } from '../testing/mod-file';
import { TEST_BUILD } from '../testing/workbench';
import { listOf, readModFile, type ModFile } from './index';

const lists = (file: ModFile) =>
  file as ModFile & {
    entries: readonly Entry[];
    zones: readonly Zone[];
    modifications: readonly Modification[];
  };

describe('a mod file that does not hold together is not read', () => {
  const said = (change: (file: ReturnType<typeof lists>) => object) => {
    const read = readModFile(JSON.stringify(change(lists(modFileOf()))));
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
    ['a zone twice', (f) => ({ ...f, zones: [...f.zones, f.zones[1]] }), { fault: 'twice', where: 'zones' }],
    [
      'no zone for the whole model',
      (f) => ({ ...f, zones: f.zones.filter((z) => z.parent !== null) }),
      { fault: 'zones', how: 'no root' },
    ],
    [
      'zones within each other',
      (f) => ({ ...f, zones: f.zones.map((z) => (z.parent ? { ...z, parent: z.id } : z)) }),
      { fault: 'zones', how: 'circle' },
    ],
    ['pieces of a box that is not there', (f) => ({ ...f, copies: [] }), { fault: 'refers to nothing' }],
    [
      'half a character in a name',
      (f) => ({ ...f, build: { ...f.build, name: 'House \ud83e' } }),
      { fault: 'shape', where: 'build.name' },
    ],
    [
      'a number beyond all counting',
      (f) => ({ ...f, modifications: f.modifications.map((m) => ({ ...m, no: 2 ** 53 - 1 })) }),
      { fault: 'shape' },
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
    const file = lists(modFileOf());
    const read = readModFile(
      JSON.stringify({ ...file, zones: file.zones.map((z) => ({ ...z, build: 'x' })) }),
    );
    expect(read.ok).toBe(true);
  });
});

describe('a mod file of an earlier program', () => {
  const earlier = (change: (file: ModFile) => object) => {
    const read = readModFile(JSON.stringify({ ...change(modFileOf()), schema: 'evarn-mod/1' }));
    if (!read.ok) throw new Error(JSON.stringify(read.reason));
    return read.value;
  };

  it('is read under its earlier names: stores, and a build that is bound to its boxes', () => {
    const read = earlier(({ stock, buildSources: _, ...rest }) => ({
      ...rest,
      stores: stock,
      bound: true,
    }));
    expect(read.stock).toEqual(modFileOf().stock);
    expect(read.schema).toBe(modFileOf().schema);
    expect(listOf(read, 'buildSources')).toMatchObject([{ build: TEST_BUILD, boxesOnly: true }]);
    expect(
      listOf(
        earlier(({ buildSources: _, ...f }) => ({ ...f, bound: false })),
        'buildSources',
      ),
    ).toEqual([]);
  });

  it('of before entries knew their count is taken, with its notes as they were', () => {
    const read = earlier((f) => ({
      ...f,
      entries: lists(f).entries.map(({ counted: _, splitFrom: _s, loan: _l, ...e }) => ({
        ...e,
        line: null,
        note: 'counted by hand',
      })),
      modifications: lists(f).modifications.map(({ purpose: _, ...m }) => m),
    }));
    expect(listOf(read, 'entry').map((e) => [e.counted, e.note])).toEqual(
      listOf(read, 'entry').map(() => [null, 'counted by hand']),
    );
    expect(listOf(read, 'entry').length).toBeGreaterThan(3);
  });
});

describe('mod files that are none', () => {
  it.each([
    ['{', { fault: 'not json' }],
    ['null', { fault: 'not a mod file' }],
    ['7', { fault: 'not a mod file' }],
    ['[]', { fault: 'not a mod file' }],
    ['{"schema":"other"}', { fault: 'not a mod file' }],
    ['{"schema":"evarn-mod/9"}', { fault: 'newer version', version: 'evarn-mod/9' }],
    ['{"schema":"evarn-mod/1"}', { fault: 'shape' }],
  ])('%s', (text, reason) => expect(readModFile(text)).toMatchObject({ ok: false, reason }));
});
