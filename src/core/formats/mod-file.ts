import { z } from 'zod';
import {
  BLANK_ENTRY,
  accountOwner,
  conditionOf,
  grade,
  joinDiffs,
  added,
  OUTSIDE,
  placeOf,
  storesAccount,
  type AccountKey,
  type BalanceRow,
  type Books,
  type Diff,
  type Entry,
  type Movement,
  type RecordSet,
  type RecordTypes,
} from '../ledger';
import { asId, type BuildId, type EntryId, type IdSource, type TrayId, type ZoneId } from '../shared/ids';
import { fail, ok, type Result } from '../shared/result';
import { elementSchema, gradeSchema, LIMITS, recordSchema } from './record-schemas';

/** The name and version that a mod file says it keeps to. */
export const MOD_FILE_SCHEMA = 'evarn-mod/1';

const list = <T extends keyof RecordTypes>(type: T, most: number) => z.array(recordSchema(type)).max(most);

/**
 * A build as one JSON file: everything that belongs to it, and what its entries took from the stores, so that the
 * books come out the same in another workspace.
 */
export const modFileSchema = z.strictObject({
  schema: z.literal(MOD_FILE_SCHEMA),
  build: recordSchema('build'),
  copies: list('copy', 500),
  zones: list('zone', 2000),
  phases: list('phase', 500),
  modifications: list('modification', 5000),
  whatIfs: list('whatIf', 500),
  assemblies: list('assembly', 1000),
  orders: list('order', 2000),
  customColours: list('customColour', 2000),
  surveyCards: list('surveyCard', 1).optional(),
  countLines: list('countLine', 50_000).optional(),
  findings: list('finding', 5000).optional(),
  exposures: list('exposure', 50_000).optional(),
  schemes: list('scheme', 2000).optional(),
  leftSlips: list('leftSlip', 50_000).optional(),
  entries: list('entry', LIMITS.movements),
  stores: z
    .array(
      z.strictObject({
        tray: z.string().min(1).max(LIMITS.id),
        trayName: z.string().max(LIMITS.name),
        element: elementSchema,
        grade: gradeSchema,
        qty: z.int().min(1).max(LIMITS.qty),
      }),
    )
    .max(LIMITS.movements),
});
export type ModFile = z.infer<typeof modFileSchema>;

export type ModFileFault =
  | { readonly fault: 'not json' }
  | { readonly fault: 'not a mod file' }
  | { readonly fault: 'newer version'; readonly version: string }
  | { readonly fault: 'shape'; readonly where: string; readonly says: string };

/** Makes the mod file of a build from its records and its books as planned. */
export function makeModFile(records: RecordSet, build: BuildId, planned: Books): ModFile {
  const found = records.build.get(build);
  if (!found) throw new Error(`no build ${build}`);
  const all = <T extends keyof RecordTypes>(type: T): RecordTypes[T][] => [...records[type].values()];
  const entries = all('entry').filter((e) => e.build === build);
  const used = new Set(entries.flatMap((e) => e.movements.map((m) => m.element.split('|')[1])));
  return {
    schema: MOD_FILE_SCHEMA,
    build: found,
    copies: all('copy'),
    zones: all('zone'),
    phases: all('phase'),
    modifications: all('modification'),
    whatIfs: all('whatIf'),
    assemblies: all('assembly'),
    orders: all('order'),
    customColours: all('customColour').filter((c) => used.has(c.id)),
    surveyCards: all('surveyCard'),
    countLines: all('countLine'),
    // A photo stays in its workspace: the file would be many times as large with it.
    findings: all('finding').map((f) => ({ ...f, photo: null })),
    exposures: all('exposure'),
    schemes: all('scheme'),
    leftSlips: all('leftSlip'),
    entries,
    stores: storesTaken(entries, planned, new Map(all('tray').map((t) => [t.id, t.name]))),
  };
}

