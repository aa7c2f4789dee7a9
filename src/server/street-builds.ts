import { mainColoursOf } from '@/core/brief';
import { plannedSize } from '@/core/fit';
import { takeTally } from '@/core/ledger';
import { elementName, partOf, splitElementKey } from '@/core/parts';
import { asId, type BuildId } from '@/core/shared/ids';
import { piecesOn } from '@/core/workbench';
import type { StreetBuild } from '@/core/together';
import type { Handle } from '@/data/database';
import { openWorkbench } from './snapshot';

/** No street that fits a room is longer. */
export const MOST_ON_STREET = 60;

/** Builds as a street sees them, as planned; those that are gone are left out. */
export function streetBuilds(handle: Handle, builds: readonly string[]): StreetBuild[] {
  return [...new Set(builds)].slice(0, MOST_ON_STREET).flatMap((id): StreetBuild[] => {
    const build = asId<BuildId>(id);
    const workbench = openWorkbench(handle, build);
    const name = workbench?.records.build.get(build)?.name;
    if (!workbench || !name) return [];
    const { figures } = takeTally(workbench.planned, { of: 'build' }, workbench.priceOf);
    const marked = [...piecesOn(workbench, workbench.planned).keys()].filter((e) => {
      const { part, print } = splitElementKey(e);
      return print !== '' || partOf(part).family.name === 'figure';
    });
    return [
      {
        ...{ build, name, size: plannedSize(workbench), pieces: figures.onModel },
        ...{ outOfPocket: figures.outOfPocket, unpriced: figures.boughtUnpriced },
        colours: mainColoursOf(workbench),
        marked: marked.slice(0, 200).map(elementName),
      },
    ];
  });
}
