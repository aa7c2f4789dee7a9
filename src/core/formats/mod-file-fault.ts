import {
  accountOwner,
  entryFault,
  placeOf,
  zoneTreeFault,
  type AccountKey,
  type EntryFault,
  type ZoneTreeFault,
} from '../ledger';
import type { ModFile } from './mod-file';

/** What does not hold together in a mod file though every record of it has its shape. */
export type ModFileBreak =
  | { readonly fault: 'twice'; readonly where: string; readonly id: string }
  | { readonly fault: 'refers to nothing'; readonly where: string; readonly id: string }
  | { readonly fault: 'zones'; readonly how: ZoneTreeFault['fault'] }
  | { readonly fault: 'entry'; readonly where: string; readonly how: EntryFault['fault'] };

/**
 * The first thing in a mod file that does not hold together, or undefined: ids that stand twice, references to records
 * that are not in it, zones that are no tree with a root, entries that break a law by themselves.
 */
export function modFileBreak(file: ModFile): ModFileBreak | undefined {
  const zones = zoneTreeFault(file.zones);
  if (file.zones.length === 0 || zones) return { fault: 'zones', how: zones?.fault ?? 'no root' };
  return doubleIn(file) ?? lostIn(file) ?? badEntryIn(file);
}

type Listed = readonly { readonly id: string }[];

function doubleIn(file: ModFile): ModFileBreak | undefined {
  const lists: Record<string, Listed> = {
    copies: file.copies,
    zones: file.zones,
    phases: file.phases,
    modifications: file.modifications,
    whatIfs: file.whatIfs,
    assemblies: file.assemblies,
    orders: file.orders,
    customColours: file.customColours,
    countLines: file.countLines ?? [],
    findings: file.findings ?? [],
    schemes: file.schemes ?? [],
    poolModels: file.poolModels ?? [],
    kept: file.kept ?? [],
    entries: file.entries,
    // These are named by what they speak of.
    'counts of a lot': (file.countLines ?? []).map((c) => ({ id: `${c.copy} ${c.zone} ${c.element}` })),
    exposures: (file.exposures ?? []).map((x) => ({ id: `${x.zone} ${x.element}` })),
    leftSlips: (file.leftSlips ?? []).map((s) => ({ id: `${s.zone} ${s.element}` })),
  };
  for (const [where, list] of Object.entries(lists)) {
    const seen = new Set<string>();
    for (const { id } of list) {
      if (seen.has(id)) return { fault: 'twice', where, id };
      seen.add(id);
    }
  }
  return undefined;
}

/** The ids that each kind of record may be referred to by. */
function idsIn(file: ModFile) {
  const ids = (list: Listed | undefined) => new Set((list ?? []).map((r) => r.id));
  return {
    copy: ids(file.copies),
    zone: ids(file.zones),
    phase: ids(file.phases),
    modification: ids(file.modifications),
    whatIf: ids(file.whatIfs),
    assembly: ids(file.assemblies),
    order: ids(file.orders),
    countLine: ids(file.countLines),
    build: new Set<string>([file.build.id]),
  };
}
type Ids = ReturnType<typeof idsIn>;

function lostIn(file: ModFile): ModFileBreak | undefined {
  const ids = idsIn(file);
  for (const [where, kind, id] of referencesIn(file))
    if (!ids[kind].has(id)) return { fault: 'refers to nothing', where, id };
  return undefined;
}

type Reference = readonly [where: string, kind: keyof Ids, id: string];

function* referencesIn(file: ModFile): Generator<Reference> {
  const inZone = { exposures: file.exposures, schemes: file.schemes, leftSlips: file.leftSlips };
  for (const [where, list] of Object.entries(inZone))
    for (const r of list ?? []) yield [where, 'zone', r.zone];
  for (const m of file.modifications) {
    yield [`modification ${m.no}`, 'zone', m.zone];
    if (m.phase !== null) yield [`modification ${m.no}`, 'phase', m.phase];
  }
  for (const c of file.countLines ?? []) {
    yield ['countLines', 'copy', c.copy];
    yield ['countLines', 'zone', c.zone];
  }
  for (const f of file.findings ?? []) {
    yield ['findings', 'zone', f.zone];
    if (f.modification !== null) yield ['findings', 'modification', f.modification];
  }
  for (const k of file.kept ?? []) yield* accountReference('kept', k.account);
  for (const e of file.entries) {
    const where = `entry ${e.no}`;
    for (const kind of ['modification', 'whatIf', 'assembly', 'order'] as const) {
      const id = e[kind];
      if (id !== null) yield [where, kind, id];
    }
    if (e.counted !== null) yield [where, 'countLine', e.counted];
    for (const m of e.movements) {
      yield* accountReference(where, m.from);
      yield* accountReference(where, m.to);
    }
  }
}

const OWNERS = { model: 'zone', shipped: 'copy', donor: 'copy', order: 'order', spares: 'build' } as const;

/** Whose an account is must be in the file; trays come with it under their names. */
function* accountReference(where: string, account: AccountKey): Generator<Reference> {
  const place = placeOf(account);
  if (place in OWNERS) yield [where, OWNERS[place as keyof typeof OWNERS], accountOwner<string>(account)];
}

function badEntryIn(file: ModFile): ModFileBreak | undefined {
  for (const e of file.entries) {
    const fault = entryFault(e);
    if (fault) return { fault: 'entry', where: `entry ${e.no}`, how: fault.fault };
  }
  return undefined;
}
