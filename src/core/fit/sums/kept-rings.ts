import { removed, written, type Command, type Source } from '../../ledger';
import type { Ring } from '../../records';
import { asId, type RingId } from '../../shared/ids';
import type { Workbench } from '../../workbench';

/** A ring to begin from: eight panels of four studs. */
export const newRing = (workbench: Workbench, source: Source): Ring => ({
  id: asId<RingId>(source.newId()),
  build: workbench.build,
  name: 'Ring',
  panels: 8,
  length: 4,
  thick: 1,
});

export const keepRing = (workbench: Workbench, ring: Ring): Command => ({
  label: `keep ${ring.name}`,
  diff: written('ring', workbench.records.ring.get(ring.id), ring),
});

export const deleteRing = (ring: Ring): Command => ({
  label: `delete ${ring.name}`,
  diff: removed('ring', ring),
});
