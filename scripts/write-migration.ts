import fs from 'node:fs';
import { generateSQLiteDrizzleJson, generateSQLiteMigration } from 'drizzle-kit/api';
import * as schema from '../src/data/schema';

/**
 * Writes a migration from the tables that the last one left to those of today, which follow from the definitions of the
 * records. Asks when a table or a column may have got another name. Read what it wrote: it moves no data by itself.
 */
const name = process.argv[2];
if (!name || !/^[a-z0-9_]+$/.test(name))
  throw new Error('say what it does: npm run db:generate -- trays_have_a_photo');

interface Journal {
  readonly entries: { idx: number; version: string; when: number; tag: string; breakpoints: boolean }[];
}
const JOURNAL = 'drizzle/meta/_journal.json';
const journal = JSON.parse(fs.readFileSync(JOURNAL, 'utf8')) as Journal;
const idx = journal.entries.length;
const padded = (n: number): string => String(n).padStart(4, '0');
const snapshotFile = (n: number): string => `drizzle/meta/${padded(n)}_snapshot.json`;
const before = JSON.parse(fs.readFileSync(snapshotFile(idx - 1), 'utf8')) as { id: string };

const tables = { ...schema, ...Object.fromEntries(schema.RECORD_TABLES) };
const now = await generateSQLiteDrizzleJson(tables, before.id, 'snake_case');
const statements = process.argv.includes('--by-hand')
  ? []
  : await generateSQLiteMigration(before as never, now);
const tag = `${padded(idx)}_${name}`;
journal.entries.push({ idx, version: '6', when: Date.now(), tag, breakpoints: true });
fs.writeFileSync(snapshotFile(idx), `${JSON.stringify(now, null, 2)}\n`);
fs.writeFileSync(JOURNAL, JSON.stringify(journal, null, 2));
fs.writeFileSync(`drizzle/${tag}.sql`, statements.join('--> statement-breakpoint\n'));
console.log(`drizzle/${tag}.sql, ${statements.length} statements`);
