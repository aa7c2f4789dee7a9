export * from './builds';
export * from './stock';
export * from './survey';
export * from './ledger';
export * from './catalogue';
export * from './actions';
export * from './make-ups';
