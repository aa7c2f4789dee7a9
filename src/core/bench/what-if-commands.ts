import { changed, joinDiffs, removed, type Entry, type WhatIf } from '../ledger';
import type { WhatIfId } from '../shared/ids';
import type { Command } from './command';
import type { Workbench } from './workbench';

/** Puts a what-if's entries into the plan, and the list away. */
export function adoptWhatIf(bench: Workbench, whatIf: WhatIf): Command {
  const entries = ofWhatIf(bench, whatIf.id);
  const diff = joinDiffs(
    ...entries.map((e) => changed('entry', e, { whatIf: null })),
    removed('whatIf', whatIf),
  );
  return { label: `adopt ${whatIf.name}`, diff };
}

/** Drops a what-if with all its entries. */
export function dropWhatIf(bench: Workbench, whatIf: WhatIf): Command {
  const diff = joinDiffs(removed('entry', ...ofWhatIf(bench, whatIf.id)), removed('whatIf', whatIf));
  return { label: `drop ${whatIf.name}`, diff };
}

const ofWhatIf = (bench: Workbench, id: WhatIfId): Entry[] => bench.entries.filter((e) => e.whatIf === id);
