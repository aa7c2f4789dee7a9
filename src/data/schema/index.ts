export { RECORD_TABLES, recordTable, type RecordTable } from './record-tables';
export * from './accounts';
export * from './movements';
export * from './photos';
export * from './hidden-truths';
export * from './catalogue';
export * from './actions';
export * from './buying-plans';
export * from './build-summaries';
