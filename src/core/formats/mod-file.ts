import * as z from '../shared/zod';
import {
  accountOwner,
  isOfBuild,
  placeOf,
  upgradeRecord,
  type AccountKey,
  type BalanceRow,
  type Books,
  type Entry,
  type Movement,
  type RecordSet,
  type RecordType,
  type RecordTypes,
} from '../ledger';
import type { BuildId } from '../shared/ids';
import { fail, ok, type Result } from '../shared/result';
import { LIMITS } from '../shared/bounds';
import { elementSchema, gradeSchema, recordSchema } from './record-schemas';
import { modFileBreak, type ModFileBreak } from './mod-file-fault';
import { MOD_FILE_SCHEMA, TRAVELLING, type ModFile } from './travelling';

/** Versions that are read on: their lists and records had other names. */
const EARLIER = ['evarn-mod/1'];

const lists = Object.fromEntries(
  TRAVELLING.map(({ type, inModFile: { key, most, optional } }) => {
    const list = z.array(recordSchema(type)).max(most);
    return [key, optional ? list.optional() : list];
  }),
);

const stockRow: z.ZodType<ModFile['stock'][number]> = z.strictObject({
  tray: z.string().min(1).max(LIMITS.id),
  trayName: z.string().max(LIMITS.name),
  element: elementSchema,
  grade: gradeSchema,
  qty: z.int().min(1).max(LIMITS.qty),
});

/**
 * A build as one JSON file: everything that belongs to it, and what its entries took from own parts, so that the
 * books come out the same in another workspace.
 */
export const modFileSchema = z.strictObject({
  schema: z.literal(MOD_FILE_SCHEMA),
  build: recordSchema('build'),
  ...lists,
  stock: z.array(stockRow).max(LIMITS.movements),
});

export type ModFileFault =
  | { readonly fault: 'not json' }
  | { readonly fault: 'not a mod file' }
  | { readonly fault: 'newer version'; readonly version: string }
  | { readonly fault: 'shape'; readonly where: string; readonly says: string }
  | ModFileBreak;

/** Makes the mod file of a build from its records and its books as planned. */
export function makeModFile(records: RecordSet, build: BuildId, planned: Books): ModFile {
  const found = records.build.get(build);
  if (!found) throw new Error(`no build ${build}`);
  const entries = [...records.entry.values()].filter((e) => e.build === build);
  const trays = new Map([...records.tray.values()].map((t) => [t.id, t.name]));
  const belongs = ownedBy(records, build, entries);
  const travelling = TRAVELLING.map(({ type, spec, inModFile }) => {
    const own = [...records[type].values()].filter((r) => belongs(type, r));
    return [inModFile.key, spec.leaves ? own.map((r) => spec.leaves!(r as never)) : own];
  });
  return {
    schema: MOD_FILE_SCHEMA,
    build: found,
    ...(Object.fromEntries(travelling) as object),
    stock: stockTaken(entries, planned, trays),
  };
}

/** Whether a record goes with a build: it belongs to it, lies in a place of it, or is a colour that its log uses. */
function ownedBy(records: RecordSet, build: BuildId, entries: readonly Entry[]) {
  const colours = new Set(entries.flatMap((e) => e.movements.map((m) => m.element.split('|')[1])));
  const inBuild = (key: AccountKey): boolean => {
    const owner = accountOwner<string>(key);
    const place = placeOf(key);
    if (place === 'spares') return owner === build;
    if (place === 'donor') return records.copy.get(owner)?.build === build;
    return place === 'model' && records.zone.get(owner)?.build === build;
  };
  return (type: RecordType, record: RecordTypes[RecordType]): boolean => {
    if (isOfBuild(type)) return 'build' in record && record.build === build;
    if ('account' in record) return inBuild(record.account);
    return colours.has(record.id);
  };
}

/**
 * What the entries took from each tray and the tray really had: a plan that overdraws stays a need, while what was done
 * was there, whatever other builds plan to take from the same tray.
 */
function stockTaken(
  entries: readonly Entry[],
  planned: Books,
  trays: ReadonlyMap<string, string>,
): ModFile['stock'] {
  const taken = new Map<string, BalanceRow>();
  const done = new Map<string, number>();
  const note = (account: AccountKey, m: Movement, qty: number, isDone: boolean) => {
    if (placeOf(account) !== 'stock') return;
    const key = `${account}|${m.grade}|${m.element}`;
    const before = taken.get(key)?.qty ?? 0;
    taken.set(key, { account, element: m.element, grade: m.grade, qty: before + qty });
    if (isDone) done.set(key, (done.get(key) ?? 0) + qty);
  };
  for (const e of entries)
    for (const m of e.movements) {
      note(m.from, m, m.qty, e.state === 'done');
      note(m.to, m, -m.qty, e.state === 'done');
    }
  return [...taken].flatMap(([key, r]) => {
    const had = Math.max(0, planned.balances.at(r.account, r.element, r.grade) + r.qty);
    const qty = Math.max(Math.min(r.qty, had), done.get(key) ?? 0);
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
  if (version !== MOD_FILE_SCHEMA && !EARLIER.includes(version))
    return fail({ fault: 'newer version', version });
  const read = modFileSchema.safeParse(upgraded(json as Readonly<Record<string, unknown>>));
  if (read.success) {
    const file = read.data as unknown as ModFile;
    const broken = modFileBreak(file);
    return broken ? fail(broken) : ok(file);
  }
  const issue = read.error.issues[0];
  return fail({ fault: 'shape', where: issue?.path.join('.') ?? '', says: issue?.message ?? '' });
}

/** A file that an earlier program wrote, with its lists and records in today's shape. */
function upgraded(json: Readonly<Record<string, unknown>>): object {
  const { stores, bound, ...rest } = json;
  const file: Record<string, unknown> = { ...rest, schema: MOD_FILE_SCHEMA };
  if (stores !== undefined) file.stock ??= stores;
  const build = (json.build as { id?: unknown } | undefined)?.id;
  if (bound === true) file.buildSources ??= [{ id: build, build, boxesOnly: true }];
  for (const { type, spec, inModFile } of TRAVELLING) {
    for (const old of spec.earlier?.keys ?? [])
      if (old in file) {
        file[inModFile.key] ??= file[old];
        delete file[old];
      }
    const list = file[inModFile.key];
    if (Array.isArray(list)) file[inModFile.key] = list.map((r: unknown) => upgradeRecord(type, r));
  }
  return file;
}
