import { makeModFile, type ModFile } from '../formats';
import { addModification, type Workbench } from '../workbench';
import { did, logLines, makeWorkbench, TEST_BUILD, testSource, withBox, zoneId } from './workbench';
import { el } from './world';

/** Two tiles out of own parts are on the model, three more are planned, and two bricks went to the spares. A box lies beside it. */
export function modHouse(): Workbench {
  const workbench = withBox(
    makeWorkbench({
      zones: { Porch: ['40 plate 2x3 chalk', '12 brick 1x2 ash'] },
      stock: ['4 tile 1x2 bark'],
    }),
    'Tram',
    { [el('brick 1x4', 'kelp')]: 9 },
  );
  did(workbench, addModification(workbench, 'New porch', zoneId('Porch'), testSource('m')));
  logLines(workbench, ['+2 tile 1x2 bark from own parts @Porch']);
  logLines(workbench, ['+3 tile 1x2 bark from own parts @Porch'], true);
  return logLines(workbench, ['-2 brick 1x2 ash @Porch']);
}

/** The mod file of a build, as it is written and read. */
export const modFileOf = (workbench = modHouse()): ModFile =>
  JSON.parse(JSON.stringify(makeModFile(workbench.records, TEST_BUILD, workbench.planned))) as ModFile;
