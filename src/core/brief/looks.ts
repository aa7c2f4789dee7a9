import { written, type Command } from '../ledger';
import type { Looks } from '../records';
import type { Workbench } from '../workbench';

/** How a build is to look; nothing is said of it at first. */
export const looksOf = (workbench: Workbench): Looks =>
  workbench.records.looks.get(workbench.build) ?? {
    id: workbench.build,
    build: workbench.build,
    symmetry: 'not said',
    spread: 'not said',
    row: '',
    note: '',
  };

export const keepLooks = (workbench: Workbench, looks: Looks): Command => ({
  label: 'say how it is to look',
  diff: written('looks', workbench.records.looks.get(workbench.build), looks),
});