/** What the entries took from each tray and the tray really had: a plan that overdraws stays a need. */
function storesTaken(
  entries: readonly Entry[],
  planned: Books,
  trays: ReadonlyMap<string, string>,
): ModFile['stores'] {
  const taken = new Map<string, BalanceRow>();
  const note = (account: AccountKey, m: Movement, qty: number) => {
    if (placeOf(account) !== 'stores') return;
    const key = `${account}|${m.grade}|${m.element}`;
    const before = taken.get(key)?.qty ?? 0;
    taken.set(key, { account, element: m.element, grade: m.grade, qty: before + qty });
  };
  for (const e of entries)
    for (const m of e.movements) {
      note(m.from, m, m.qty);
      note(m.to, m, -m.qty);
    }
  return [...taken.values()].flatMap((r) => {
    const had = Math.max(0, planned.balances.at(r.account, r.element, r.grade) + r.qty);
    const qty = Math.min(r.qty, had);
    const tray = accountOwner<string>(r.account);
    return qty > 0
      ? [{ tray, trayName: trays.get(tray) ?? 'Tray', element: r.element, grade: r.grade, qty }]
      : [];
  });
}

/** Reads a mod file's text, or says what is wrong with it and where. */
export function readModFile(text: string): Result<ModFile, ModFileFault> {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return fail({ fault: 'not json' });
  }
  const version = typeof json === 'object' && json && 'schema' in json ? String(json.schema) : '';
  if (!version.startsWith('evarn-mod/')) return fail({ fault: 'not a mod file' });
  if (version !== MOD_FILE_SCHEMA) return fail({ fault: 'newer version', version });
  const read = modFileSchema.safeParse(json);
  if (read.success) return ok(read.data);
  const issue = read.error.issues[0];
  return fail({ fault: 'shape', where: issue?.path.join('.') ?? '', says: issue?.message ?? '' });
}

/** The records that bring a mod file in beside everything that is there: all ids new, trays of its own. */
export function bringModFileIn(file: ModFile, newId: IdSource, now: string): { diff: Diff; build: BuildId } {
  const ids = new Map<string, string>();
  const fresh = <T extends string>(old: T): T => {
    const known = ids.get(old) ?? newId();
    ids.set(old, known);
    return known as T;
  };
  const maybe = <T extends string>(old: T | null): T | null => (old === null ? null : fresh(old));
  const build = fresh(file.build.id);
  const own = { build };
  const { trays, stock } = traysOf(file, newId, now, fresh);
  const entries = file.entries.map((e) => renameEntry(e, build, fresh, maybe));
  const diff = joinDiffs(
    // Here it is new, whatever its age elsewhere: it comes last for the stores.
    added('build', { ...file.build, id: build, createdAt: now }),
    added('copy', ...file.copies.map((c) => ({ ...c, ...own, id: fresh(c.id) }))),
    added('zone', ...file.zones.map((z2) => ({ ...z2, ...own, id: fresh(z2.id), parent: maybe(z2.parent) }))),
    added('phase', ...file.phases.map((p) => ({ ...p, ...own, id: fresh(p.id) }))),
    added(
      'modification',
      ...file.modifications.map((m) => ({
        ...m,
        ...own,
        id: fresh(m.id),
        zone: fresh(m.zone),
        phase: maybe(m.phase),
      })),
    ),
    added('whatIf', ...file.whatIfs.map((w) => ({ ...w, ...own, id: fresh(w.id) }))),
    added('assembly', ...file.assemblies.map((a) => ({ ...a, ...own, id: fresh(a.id) }))),
    added('order', ...file.orders.map((o) => ({ ...o, ...own, id: fresh(o.id) }))),
    added('tray', ...trays),
    surveyOf(file, build, fresh, maybe),
    added('entry', ...stock, ...entries),
  );
  return { diff, build };
}

type Rename = <T extends string>(old: T) => T;
type MaybeRename = <T extends string>(old: T | null) => T | null;

