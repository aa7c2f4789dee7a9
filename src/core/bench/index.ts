export { recordSetOf, recordsOf } from './snapshot';
export type { BuildSnapshot, Turns } from './snapshot';
export { paletteOf, Workbench } from './workbench';
export { readLine, tryIntents } from './read-line';
export type { Effect, LineReading, ReadClause } from './read-line';
export * from './commands';
