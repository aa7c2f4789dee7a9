import type { Database } from './database';

const kept = new WeakMap<Database, Map<string, unknown>>();

/**
 * A query of a workspace's file that is asked again and again, under a name: to put it in words of SQL and to have it read
 * takes longer than most of the answers, and a page asks some fifty. It goes with the file that it was made for.
 */
export function askedAgain<Query>(db: Database, name: string, prepare: () => Query): Query {
  const queries = kept.get(db) ?? new Map<string, unknown>();
  kept.set(db, queries);
  const known = queries.get(name) as Query | undefined;
  if (known !== undefined) return known;
  const made = prepare();
  queries.set(name, made);
  return made;
}
