import { describe, expect, it } from 'vitest';
import { FIGURES } from '@/core/ledger';
import { countingIds } from '@/core/shared/ids';
import { importModFile } from './import-mod-file';
import { openWorkbench } from './snapshot';
import { FILES, exportFile } from './export-file';
import { NOW, testBuild } from './testing/workspace';

describe('taking a build away', () => {
  it('makes every file, under a name that is safe everywhere', () => {
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
      const made = exportFile(t.handle, t.build, file)!;
      expect(made.name).toMatch(/^[\w-]+\.(csv|json)$/);
      expect(made.text.length).toBeGreaterThan(10);
    }
    expect(exportFile(t.handle, t.build, 'worklog.csv')!.text).toContain("'=danger");
  });

  it('a mod file imported beside its build gives the same books', () => {
    const t = testBuild();
    t.log('-2 plate 2x3 chalk; +3 tile 2x2 slate at 0.15; ~4 arch 1x4 ash > bark @gallery');
    const file = exportFile(t.handle, t.build, 'mod.json')!.text;
    const brought = importModFile(file, 'r', { handle: t.handle, newId: countingIds('m'), now: NOW });
    if (!brought.ok) throw new Error(JSON.stringify(brought.reason));
    const [old, now] = [t.open(), openWorkbench(t.handle, brought.value.build)!];
    for (const f of FIGURES)
      expect(now.built.figures({ of: 'build' })[f]).toBe(old.built.figures({ of: 'build' })[f]);
  });
});
