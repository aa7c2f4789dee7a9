import { changed, type Build, type Command } from '../ledger';

/** Changes a build's name and note. */
export const renameBuild = (build: Build, to: Pick<Build, 'name' | 'note'>): Command => ({
  label: 'rename the build',
  diff: changed('build', build, to),
});

/** Puts a build into the archive, or takes it out. */
export const archiveBuild = (build: Build, archived: boolean): Command => ({
  label: archived ? 'put into the archive' : 'take from the archive',
  diff: changed('build', build, { archived }),
});
