import { readMigrationFiles, type MigrationMeta } from 'drizzle-orm/migrator';
import path from 'node:path';

/** Where the migrations lie that ship with the program. */
export const MIGRATIONS = path.join(/* turbopackIgnore: true */ process.cwd(), 'drizzle');

/** The migrations in a folder, in order, with the fingerprint by which a database names those that it has had. */
export const shippedMigrations = (folder = MIGRATIONS): MigrationMeta[] =>
  readMigrationFiles({ migrationsFolder: folder });
