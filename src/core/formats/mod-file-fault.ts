import {
  entryFault,
  OWNER_TYPES,
  referencesOf,
  zoneTreeFault,
  type EntryFault,
  type RecordType,
  type ZoneTreeFault,
} from '../ledger';
import { listOf, TRAVELLING, type ModFile, type Travelling } from './travelling';

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
  const list = listOf(file, 'zone');
  const zones = zoneTreeFault(list);
  if (list.length === 0 || zones) return { fault: 'zones', how: zones?.fault ?? 'no root' };
  return doubleIn(file) ?? lostIn(file) ?? badEntryIn(file);
}

/** An id that stands twice; of records that are named by what they speak of, two that speak of the same. */
function doubleIn(file: ModFile): ModFileBreak | undefined {
  for (const { type, spec, inModFile } of TRAVELLING) {
    const seen = new Set<string>();
    for (const record of listOf(file, type))
      for (const id of new Set([record.id, spec.idOf?.(record as never) ?? record.id])) {
        if (seen.has(id)) return { fault: 'twice', where: inModFile.key, id };
        seen.add(id);
      }
  }
  return undefined;
}

function lostIn(file: ModFile): ModFileBreak | undefined {
  const ids = new Map<string, Set<string>>([['build', new Set([file.build.id])]]);
  for (const { type } of TRAVELLING) ids.set(type, new Set(listOf(file, type).map((r) => r.id)));
  for (const travelling of TRAVELLING)
    for (const record of listOf(file, travelling.type))
      for (const { to, id } of referencesOf(travelling.spec.fields, record as never)) {
        // Trays come with the file under their names, whether or not it has a list of them; the build is its own.
        const known = to === OWNER_TYPES.stock || isOwnBuild(travelling, to, record) || ids.get(to)?.has(id);
        if (!known) return { fault: 'refers to nothing', where: whereOf(travelling, record), id };
      }
  return undefined;
}

/** The `build` of a record is put in place when it is imported, whatever it says. */
const isOwnBuild = ({ spec }: Travelling, to: string, record: object): boolean =>
  to === 'build' && 'build' in record && 'build' in spec.fields && !('movements' in record);

/** "modification 3", "entry 12", or the list that it stands in. */
const whereOf = ({ type, inModFile }: Travelling, record: object): string =>
  'no' in record ? `${type} ${String(record.no)}` : inModFile.key;

function badEntryIn(file: ModFile): ModFileBreak | undefined {
  for (const e of listOf(file, 'entry' satisfies RecordType)) {
    const fault = entryFault(e);
    if (fault) return { fault: 'entry', where: `entry ${e.no}`, how: fault.fault };
  }
  return undefined;
}
