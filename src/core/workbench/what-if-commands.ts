import { changed, joinDiffs, removed, type Entry, type WhatIf } from '../ledger';
import type { WhatIfId } from '../shared/ids';
import type { Command } from '../ledger';
import type { Workbench } from './workbench';

/** Puts a what-if's entries into the plan, and the list away. */
export function adoptWhatIf(workbench: Workbench, whatIf: WhatIf): Command {
  const entries = ofWhatIf(workbench, whatIf.id);
  const diff = joinDiffs(
    ...entries.map((e) => changed('entry', e, { whatIf: null })),
    removed('whatIf', whatIf),
  );
  return { label: `adopt ${whatIf.name}`, diff };
}

/** Drops a what-if with all its entries. */
export function dropWhatIf(workbench: Workbench, whatIf: WhatIf): Command {
  const diff = joinDiffs(removed('entry', ...ofWhatIf(workbench, whatIf.id)), removed('whatIf', whatIf));
  return { label: `drop ${whatIf.name}`, diff };
}

const ofWhatIf = (workbench: Workbench, id: WhatIfId): Entry[] =>
  workbench.entries.filter((e) => e.whatIf === id);
