import fs from 'node:fs';
import path from 'node:path';
import { dryRun, patchOf } from '../core/patch';
import { changeStage, keepTold, nameStage, stagesOf, standsAt, toldOf, unpackedAt } from '../core/show';
import { addStorey, changeStreet, newStreet } from '../core/together';
import { keepModSheet, modSheetOf } from '../core/mod-sheet';
import type { BuildId } from '../core/shared/ids';
import { storePhoto } from '../data/photos';
import type { Handle } from '../data/database';
import { Stater } from './stater';

type Clock = () => Date;

/** The corners of the house's base on each photo. */
const PHOTOS = [
  ['demo-photo-house-1', 'house-1.webp', [0.1875, 0.8028], [0.8125, 0.8028]],
  ['demo-photo-house-2', 'house-2.webp', [0.2164, 0.81], [0.8223, 0.7818]],
  ['demo-photo-house-3', 'house-3.webp', [0.1663, 0.8191], [0.8036, 0.8413]],
] as const;

/** The house as it is shown: three stages with photos, what is told of its zones, and the sheet that others get. */
export function showHouse(
  handle: Handle,
  build: BuildId | undefined,
  newId: () => string,
  clock: Clock,
): void {
  if (!build) throw new Error('showing needs a build');
  const s = new Stater(handle, build, newId, clock);
  const evened = s.workbench().modifications.find((m) => m.title === 'Even out the stonework');
  const colours = s
    .workbench()
    .entriesIn(evened!.id)
    .reduce((most, e) => (e.state === 'done' ? Math.max(most, e.no) : most), 0);
  const card = s.workbench().records.inspectionCard.get(build);
  const [found, built] = [card?.found ?? null, card?.built ?? null];
  const moments = [
    { name: 'As shipped', no: unpackedAt(s.workbench()), size: found },
    { name: 'Colours put right', no: colours, size: found },
    { name: 'Fully dressed', no: standsAt(s.workbench()), size: built },
  ];
  for (const m of moments) s.act(nameStage(s.workbench(), m, s.source()));
  for (const [i, [id, file, one, other]] of PHOTOS.entries()) {
    const bytes = fs.readFileSync(path.join(process.cwd(), 'public/demo', file));
    storePhoto(handle.db, { id, build, width: 960, height: 720, bytes });
    const at = ([x, y]: readonly [number, number]) => ({ x, y });
    s.act(changeStage(stagesOf(s.workbench())[i]!, { photo: id, marks: [at(one), at(other)] }));
  }
  const tell = (zone: string, was: string, is: string) =>
    s.act(keepTold(s.workbench(), { ...toldOf(s.workbench(), s.zone(zone)), was, is }));
  tell('Tower foot', 'Three greys by chance.', 'One grey below, a lighter one above.');
  tell('Gallery', 'Bare grey tiles.', 'Planked, with a rail one can lean on.');
  tell('Quay', 'A stair that ended in the air.', 'The stair goes down to a boathouse with two doors.');
  s.act(
    keepModSheet(s.workbench(), {
      ...modSheetOf(s.workbench()),
      author: 'the keeper of the demo',
      lead: 'A lighthouse that one can live in, and come home to by boat.',
      thanks: 'To Wren, who said that a quay needs a boat.',
    }),
  );
}

/** A street on a table: the house with its garden beside it; and the storeys that it stands in, with one that is an idea. */
export function streetOfHouse(
  handle: Handle,
  house: BuildId | undefined,
  others: readonly (BuildId | undefined)[],
  newId: () => string,
  clock: Clock,
): void {
  if (!house) throw new Error('a street needs a house');
  const s = new Stater(handle, house, newId, clock);
  s.act(newStreet('Harbour row', s.source()));
  const street = [...s.workbench().records.street.values()][0]!;
  const places = [house, ...others].flatMap((build, i) =>
    build ? [{ build, x: i * 40, y: 4, turned: false }] : [],
  );
  s.act(changeStreet(street, { width: 128, depth: 48, places }));
  const note = (name: string, more: object) => s.act(addStorey(s.workbench(), { name, ...more }, s.source()));
  note('Quay', { zone: s.zone('Quay'), rule: 'at the bottom', state: 'stands' });
  note('Tower', { zone: s.zone('Tower'), state: 'stands' });
  note('Gallery', { zone: s.zone('Gallery'), state: 'stands' });
  note('Lamp room', { zone: s.zone('Lamp room'), rule: 'on top', state: 'stands' });
  note('A storey with a workshop', { rule: 'once only', state: 'idea' });
}

/** A second-hand copy of the house that lacks parts, and to which the house's patch was applied as far as it fits. */
export function patchSecondHand(
  handle: Handle,
  house: BuildId | undefined,
  copy: BuildId | undefined,
  newId: () => string,
  clock: Clock,
): void {
  if (!house || !copy) throw new Error('a patch needs two builds');
  const patch = patchOf(new Stater(handle, house, newId, clock).workbench(), { planned: true });
  const s = new Stater(handle, copy, newId, clock);
  s.act(dryRun(s.workbench(), patch, {}, s.source()).command);
}
