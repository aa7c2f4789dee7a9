import type { Entry } from '@/core/ledger';
import { escaped } from '@/core/shared/escaped';
import type { Notice } from '../common/build-store';
import { copiedEntries, type CopiedEntries, type Workbench } from '@/core/workbench';

/** Entries as cells for whoever takes HTML: a sign before a line is held as text by an apostrophe. */
function asHtml({ heading, rows }: CopiedEntries): string {
  const cell = (tag: string, value: string | number) => `<${tag}>${escaped(String(value))}</${tag}>`;
  const row = (tag: string, cells: readonly (string | number)[]) =>
    `<tr>${cells.map((c) => cell(tag, c)).join('')}</tr>`;
  const held = rows.map((r) => r.map((c) => (typeof c === 'string' && /^[-+=@]/.test(c) ? `'${c}` : c)));
  return `<table>${row('th', heading)}${held.map((r) => row('td', r)).join('')}</table>`;
}

const copied = (workbench: Workbench, entries: readonly Entry[]) => {
  const block = copiedEntries(entries, workbench.printContext);
  return { plain: block.lines, html: asHtml(block), count: block.rows.length };
};

/** Puts entries on the clipboard of a copy that is under way: lines for text, cells for a spreadsheet. Gives how many. */
export function copyInto(clipboard: DataTransfer, workbench: Workbench, entries: readonly Entry[]): number {
  const { plain, html, count } = copied(workbench, entries);
  clipboard.setData('text/plain', plain);
  clipboard.setData('text/html', html);
  return count;
}

/** The same by a press of a button. Gives how many; undefined where the browser does not let the page copy. */
export async function copyNow(workbench: Workbench, entries: readonly Entry[]): Promise<number | undefined> {
  const { plain, html, count } = copied(workbench, entries);
  try {
    await navigator.clipboard.write([
      new ClipboardItem({
        'text/plain': new Blob([plain], { type: 'text/plain' }),
        'text/html': new Blob([html], { type: 'text/html' }),
      }),
    ]);
    return count;
  } catch {
    return undefined;
  }
}

/** What a copy came to, in a sentence. */
export const copiedNotice = (n: number | undefined): Notice =>
  n === undefined
    ? {
        kind: 'refused',
        text: 'The browser does not let this page copy. Press Ctrl+C on one of the rows.',
      }
    : { kind: 'said', text: `${n === 1 ? '1 entry is' : `${n} entries are`} on the clipboard.` };
