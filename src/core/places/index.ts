export * from './accounts';
export * from './grades';
export {
  ENTRY_KINDS,
  ENTRY_KIND_NAMES,
  LOGGED_KINDS,
  routeAllowed,
  STOCK_KINDS,
  WHYS,
  type EntryKind,
  type KindRule,
  type LoggedKind,
  type Why,
} from './entry-kinds';
