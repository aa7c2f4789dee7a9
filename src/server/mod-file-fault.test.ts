import { describe, expect, it } from 'vitest';
import { listOf, readModFile, type ModFile } from '@/core/formats';
import type { Entry, Modification, Zone } from '@/core/ledger';
import { wholeFile } from './export-file';
import { testBuild } from './testing/workspace';

const t = testBuild();
t.log('-2 plate 2x3 chalk');
t.log('+1 brick 1x2 ash');
const text = wholeFile(t.handle, t.build, 'mod.json')!;
interface File extends ModFile {
  readonly entries: readonly Entry[];
  readonly zones: readonly Zone[];
  readonly modifications: readonly Modification[];
}
const fileOf = (): File => JSON.parse(text) as File;

const said = (change: (file: File) => unknown) => {
  const file = fileOf();
  const changed = change(file) as File | undefined;
  const read = readModFile(JSON.stringify(changed ?? file));
  return read.ok ? 'taken' : read.reason;
};
const entryOf = (file: File) => file.entries.find((e) => e.modification !== null) as Entry;

describe('a mod file that does not hold together is refused with what is wrong', () => {
  it('and one that does is taken', () => expect(said(() => undefined)).toBe('taken'));

  it.each<[string, (file: File) => unknown, object]>([
    [
      'an id twice',
      (f) => ({ ...f, entries: [...f.entries, f.entries[0]] }),
      { fault: 'twice', where: 'entries' },
    ],
    ['a zone twice', (f) => ({ ...f, zones: [...f.zones, f.zones[1]] }), { fault: 'twice', where: 'zones' }],
    ['no zones', (f) => ({ ...f, zones: [] }), { fault: 'zones', how: 'no root' }],
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
    [
      'a modification in a zone that is not there',
      (f) => ({ ...f, modifications: f.modifications.map((m) => ({ ...m, zone: 'none' })) }),
      { fault: 'refers to nothing', id: 'none' },
    ],
    [
      'an entry of a modification that is not there',
      (f) => ({ ...f, modifications: [] }),
      { fault: 'refers to nothing' },
    ],
    ['pieces of a box that is not there', (f) => ({ ...f, copies: [] }), { fault: 'refers to nothing' }],
    [
      'a place of somebody else',
      (f) => ({
        ...f,
        entries: f.entries.map((e) =>
          e === entryOf(f) ? { ...e, movements: e.movements.map((m) => ({ ...m, to: 'spares:other' })) } : e,
        ),
      }),
      { fault: 'refers to nothing', id: 'other' },
    ],
    [
      'an entry that goes nowhere',
      (f) => ({
        ...f,
        entries: f.entries.map((e) =>
          e === entryOf(f) ? { ...e, movements: e.movements.map((m) => ({ ...m, to: m.from })) } : e,
        ),
      }),
      { fault: 'entry', how: 'same place' },
    ],
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
  ])('%s', (_, change, fault) => expect(said(change)).toMatchObject(fault));

  it('one of before entries knew their count is taken, with its notes as they were', () => {
    const old = (f: File) => ({
      ...f,
      schema: 'evarn-mod/1',
      entries: f.entries.map(({ counted: _, splitFrom: _s, loan: _l, ...e }) => ({
        ...e,
        line: null,
        note: 'counted by hand',
      })),
      modifications: f.modifications.map(({ purpose: _, ...m }) => m),
    });
    const file = fileOf();
    const read = readModFile(JSON.stringify(old(file)));
    expect(read).toMatchObject({ ok: true });
    expect(
      read.ok && listOf(read.value, 'entry').every((e) => e.counted === null && e.note === 'counted by hand'),
    ).toBe(true);
  });
});
