import Sqlite from 'better-sqlite3';
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import fs from 'node:fs';
import path from 'node:path';
import type { Trouble } from '@/core/shared/trouble';
import { appliedMigrations, schemaFault } from './check-schema';
import { MIGRATIONS, shippedMigrations } from './migrations';
import * as schema from './schema';

/** A workspace's database. Inside `inTransaction` the same type stands for the transaction. */
export type Database = BetterSQLite3Database<typeof schema>;

export interface Handle {
  readonly db: Database;
  readonly sqlite: Sqlite.Database;
  readonly file: string;
}

/** The folder that holds the workspace: EVARN_DATA, or ./data/workspace. */
export const dataFolder = (): string => path.resolve(process.env.EVARN_DATA ?? 'data/workspace');

/** The folder that is none: all is kept in memory. */
const IN_MEMORY = ':memory:';

/** The name of the workspace's file in its folder. */
export const WORKSPACE_FILE = 'evarn.sqlite';

/**
 * Opens a workspace's file, making it when it is not there: WAL, full sync, foreign keys, and migrations, before which
 * an existing file is copied to backups/. A folder of ":memory:" keeps everything in memory, for tests.
 */
export function openDatabase(folder: string, now: Date, migrations = MIGRATIONS): Handle {
  if (folder === IN_MEMORY) return openInMemory(migrations);
  fs.mkdirSync(path.join(folder, 'backups'), { recursive: true });
  return openFile(path.join(folder, WORKSPACE_FILE), migrations, (sqlite) => {
    if (appliedMigrations(sqlite).length > 0)
      copyTo(sqlite, path.join(folder, 'backups', `before-migration-${stampOf(now)}.sqlite`));
  });
}

/** Empty databases that went through all migrations, by the folder of these: a test has another one at once. */
const empty = new Map<string, Buffer>();

function openInMemory(migrations: string): Handle {
  const known = empty.get(migrations);
  if (known) return { ...ready(new Sqlite(known), migrations), file: IN_MEMORY };
  const handle = openFile(IN_MEMORY, migrations);
  empty.set(migrations, handle.sqlite.serialize());
  return handle;
}

/** Opens one database file and brings it to this program's version; `before` is called before it is changed. */
export function openFile(
  file: string,
  migrations = MIGRATIONS,
  before: (sqlite: Sqlite.Database) => void = () => {},
): Handle {
  return { ...ready(new Sqlite(file, { timeout: 0 }), migrations, before), file };
}

/** A database with its pragmas set and its migrations done; closed again where that fails. */
function ready(
  sqlite: Sqlite.Database,
  migrations: string,
  before: (sqlite: Sqlite.Database) => void = () => {},
): Pick<Handle, 'db' | 'sqlite'> {
  try {
    sqlite.pragma('journal_mode = WAL');
    sqlite.pragma('synchronous = FULL');
    const db = drizzle(sqlite, { schema, casing: 'snake_case' });
    if (shippedMigrations(migrations).length > appliedMigrations(sqlite).length) {
      before(sqlite);
      // A table is made anew by being dropped: what refers to it is checked when all is done.
      sqlite.pragma('foreign_keys = OFF');
      migrate(db, { migrationsFolder: migrations });
      const [broken] = sqlite.pragma('foreign_key_check') as unknown[];
      if (broken) throw new Error(`a migration left a reference to nothing: ${JSON.stringify(broken)}`);
    }
    sqlite.pragma('foreign_keys = ON');
    return { db, sqlite };
  } catch (error) {
    sqlite.close();
    throw error;
  }
}

/** What keeps the workspace in a folder from being opened, looked at without changing it; undefined for a new one. */
export function openFault(folder: string): Trouble | undefined {
  const file = path.join(folder, WORKSPACE_FILE);
  fs.accessSync(folder, fs.constants.W_OK | fs.constants.R_OK);
  if (!fs.existsSync(file) || fs.statSync(file).size === 0) return undefined;
  fs.accessSync(file, fs.constants.W_OK | fs.constants.R_OK);
  // Not read-only: a log left by a crash is carried over by opening, and that must be able to write.
  const sqlite = new Sqlite(file, { timeout: 0 });
  try {
    const fault = schemaFault(sqlite);
    if (fault) return fault;
    return sqlite.pragma('quick_check', { simple: true }) === 'ok' ? undefined : { trouble: 'damaged' };
  } finally {
    sqlite.close();
  }
}

/** "20261124-093000-123": sorts by time and is safe in a file's name. */
export const stampOf = (now: Date): string =>
  now.toISOString().replace(/[-:]/g, '').replace('T', '-').replace('.', '-').replace('Z', '');

/** Writes a whole, consistent copy of the database to a new file. */
export function copyTo(sqlite: Sqlite.Database, file: string): void {
  sqlite.prepare('VACUUM INTO ?').run(file);
}

/** Runs `work` in one write transaction: all of it is kept, or, when it throws, none. */
export function inTransaction<T>({ sqlite }: Handle, work: () => T): T {
  const run = sqlite.transaction(() => {
    sqlite.pragma('defer_foreign_keys = ON');
    return work();
  });
  return run.immediate();
}
