import { sql } from 'drizzle-orm';
import { check, type AnySQLiteColumn } from 'drizzle-orm/sqlite-core';

type Columns = Readonly<Record<string, AnySQLiteColumn>>;

/** Laws of some records that the database keeps too. */
export function boundsOf(type: string, t: Columns) {
  switch (type) {
    case 'entry':
      return [
        check('entries_state', sql`${t.state} in ('planned', 'done')`),
        check('entries_what_if_is_planned', sql`${t.whatIf} is null or ${t.state} = 'planned'`),
      ];
    case 'countLine':
      return [
        check(
          'count_lines_sum',
          sql`${t.there} >= 0 and ${t.broken} >= 0 and ${t.there} + ${t.broken} <= ${t.expected}`,
        ),
      ];
    default:
      return [];
  }
}
