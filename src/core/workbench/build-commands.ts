import { changed, joinDiffs, type Build, type Command } from '../ledger';
import type { Copy } from '../records';

/** What a box is to be called, and what was paid for it: 0 = a gift, null = nobody knows. */
export interface BoxWish {
  readonly box: Copy;
  readonly to: Pick<Copy, 'setName' | 'price'>;
}

/** Changes a build's name and note, and its boxes': what was paid for them counts anew in every sum. Null = all is as it was. */
export function changeBuild(
  build: Build,
  to: Pick<Build, 'name' | 'note'>,
  boxes: readonly BoxWish[] = [],
): Command | null {
  const own = to.name === build.name && to.note === build.note ? [] : [changed('build', build, to)];
  const wanted = boxes.filter(({ box, to: b }) => b.setName !== box.setName || b.price !== box.price);
  const [first] = wanted;
  if (own.length === 0 && !first) return null;
  const boxWords = wanted.length > 1 ? `${wanted.length} boxes` : `the box ${first?.to.setName}`;
  const label = own.length > 0 ? 'rename the build' : `change ${boxWords}`;
  return { label, diff: joinDiffs(...own, ...wanted.map(({ box, to: b }) => changed('copy', box, b))) };
}

/** Puts a build into the archive, or takes it out. */
export const archiveBuild = (build: Build, archived: boolean): Command => ({
  label: archived ? 'put into the archive' : 'take from the archive',
  diff: changed('build', build, { archived }),
});
