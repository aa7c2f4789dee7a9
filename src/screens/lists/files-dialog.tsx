'use client';

import { Link } from '@/ui/link';
import { BUILD_LIST_NAMES, BUILD_LIST_TITLES } from '@/core/lists/titles';
import { buttonClass } from '@/ui/button';
import { Dialog } from '@/ui/dialog';

/** Every list of a build: for a spreadsheet, for any program, on paper; and the files that this program reads back. */
export function FilesDialog({ build, onClose }: { build: string; onClose: () => void }) {
  const file = (name: string) => `/api/builds/${build}/files/${name}`;
  return (
    <Dialog open onOpenChange={onClose} title="Files and prints" says="What stands in the books now.">
      <table className="w-full">
        <thead className="sr-only">
          <tr>
            <th scope="col">List</th>
            <th scope="col">Files</th>
          </tr>
        </thead>
        <tbody>
          {BUILD_LIST_NAMES.map((name) => (
            <tr key={name} className="border-rule border-b">
              <th scope="row" className="py-1 text-left font-normal">
                {BUILD_LIST_TITLES[name]}
              </th>
              <td className="py-1">
                <span className="flex justify-end gap-1">
                  {(['csv', 'xlsx'] as const).map((form) => (
                    <a
                      key={form}
                      href={file(`${name}.${form}`)}
                      download
                      className={buttonClass()}
                      aria-label={`${BUILD_LIST_TITLES[name]}, ${form.toUpperCase()}`}
                    >
                      {form.toUpperCase()}
                    </a>
                  ))}
                  <Link
                    href={`/builds/${build}/print/${name}`}
                    className={buttonClass()}
                    aria-label={`${BUILD_LIST_TITLES[name]}, to print`}
                  >
                    Print
                  </Link>
                </span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-3 flex flex-wrap gap-2">
        <a href={file('mod.json')} download className={buttonClass()}>
          Mod file
        </a>
        <a href={file('patch.json')} download className={buttonClass()}>
          Patch
        </a>
        <Link href={`/builds/${build}/tally`} className={buttonClass()}>
          Tally, to print
        </Link>
      </p>
    </Dialog>
  );
}
