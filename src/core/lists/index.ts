export { BUILD_LISTS } from './build-lists';
export { BUILD_LIST_NAMES } from './titles';
export type { BuildListName } from './titles';
export { printedTable } from './list';
export type { List } from './list';
