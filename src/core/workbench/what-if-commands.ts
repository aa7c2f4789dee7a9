import {
  added,
  changed,
  joinDiffs,
  removed,
  type Command,
  type Entry,
  type Source,
  type WhatIf,
} from '../ledger';
import { asId, type WhatIfId } from '../shared/ids';
import type { Workbench } from './workbench';

/** Starts an alternative list of planned entries. */
export function startWhatIf(workbench: Workbench, name: string, source: Source): Command & { id: WhatIfId } {
  const id = asId<WhatIfId>(source.newId());
  return {
    id,
    label: `start what-if ${name}`,
    diff: added('whatIf', { id, build: workbench.build, name, note: '' }),
  };
}

/** Puts a what-if's entries into the plan, and the list away. */
export function adoptWhatIf(workbench: Workbench, whatIf: WhatIf): Command {
  const entries = ofWhatIf(workbench, whatIf.id);
  const diff = joinDiffs(
    ...entries.map((e) => changed('entry', e, { whatIf: null })),
    removed('whatIf', whatIf),
  );
  return { label: `adopt ${whatIf.name}`, diff };
}

/** Deletes a what-if with all its entries. */
export function deleteWhatIf(workbench: Workbench, whatIf: WhatIf): Command {
  const diff = joinDiffs(removed('entry', ...ofWhatIf(workbench, whatIf.id)), removed('whatIf', whatIf));
  return { label: `delete what-if ${whatIf.name}`, diff };
}

const ofWhatIf = (workbench: Workbench, id: WhatIfId): Entry[] =>
  workbench.entries.filter((e) => e.whatIf === id);
