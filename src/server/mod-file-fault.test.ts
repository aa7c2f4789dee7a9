import { describe, expect, it } from 'vitest';
import { readModFile, type ModFile } from '@/core/formats';
import type { Entry } from '@/core/ledger';
import { takeAway } from './take-away';
import { testBuild } from './testing/workspace';

const t = testBuild();
t.log('-2 plate 2x3 chalk');
t.log('+1 brick 1x2 ash');
const text = takeAway(t.handle, t.build, 'mod.json')!.text;
const fileOf = (): ModFile => JSON.parse(text) as ModFile;

const said = (change: (file: ModFile) => unknown) => {
  const file = fileOf();
  const changed = change(file) as ModFile | undefined;
  const read = readModFile(JSON.stringify(changed ?? file));
  return read.ok ? 'taken' : read.reason;
};
const entryOf = (file: ModFile) => file.entries.find((e) => e.modification !== null) as Entry;

describe('a mod file that does not hold together is refused with what is wrong', () => {
  it('and one that does is taken', () => expect(said(() => undefined)).toBe('taken'));

  it.each<[string, (file: ModFile) => unknown, object]>([
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
    const old = (f: ModFile) => ({
      ...f,
      entries: f.entries.map(({ counted: _, ...e }) => ({ ...e, note: 'counted by hand' })),
      modifications: f.modifications.map(({ purpose: _, ...m }) => m),
    });
    const file = fileOf();
    const read = readModFile(JSON.stringify(old(file)));
    expect(read).toMatchObject({ ok: true });
    expect(
      read.ok && read.value.entries.every((e) => e.counted === null && e.note === 'counted by hand'),
    ).toBe(true);
  });
});
