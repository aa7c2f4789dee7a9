import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { modSheetOf, sheetHtml } from '@/core/mod-sheet';
import type { BuildId } from '@/core/shared/ids';
import { openDatabase } from '@/data/database';
import { readRecords } from '@/data/records';
import { seedDemo } from '@/demo/seed';
import { composeSheet, sheetData } from '@/screens/tally/sheet/compose';
import { buildSheetPdf } from '@/server/build-sheet-pdf';
import { openWorkbench } from '@/server/snapshot';
import { say, summary, timed } from './measure';

/** Mod sheets of the demo's house and of its 7,800-piece ship: composed and written as HTML, beside the PDF of the same. */
export async function measureSheets(): Promise<void> {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'evarn-sheets-'));
  const handle = openDatabase(folder, new Date());
  seedDemo(handle);
  console.log('\nmod sheets');
  for (const [name, aim] of [
    ["Lightkeeper's House", '2 s'],
    ['Northern Reach', '5 s'],
  ] as const) {
    const build = readRecords(handle.db, 'build').find((b) => b.name === name)!.id as BuildId;
    const workbench = openWorkbench(handle, build)!;
    const compose = () =>
      composeSheet(workbench, { sheet: modSheetOf(workbench), planned: true, today: '2026-11-24' });
    const html = () =>
      sheetHtml(compose(), {
        palette: workbench.palette,
        pictures: new Map(),
        data: sheetData(workbench, { sheet: modSheetOf(workbench), planned: true }),
      });
    say(`${name}: composed, and written as HTML`, aim, summary(timed(5, html)));
    const times: number[] = [];
    for (let i = 0; i < 5; i++) {
      const began = performance.now();
      await buildSheetPdf(handle, build, compose());
      times.push(performance.now() - began);
    }
    say(`${name}: as a PDF`, aim, summary(times));
  }
  handle.sqlite.close();
  rmSync(folder, { recursive: true, force: true });
}
