import { removed, written, type Command } from '../../ledger';
import type { Weighed } from '../../records';
import type { Workbench } from '../../workbench';

/** Keeps what pieces of a part weighed: from then on it stands in place of what its size says. */
export const keepWeighed = (workbench: Workbench, weighed: Weighed): Command => ({
  label: `weigh ${weighed.id}`,
  diff: written('weighed', workbench.records.weighed.get(weighed.id), weighed),
});

export const deleteWeighed = (weighed: Weighed): Command => ({
  label: `go by the size of ${weighed.id} again`,
  diff: removed('weighed', weighed),
});
