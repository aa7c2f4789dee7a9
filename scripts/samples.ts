import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { modSheetOf, photosOf, SHEET, sheetHtml } from '../src/core/mod-sheet';
import { patchOf, reversePatch } from '../src/core/patch';
import type { BuildId } from '../src/core/shared/ids';
import type { Workbench } from '../src/core/workbench';
import { openDatabase } from '../src/data/database';
import { readPhotoBytes } from '../src/data/photos';
import { readRecords } from '../src/data/records';
import { seedDemo } from '../src/demo/seed';
import { composeSheet, sheetData } from '../src/screens/tally/sheet/compose';
import { buildSheetPdf } from '../src/server/build-sheet-pdf';
import { smallerPhoto } from '../src/server/keep-photo';
import { openWorkbench } from '../src/server/snapshot';

/** Writes docs/samples from the demo: the house's mod sheet, its patch, and the way back for the glasshouse. */
const folder = mkdtempSync(path.join(os.tmpdir(), 'evarn-samples-'));
const handle = openDatabase(folder, new Date('2026-11-24T10:00:00Z'));
try {
  seedDemo(handle);
  const open = (name: string): Workbench => {
    const build = readRecords(handle.db, 'build').find((b) => b.name === name);
    const workbench = build && openWorkbench(handle, build.id as BuildId);
    if (!workbench) throw new Error(`the demo has no ${name}`);
    return workbench;
  };
  const house = open("Lightkeeper's House");
  const sheet = composeSheet(house, { sheet: modSheetOf(house), planned: false, today: '2026-11-24' });
  const pictures = new Map<string, string>();
  for (const id of photosOf(sheet)) {
    const bytes = readPhotoBytes(handle.db, id);
    const small = bytes && (await smallerPhoto(bytes, SHEET.photoSide));
    if (small) pictures.set(id, `data:image/webp;base64,${small.toString('base64')}`);
  }
  const patch = patchOf(house, { planned: true });
  const write = (name: string, what: string | Buffer) => writeFileSync(path.join('docs/samples', name), what);
  write(
    'lighthouse-mod-sheet.html',
    sheetHtml(sheet, {
      palette: house.palette,
      pictures,
      data: sheetData(house, { sheet: modSheetOf(house), planned: false }),
    }),
  );
  const pdf = await buildSheetPdf(handle, house.build, sheet);
  if (pdf) write('lighthouse-mod-sheet.pdf', pdf);
  const json = (what: object) => `${JSON.stringify(what, null, 1)}\n`;
  write('lighthouse-patch.json', json(patch));
  const glass = open('Glasshouse from two night trams');
  write('glasshouse-back-patch.json', json(reversePatch(patchOf(glass, { planned: true }))));
} finally {
  handle.sqlite.close();
  rmSync(folder, { recursive: true, force: true });
}
