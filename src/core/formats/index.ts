export { actionSchema } from './record-schemas';
export { readDelimited, TableBuilder } from './table';
export { typedTable } from './typed-lines';
export type { RawTable, TableFault } from './table';
export { COLUMN_ROLES, guessColumns, headingKey, PURPOSES, ROLES_FOR } from './columns';
export type { ColumnRole, Purpose } from './columns';
export { aliasKey, readRows } from './rows';
export type { ReadRow, RowContext, RowFault, RowNote } from './rows';
export {
  cameFromTable,
  inventoryTable,
  INVENTORY_COLUMNS,
  sparesTable,
  SPARES_COLUMNS,
  worklogTable,
  WORKLOG_COLUMNS,
  writeCsv,
} from './csv';
export type { FileContext, ListTable } from './csv';
export { modFileDiff, stockEntry } from './mod-file-diff';
export { makeModFile, modFileSchema, readModFile, type ModFileFault } from './mod-file';
export { listOf, type ModFile } from './travelling';
