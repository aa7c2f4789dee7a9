import { written, type Command } from '../ledger';
import { SHEET_PARTS, type ModSheet } from '../records';
import type { Workbench } from '../workbench';

/** How the mod is told; at first all parts in their order, nothing private, and the build's name. */
export const modSheetOf = (workbench: Workbench): ModSheet =>
  workbench.records.modSheet.get(workbench.build) ?? {
    ...{ id: workbench.build, build: workbench.build, author: '', lead: '', thanks: '', paper: 'A4' },
    title: (workbench.records.build.get(workbench.build)?.name ?? '').slice(0, 200),
    parts: [...SHEET_PARTS],
    tells: [],
  };

export const keepModSheet = (workbench: Workbench, sheet: ModSheet): Command => ({
  label: 'change the mod sheet',
  diff: written('modSheet', workbench.records.modSheet.get(workbench.build), sheet),
});