/** What was seen when the set was looked over. A lot's key names its zone, so it is made anew. */
function surveyOf(file: ModFile, build: BuildId, fresh: Rename, maybe: MaybeRename): Diff {
  const own = { build };
  const lot = <T extends { zone: ZoneId; element: string }>(r: T): T => {
    const zone = fresh(r.zone);
    return { ...r, ...own, zone, id: `${zone}|${r.element}` };
  };
  const lines = file.countLines ?? [];
  return joinDiffs(
    added(
      'surveyCard',
      ...(file.surveyCards ?? []).map((c) => ({ ...c, ...own, id: build, away: c.away.map(fresh) })),
    ),
    added(
      'countLine',
      ...lines.map((l) => ({ ...l, ...own, id: fresh(l.id), copy: fresh(l.copy), zone: fresh(l.zone) })),
    ),
    added(
      'finding',
      ...(file.findings ?? []).map((f) => ({
        ...f,
        ...own,
        id: fresh(f.id),
        zone: fresh(f.zone),
        modification: maybe(f.modification),
      })),
    ),
    added('exposure', ...(file.exposures ?? []).map(lot)),
    added(
      'scheme',
      ...(file.schemes ?? []).map((s) => ({ ...s, ...own, id: fresh(s.id), zone: fresh(s.zone) })),
    ),
    added('leftSlip', ...(file.leftSlips ?? []).map(lot)),
  );
}

/** How an entry's note names the count line that posted it. */
const COUNTED = 'counted ';

function renameEntry(e: Entry, build: BuildId, fresh: Rename, maybe: MaybeRename): Entry {
  const account = (key: AccountKey): AccountKey => {
    const place = placeOf(key);
    return place === 'outside' || place === 'gone'
      ? key
      : (`${place}:${fresh(accountOwner(key))}` as AccountKey);
  };
  return {
    ...e,
    id: fresh(e.id),
    build,
    modification: maybe(e.modification),
    whatIf: maybe(e.whatIf),
    assembly: maybe(e.assembly),
    order: maybe(e.order),
    line: maybe(e.line),
    note: e.note.startsWith(COUNTED) ? `${COUNTED}${fresh(e.note.slice(COUNTED.length))}` : e.note,
    // Measured batches are named by the readings of the workspace they were made in: here the condition alone holds.
    movements: e.movements.map((m) => ({
      ...m,
      grade: grade(conditionOf(m.grade)),
      from: account(m.from),
      to: account(m.to),
    })),
  };
}

/** Trays that the file's entries name, and a stock entry with what they took from them. */
function traysOf(file: ModFile, newId: IdSource, now: string, fresh: Rename) {
  const named = new Set(
    file.entries
      .flatMap((e) => e.movements.flatMap((m) => [m.from, m.to]))
      .filter((a) => placeOf(a) === 'stores'),
  );
  const names = new Map(file.stores.map((s) => [s.tray, s.trayName]));
  const trays = [...named].map((account, i) => {
    const old = asId<TrayId>(accountOwner(account));
    const place = `from ${file.build.name}`.slice(0, LIMITS.name);
    return { id: fresh(old), name: names.get(old) || `Tray ${i + 1}`, place, position: 1000 + i };
  });
  const movements = file.stores.map(({ tray, element, grade: g, qty }): Movement => ({
    element,
    grade: grade(conditionOf(g)),
    qty,
    from: OUTSIDE,
    to: storesAccount(asId<TrayId>(fresh(tray))),
    worth: null,
  }));
  const stock: Entry[] =
    movements.length > 0
      ? [stockEntry(asId<EntryId>(newId()), movements, `from ${file.build.name}`, now)]
      : [];
  return { trays, stock };
}

/** An entry that counts pieces into the stores. */
export const stockEntry = (
  id: EntryId,
  movements: readonly Movement[],
  note: string,
  now: string,
): Entry => ({
  ...BLANK_ENTRY,
  id,
  kind: 'stock',
  note: note.slice(0, LIMITS.name),
  loggedAt: now,
  movements,
});
