import Sqlite from 'better-sqlite3';
import type { Trouble } from '@/core/shared/trouble';
import type { MigrationMeta } from 'drizzle-orm/migrator';
import { MIGRATIONS, shippedMigrations } from './migrations';

/** Where the migrator writes which migrations a database has had. */
const HISTORY = '__drizzle_migrations';

const HISTORY_MADE =
  /^CREATE TABLE "?__drizzle_migrations"? ?\( ?id SERIAL PRIMARY KEY, hash text NOT NULL, created_at numeric ?\)$/i;

interface SchemaObject {
  readonly type: string;
  readonly name: string;
  readonly sql: string;
}

/** Fingerprints of the migrations that a database has had, in order. Asks nothing of a table that is not plain. */
export function appliedMigrations(sqlite: Sqlite.Database): string[] {
  const plain = sqlite
    .prepare("SELECT sql FROM sqlite_master WHERE name = ? AND type = 'table'")
    .get(HISTORY) as { sql: string } | undefined;
  if (!plain || !HISTORY_MADE.test(plain.sql.replace(/\s+/g, ' '))) return [];
  return (
    sqlite.prepare(`SELECT hash FROM ${HISTORY} ORDER BY created_at LIMIT 10000`).all() as { hash: string }[]
  ).map((r) => r.hash);
}

/**
 * Whether a database is made as its migrations make one: the same tables with the same columns, bounds and references,
 * the same indexes, and nothing else, no view or trigger that would run by itself. Undefined when it is. Only the
 * list of what there is gets read, and no table's rows but those of the migrations.
 */
export function schemaFault(sqlite: Sqlite.Database, migrations = MIGRATIONS): Trouble | undefined {
  const own = objectsOf(sqlite);
  const live = sqlite
    .prepare("SELECT type, name FROM sqlite_master WHERE type NOT IN ('table', 'index')")
    .get() as SchemaObject | undefined;
  if (live) return { trouble: 'not as made', what: `it has a ${live.type} called ${shown(live.name)}` };
  const shipped = shippedMigrations(migrations);
  const had = appliedMigrations(sqlite);
  const same = shipped.every((m, i) => i >= had.length || m.hash === had[i]);
  if (!same) return { trouble: 'not as made', what: 'its history is not this program’s' };
  if (had.length > shipped.length) return { trouble: 'newer program' };
  if (had.length === 0 && own.length === 0) return undefined;
  if (had.length === 0) return { trouble: 'not as made', what: 'it does not say which version it is' };
  const wanted = schemaAfter(shipped.slice(0, had.length));
  const rest = new Map(own.filter((o) => o.name !== HISTORY).map((o) => [o.name, o]));
  for (const w of wanted) {
    const found = rest.get(w.name);
    if (!found) return { trouble: 'not as made', what: `it has no ${w.type} ${w.name}` };
    if (found.type !== w.type || found.sql !== w.sql)
      return { trouble: 'not as made', what: `its ${w.type} ${w.name} has other columns or bounds` };
    rest.delete(w.name);
  }
  const [more] = rest.values();
  return (
    more && { trouble: 'not as made', what: `it has a ${more.type} ${shown(more.name)} that is not Evarn’s` }
  );
}

/** A name out of a foreign file, short enough for a sentence. */
const shown = (name: string): string => `“${name.slice(0, 40).replace(/[^\w -]/g, '?')}”`;

const objectsOf = (sqlite: Sqlite.Database): SchemaObject[] =>
  (
    sqlite
      .prepare(
        "SELECT type, name, coalesce(sql, '') AS sql FROM sqlite_master WHERE name NOT LIKE 'sqlite\\_%' ESCAPE '\\' LIMIT 2000",
      )
      .all() as SchemaObject[]
  ).map((o) => ({ ...o, sql: o.sql.replace(/\s+/g, ' ').trim() }));

/** What databases hold, by the fingerprints of their migrations: these ship with the program and stay as they are. */
const known = new Map<string, readonly SchemaObject[]>();

/** What a database holds after some migrations, found out by running them on an empty one. */
function schemaAfter(migrations: readonly MigrationMeta[]): readonly SchemaObject[] {
  const key = migrations.map((m) => m.hash).join();
  const before = known.get(key);
  if (before) return before;
  const sqlite = new Sqlite(':memory:');
  try {
    sqlite.pragma('foreign_keys = OFF');
    for (const s of migrations.flatMap((m) => m.sql)) sqlite.exec(s);
    const objects = objectsOf(sqlite);
    known.set(key, objects);
    return objects;
  } finally {
    sqlite.close();
  }
}
