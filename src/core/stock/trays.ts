import { added, changed, type Command, type Source, type Tray } from '../ledger';
import { asId, type TrayId } from '../shared/ids';

/** Adds a tray as the last. */
export function addTray(trays: readonly Tray[], name: string, source: Source): Command {
  const position = Math.max(0, ...trays.map((t) => t.position)) + 1;
  const tray: Tray = { id: asId<TrayId>(source.newId()), name, place: '', position };
  return { label: `add tray ${name}`, diff: added('tray', tray) };
}

/** Gives a tray another name or place. An empty name leaves it the one it has. */
export const renameTray = (tray: Tray, to: Pick<Tray, 'name' | 'place'>): Command => ({
  label: `rename tray ${tray.name}`,
  diff: changed('tray', tray, { name: to.name || tray.name, place: to.place }),
});
