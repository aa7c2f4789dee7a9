import { describe, expect, it } from 'vitest';
import { FIGURES } from '@/core/ledger';
import { countingIds } from '@/core/shared/ids';
import { importModFile } from './import-mod-file';
import { openWorkbench } from './snapshot';
import { exportFile, FILES, wholeFile } from './export-file';
import { readUpload } from './read-upload';
import { NOW, testBuild } from './testing/workspace';

describe('taking a build away', () => {
  it('makes every file, under a name that is safe everywhere', async () => {
    const t = testBuild();
    t.log('-2 plate 2x3 chalk "=danger"');
    const build = t.open().records.build.get(t.build)!;
    t.act({
      label: 'x',
      diff: {
        added: [],
        removed: [],
        changed: [{ type: 'build', from: build, to: { ...build, name: '../<b>"Ü🧱\r\nX: y' } }],
      },
    });
    for (const file of FILES) {
      const made = (await exportFile(t.handle, t.build, file))!;
      expect(made.name).toMatch(/^[\w-]+\.(csv|xlsx|json)$/);
      expect(made.bytes.length).toBeGreaterThan(10);
    }
    const csv = new TextDecoder().decode((await exportFile(t.handle, t.build, 'worklog.csv'))!.bytes);
    expect(csv).toContain("'=danger");
    expect(await exportFile(t.handle, t.build, 'worklog.exe')).toBeUndefined();
    expect(await exportFile(t.handle, 'nobody' as never, 'worklog.csv')).toBeUndefined();
  });

  it('a sheet has the cells of its CSV, numbers as numbers and text as it was typed', async () => {
    const t = testBuild();
    t.log('-2 plate 2x3 chalk "=danger"');
    const read = await readUpload((await exportFile(t.handle, t.build, 'worklog.xlsx'))!.bytes);
    if (!read.ok) throw new Error(JSON.stringify(read.reason));
    const { heading, rows } = read.value;
    const cell = (name: string) => rows[0]?.[heading!.indexOf(name)];
    expect([cell('off qty'), cell('off part'), cell('note')]).toEqual(['2', 'plate 2x3 chalk', '=danger']);
  });

  it('a mod file imported beside its build gives the same books', () => {
    const t = testBuild();
    t.log('-2 plate 2x3 chalk; +3 tile 2x2 slate at 0.15; ~4 arch 1x4 ash > bark @gallery');
    const file = wholeFile(t.handle, t.build, 'mod.json')!;
    const brought = importModFile(file, 'r', { handle: t.handle, newId: countingIds('m'), now: NOW });
    if (!brought.ok) throw new Error(JSON.stringify(brought.reason));
    const [old, now] = [t.open(), openWorkbench(t.handle, brought.value.build)!];
    for (const f of FIGURES)
      expect(now.built.figures({ of: 'build' })[f]).toBe(old.built.figures({ of: 'build' })[f]);
  });
});
