/** What the database would not do, told from the errors that its driver throws. */
export type DataFault =
  | { readonly fault: 'busy' }
  | { readonly fault: 'no space' }
  | { readonly fault: 'read-only' }
  | { readonly fault: 'damaged' }
  | { readonly fault: 'not allowed' }
  | { readonly fault: 'constraint'; readonly kind: ConstraintKind; readonly of: string };

export type ConstraintKind = 'unique' | 'check' | 'not null' | 'foreign key' | 'type';

const KINDS: Readonly<Record<string, ConstraintKind>> = {
  SQLITE_CONSTRAINT_UNIQUE: 'unique',
  SQLITE_CONSTRAINT_PRIMARYKEY: 'unique',
  SQLITE_CONSTRAINT_ROWID: 'unique',
  SQLITE_CONSTRAINT_CHECK: 'check',
  SQLITE_CONSTRAINT_NOTNULL: 'not null',
  SQLITE_CONSTRAINT_FOREIGNKEY: 'foreign key',
  SQLITE_CONSTRAINT_DATATYPE: 'type',
};

const SYSTEM: Readonly<Record<string, DataFault['fault']>> = {
  ENOSPC: 'no space',
  EDQUOT: 'no space',
  EROFS: 'read-only',
  EACCES: 'not allowed',
  EPERM: 'not allowed',
  // Something that is no folder stands where the folder should be.
  ENOTDIR: 'not allowed',
  EEXIST: 'not allowed',
};

/** A file, or the memory beside it, that could not be made larger: what a full disk comes to. */
const WRITING = /^SQLITE_IOERR_(?:WRITE|FSYNC|DIR_FSYNC|TRUNCATE|SHMSIZE|SHMOPEN|SHMMAP)$/;

/** The fault behind an error of SQLite or of the file system; undefined for any other error. */
export function dataFaultOf(error: unknown): DataFault | undefined {
  if (!(error instanceof Error) || !('code' in error) || typeof error.code !== 'string') return undefined;
  const { code } = error;
  const kind = KINDS[code];
  if (kind) return { fault: 'constraint', kind, of: constraintName(error.message) };
  if (code.startsWith('SQLITE_BUSY') || code.startsWith('SQLITE_LOCKED')) return { fault: 'busy' };
  if (code === 'SQLITE_FULL' || WRITING.test(code)) return { fault: 'no space' };
  if (code.startsWith('SQLITE_IOERR')) return { fault: 'damaged' };
  if (code.startsWith('SQLITE_READONLY')) return { fault: 'read-only' };
  if (code.startsWith('SQLITE_CORRUPT') || code === 'SQLITE_NOTADB') return { fault: 'damaged' };
  if (code.startsWith('SQLITE_CANTOPEN') || code === 'SQLITE_PERM') return { fault: 'not allowed' };
  const system = SYSTEM[code];
  return system && ({ fault: system } as DataFault);
}

/** "UNIQUE constraint failed: count_lines.copy, count_lines.zone" names its columns, a check its own name. */
const constraintName = (message: string): string => message.slice(message.indexOf(':') + 1).trim();
