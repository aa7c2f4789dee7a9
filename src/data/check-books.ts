import { sql } from 'drizzle-orm';
import { elementSchema, recordSchema } from '@/core/formats/record-schemas';
import {
  entryFault,
  RECORD_TYPES,
  upgradeDiff,
  zoneTreeFault,
  type Diff,
  type Entry,
  type RecordType,
} from '@/core/ledger';
import { leftInClosed } from './accounts';
import { readCatalogue, readSetLots } from './catalogue';
import type { Database } from './database';
import { readRecords } from './records';

/** Which law a workspace breaks, and where. */
export interface BooksFault {
  readonly law: 'shape' | 'entry' | 'overdrawn' | 'zones' | 'history' | 'accounts' | 'actions';
  readonly where: string;
}

/**
 * The first law of the ledger that the records of a workspace break, or undefined: every record in its shape, every
 * entry lawful by itself, no real place below nothing, zones a tree, every movement as the last action on it left it.
 * `onStep` is told of the progress, from 0 to 1.
 */
export function booksFault(db: Database, onStep: (share: number) => void = () => {}): BooksFault | undefined {
  for (const [i, type] of RECORD_TYPES.entries()) {
    onStep((0.6 * i) / RECORD_TYPES.length);
    const fault = shapeFault(db, type);
    if (fault) return fault;
  }
  onStep(0.6);
  return (
    catalogueFault(db) ?? entriesFault(db) ?? zonesFault(db) ?? overdrawnFault(db) ?? historyFault(db, onStep)
  );
}

function shapeFault(db: Database, type: RecordType): BooksFault | undefined {
  const schema = recordSchema(type);
  for (const record of readRecords(db, type)) {
    if (type === 'entry' && (record as Entry).movements.length === 0)
      return { law: 'entry', where: `entry ${record.id} moves nothing` };
    const read = schema.safeParse(record);
    if (!read.success)
      return { law: 'shape', where: `${type} ${record.id}, ${read.error.issues[0]?.path.join('.') ?? ''}` };
  }
  return undefined;
}

/** What is beside the records and is shown as parts: the sets of the catalogue. */
function catalogueFault(db: Database): BooksFault | undefined {
  for (const { code } of readCatalogue(db))
    for (const { element, qty } of readSetLots(db, code))
      if (!elementSchema.safeParse(element).success || !Number.isSafeInteger(qty) || qty < 1)
        return { law: 'shape', where: `set ${code}, ${element}` };
  return undefined;
}

function entriesFault(db: Database): BooksFault | undefined {
  for (const e of readRecords(db, 'entry')) {
    const fault = entryFault(e);
    if (fault) return { law: 'entry', where: `entry ${e.id}: ${fault.fault}` };
  }
  return undefined;
}

function zonesFault(db: Database): BooksFault | undefined {
  for (const { id } of readRecords(db, 'build')) {
    const fault = zoneTreeFault(readRecords(db, 'zone', id));
    if (fault) return { law: 'zones', where: `build ${id}: ${fault.fault}` };
  }
  const strange = db.get<{ entry: string } | undefined>(sql`
    select e.id as entry from movements m join entries e on e.id = m.entry
      join accounts a on a.id in (m.from_account, m.to_account) join zones z on z.id = a.zone
      where z.build is not e.build limit 1`);
  if (strange) return { law: 'accounts', where: `entry ${strange.entry} moves pieces of another build` };
  const left = leftInClosed(db);
  return left && { law: 'accounts', where: `${left.element} lies in ${left.account}, which is closed` };
}

function overdrawnFault(db: Database): BooksFault | undefined {
  const row = db.get<{ account: string; element: string } | undefined>(sql`
    select account, element from (
      select m.to_account as account, m.element, m.grade, m.qty from movements m join entries e on e.id = m.entry
        where e.state = 'done'
      union all
      select m.from_account, m.element, m.grade, -m.qty from movements m join entries e on e.id = m.entry
        where e.state = 'done'
    ) where account <> 'outside' and account <> 'own' and account not glob 'own:*'
        and account not glob 'shipped:*'
      group by account, element, grade having sum(qty) < 0 limit 1`);
  return row && { law: 'overdrawn', where: `${row.element} in ${row.account}` };
}

interface Step {
  readonly direction: string;
  readonly diff: string;
}

/**
 * Plays the kept actions forward and holds what they leave of every entry against the entry: a movement that was taken
 * out or changed behind the program's back shows here. Entries that no kept action touches are taken as they are.
 */
function historyFault(db: Database, onStep: (share: number) => void): BooksFault | undefined {
  const told = new Map<string, Entry | null>();
  const steps = db.all<Step>(sql`
    select c.direction, a.diff from changes c join actions a on a.id = c.action order by c.revision`);
  for (const [i, { direction, diff: text }] of steps.entries()) {
    if (i % 500 === 0) onStep(0.7 + (0.3 * i) / steps.length);
    let diff: Diff;
    try {
      diff = upgradeDiff(JSON.parse(text) as Diff);
      const back = direction === 'undo';
      for (const r of back ? diff.added : diff.removed) if (r.type === 'entry') told.set(r.record.id, null);
      for (const r of back ? diff.removed : diff.added)
        if (r.type === 'entry') told.set(r.record.id, r.record);
      for (const c of diff.changed) if (c.type === 'entry') told.set(c.from.id, back ? c.from : c.to);
    } catch {
      return { law: 'actions', where: `action ${i + 1} of the history` };
    }
  }
  for (const e of readRecords(db, 'entry')) {
    const last = told.get(e.id);
    if (last === null || (last && movementsOf(last) !== movementsOf(e)))
      return { law: 'history', where: `entry ${e.id} is not as it was logged` };
    told.delete(e.id);
  }
  for (const [id, last] of told) if (last) return { law: 'history', where: `entry ${id} is missing` };
  return undefined;
}

const movementsOf = (e: Entry): string =>
  JSON.stringify(e.movements.map((m) => [m.element, m.grade, m.qty, m.from, m.to, m.worth]));
