import Sqlite from 'better-sqlite3';
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import fs from 'node:fs';
import path from 'node:path';
import * as schema from './schema';

/** A workspace's database. Inside `inTransaction` the same type stands for the transaction. */
export type Database = BetterSQLite3Database<typeof schema>;

export interface Handle {
  readonly db: Database;
  readonly sqlite: Sqlite.Database;
  readonly file: string;
}

const MIGRATIONS = path.join(/* turbopackIgnore: true */ process.cwd(), 'drizzle');

/** The folder that holds the workspace: EVARN_DATA, or ./data/workspace. */
export const dataFolder = (): string => path.resolve(process.env.EVARN_DATA ?? 'data/workspace');

/**
 * Opens a workspace's file, making it when it is not there: WAL, full sync, foreign keys, and migrations, before which
 * an existing file is copied to backups/. A folder of ":memory:" keeps everything in memory, for tests.
 */
export function openDatabase(folder: string, now: Date, migrations = MIGRATIONS): Handle {
  const inMemory = folder === ':memory:';
  const file = inMemory ? folder : path.join(folder, 'evarn.sqlite');
  if (!inMemory) fs.mkdirSync(path.join(folder, 'backups'), { recursive: true });
  const sqlite = new Sqlite(file);
  sqlite.pragma('journal_mode = WAL');
  sqlite.pragma('synchronous = FULL');
  sqlite.pragma('foreign_keys = ON');
  sqlite.pragma('busy_timeout = 5000');
  if (!inMemory && hasWork(sqlite) && pendingMigrations(sqlite, migrations) > 0)
    copyTo(sqlite, path.join(folder, 'backups', `before-migration-${stampOf(now)}.sqlite`));
  const db = drizzle(sqlite, { schema, casing: 'snake_case' });
  migrate(db, { migrationsFolder: migrations });
  return { db, sqlite, file };
}

/** "20261124-093000-123": sorts by time and is safe in a file's name. */
export const stampOf = (now: Date): string =>
  now.toISOString().replace(/[-:]/g, '').replace('T', '-').replace('.', '-').replace('Z', '');

/** Writes a whole, consistent copy of the database to a new file. */
export function copyTo(sqlite: Sqlite.Database, file: string): void {
  sqlite.prepare('VACUUM INTO ?').run(file);
}

const hasTable = (sqlite: Sqlite.Database, name: string): boolean =>
  sqlite.prepare("SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = ?").get(name) !== undefined;

const hasWork = (sqlite: Sqlite.Database): boolean => hasTable(sqlite, 'builds');

/** How many of the shipped migrations this file has not had yet. Below zero: the file is newer than this program. */
export function pendingMigrations(sqlite: Sqlite.Database, migrations = MIGRATIONS): number {
  const journal = JSON.parse(fs.readFileSync(path.join(migrations, 'meta/_journal.json'), 'utf8')) as {
    entries: unknown[];
  };
  if (!hasTable(sqlite, '__drizzle_migrations')) return journal.entries.length;
  const { n } = sqlite.prepare('SELECT count(*) AS n FROM __drizzle_migrations').get() as { n: number };
  return journal.entries.length - n;
}

/** Runs `work` in one write transaction: all of it is kept, or, when it throws, none. */
export function inTransaction<T>({ sqlite }: Handle, work: () => T): T {
  const run = sqlite.transaction(() => {
    sqlite.pragma('defer_foreign_keys = ON');
    return work();
  });
  return run.immediate();
}
