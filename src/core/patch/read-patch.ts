import { listOf, readModFile, type ModFile, type ModFileFault } from '../formats';
import type { TypedRecord } from '../ledger';
import { TRAVELLING } from '../formats/travelling';
import { fail, ok, type Result } from '../shared/result';
import { Workbench } from '../workbench';
import { PATCH_SCHEMA, patchSchema, type Patch } from './patch';
import { patchOf } from './patch-of';

export type PatchFault =
  | { readonly fault: 'not json' }
  | { readonly fault: 'not a patch' }
  | { readonly fault: 'newer version'; readonly version: string }
  | { readonly fault: 'shape'; readonly where: string; readonly says: string }
  | { readonly fault: 'zone'; readonly where: string }
  | { readonly fault: 'mod file'; readonly of: ModFileFault };

/**
 * Reads a patch, or what an earlier program wrote: a mod file gives the patch of its build as planned. Says what is wrong with it
 * and where.
 */
export function readPatch(text: string): Result<Patch, PatchFault> {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return fail({ fault: 'not json' });
  }
  const version = typeof json === 'object' && json && 'schema' in json ? String(json.schema) : '';
  if (version.startsWith('evarn-mod/')) {
    const file = readModFile(text);
    return file.ok ? ok(patchOfModFile(file.value)) : fail({ fault: 'mod file', of: file.reason });
  }
  if (!version.startsWith('evarn-patch/')) return fail({ fault: 'not a patch' });
  if (version !== PATCH_SCHEMA) return fail({ fault: 'newer version', version: version.slice(0, 40) });
  const read = patchSchema.safeParse(json);
  if (!read.success) {
    const issue = read.error.issues[0];
    return fail({ fault: 'shape', where: issue?.path.join('.') ?? '', says: issue?.message ?? '' });
  }
  const lost = lostZone(read.data);
  return lost ? fail({ fault: 'zone', where: lost }) : ok(read.data);
}

/** The first place that names a zone which is not in the list; a whole model that is not first is none. */
function lostZone(patch: Patch): string | null {
  if (patch.zones[0]!.length > 0) return 'zones.0';
  const most = patch.zones.length - 1;
  for (const [i, { lines }] of patch.steps.entries())
    for (const [j, l] of lines.entries()) if (l.zone > most || l.from > most) return `steps.${i}.lines.${j}`;
  const at = patch.before.findIndex((b) => b.zone > most);
  return at >= 0 ? `before.${at}` : null;
}

/** The patch of the build that a mod file holds. */
export function patchOfModFile(file: ModFile): Patch {
  const records = TRAVELLING.flatMap(({ type }) =>
    listOf(file, type).map((record) => ({ type, record }) as unknown as TypedRecord),
  );
  const workbench = new Workbench({
    ...{ workspace: '', complete: true, revision: 0, build: file.build.id },
    records: [{ type: 'build', record: file.build }, ...records],
    ...{ surroundings: [], plannedElsewhere: [], undoRedo: { undo: null, redo: null } },
  });
  return patchOf(workbench, { planned: true });
}
