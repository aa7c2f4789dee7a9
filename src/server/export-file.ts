import { makeModFile } from '@/core/formats';
import { BUILD_LIST_NAMES, BUILD_LISTS, type BuildListName } from '@/core/lists';
import { patchOf } from '@/core/patch';
import { fileName } from '@/core/shared/file-name';
import type { BuildId } from '@/core/shared/ids';
import type { Workbench } from '@/core/workbench';
import type { Handle } from '@/data/database';
import { LIST_FORMS, listFile, type ListFile, type ListForm } from './list-file';
import { openWorkbench } from './snapshot';

/** Files that are no lists: they are read back by this program. */
const WHOLE_FILES: Readonly<
  Record<'mod.json' | 'patch.json', (workbench: Workbench, build: BuildId) => unknown>
> = {
  'mod.json': (w, build) => makeModFile(w.records, build, w.planned),
  'patch.json': (w) => patchOf(w, { planned: true }),
};

/** Every file that a build can be asked for: each list as each form, and what this program reads back. */
export const FILES: readonly string[] = [
  ...BUILD_LIST_NAMES.flatMap((name) => LIST_FORMS.map((form) => `${name}.${form}`)),
  ...Object.keys(WHOLE_FILES),
];

/** What this program reads back of a build, as text: its mod file or its patch; undefined when there is no such build. */
export function wholeFile(
  handle: Handle,
  build: BuildId,
  file: 'mod.json' | 'patch.json',
): string | undefined {
  const workbench = openWorkbench(handle, build);
  return workbench && `${JSON.stringify(WHOLE_FILES[file](workbench, build), null, 1)}\n`;
}

/** One of a build's files with its name for saving; undefined when there is no such build or no such file. */
export async function exportFile(
  handle: Handle,
  build: BuildId,
  file: string,
): Promise<(ListFile & { readonly name: string }) | undefined> {
  const workbench = FILES.includes(file) ? openWorkbench(handle, build) : undefined;
  if (!workbench) return undefined;
  const title = workbench.records.build.get(build)?.name ?? 'build';
  const name = `${fileName(title, 'build')}-${file}`;
  if (file === 'mod.json' || file === 'patch.json') {
    const bytes = new TextEncoder().encode(wholeFile(handle, build, file) ?? '');
    return { name, bytes, type: 'application/json; charset=utf-8' };
  }
  const [list, form] = file.split('.') as [BuildListName, ListForm];
  return { name, ...(await listFile(BUILD_LISTS[list].table(workbench), form)) };
}
