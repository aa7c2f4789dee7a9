import { z } from 'zod';
import {
  accountOwner,
  donorAccount,
  placeOf,
  sparesAccount,
  type AccountKey,
  type BalanceRow,
  type Books,
  type Entry,
  type Movement,
  type RecordSet,
  type RecordTypes,
} from '../ledger';
import type { BuildId } from '../shared/ids';
import { fail, ok, type Result } from '../shared/result';
import { LIMITS } from '../shared/bounds';
import { poolSetting } from '../supply';
import { elementSchema, gradeSchema, recordSchema } from './record-schemas';
import { modFileBreak, type ModFileBreak } from './mod-file-fault';
import { upgradeRecord } from './upgrade';

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
  /** Models that are to come out of the build's boxes, and true where nothing else may be used. */
  poolModels: list('poolModel', 500).optional(),
  bound: z.boolean().optional(),
  /** What is kept whole in its spares and its donor boxes. */
  kept: list('kept', 2000).optional(),
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
  | { readonly fault: 'shape'; readonly where: string; readonly says: string }
  | ModFileBreak;

/** Makes the mod file of a build from its records and its books as planned. */
export function makeModFile(records: RecordSet, build: BuildId, planned: Books): ModFile {
  const found = records.build.get(build);
  if (!found) throw new Error(`no build ${build}`);
  const all = <T extends keyof RecordTypes>(type: T): RecordTypes[T][] => [...records[type].values()];
  const entries = all('entry').filter((e) => e.build === build);
  const used = new Set(entries.flatMap((e) => e.movements.map((m) => m.element.split('|')[1])));
  const own = new Set([sparesAccount(build), ...all('copy').map((c) => donorAccount(c.id))]);
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
    poolModels: all('poolModel'),
    bound: records.setting.get(poolSetting(build))?.values[0] === 1,
    kept: all('kept').filter((k) => own.has(k.account)),
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
  const read = modFileSchema.safeParse(upgraded(json as object));
  if (read.success) {
    const broken = modFileBreak(read.data);
    return broken ? fail(broken) : ok(read.data);
  }
  const issue = read.error.issues[0];
  return fail({ fault: 'shape', where: issue?.path.join('.') ?? '', says: issue?.message ?? '' });
}

/** A file that an earlier program wrote, with its records in today's shape. */
function upgraded(json: object): object {
  const up = (key: string, type: 'entry' | 'modification') => {
    const list = (json as Record<string, unknown>)[key];
    return Array.isArray(list) ? { [key]: list.map((r: unknown) => upgradeRecord(type, r)) } : {};
  };
  return { ...json, ...up('entries', 'entry'), ...up('modifications', 'modification') };
}
