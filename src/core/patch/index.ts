export {
  coloursOf,
  joinsOf,
  netOf,
  PATCH,
  PATCH_SCHEMA,
  patchSchema,
  reversePatch,
  sizeOfPatch,
} from './patch';
export type { Net, Patch, PatchLine, PatchLot } from './patch';
export { patchOf, pathKey, zonesByPath } from './patch-of';
export type { PatchChoice } from './patch-of';
export { fitPatch, LINE_CHOICES } from './dry-run';
export type {
  Fitted,
  FittedLine,
  FittedZone,
  LineChoice,
  LineState,
  PatchChoices,
  PatchConflict,
  Taken,
} from './dry-run';
export { dryRun } from './apply-patch';
export type { DryRun, ToGet } from './apply-patch';
export { comparePatch } from './compare';
export type { Compared } from './compare';
export { readPatch } from './read-patch';
export type { PatchFault } from './read-patch';
