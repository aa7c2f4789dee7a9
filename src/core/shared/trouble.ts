/** Why the workspace cannot be worked with. Nothing of it was changed. */
export type Trouble =
  | {
      readonly trouble: 'held';
      readonly pid: number | null;
      readonly url: string | null;
      readonly since: string | null;
    }
  | { readonly trouble: 'busy' }
  | { readonly trouble: 'damaged' }
  | { readonly trouble: 'newer program' }
  | { readonly trouble: 'not as made'; readonly what: string }
  | { readonly trouble: 'no space' }
  | { readonly trouble: 'read-only' }
  | { readonly trouble: 'not allowed' };

/**
 * What is wrong with a workspace and what to do, in sentences: said by the start of the server and by the page alike,
 * which is why they stand here and not with the words of a screen.
 */
export function troubleWords(t: Trouble, folder: string): string {
  switch (t.trouble) {
    case 'held': {
      const who = t.pid === null ? 'another Evarn' : `another Evarn (process ${t.pid})`;
      const since = t.since ? `, since ${t.since.slice(0, 16).replace('T', ' ')}` : '';
      const where = t.url ? ` Open ${t.url}, or stop it first.` : ' Stop it first.';
      return `The data folder ${folder} is open in ${who}${since}.${where}`;
    }
    case 'busy':
      return `Another program holds the data file in ${folder}. Close it there; nothing was changed meanwhile.`;
    case 'damaged':
      return `The data file in ${folder} is damaged. Restore one of the backups below; the damaged file is kept beside them.`;
    case 'newer program':
      return `The data file in ${folder} was made by a newer Evarn. Start that one, or restore an older backup; the newer file is kept.`;
    case 'not as made':
      return `The data file in ${folder} is not as Evarn makes it: ${t.what}. Restore one of the backups below; the file is kept beside them.`;
    case 'no space':
      return `The disk that holds ${folder} is full. Free some space; what was acknowledged is kept.`;
    case 'read-only':
      return `The data folder ${folder} is read-only. Make it writable, or set EVARN_DATA to another folder.`;
    case 'not allowed':
      return `The data folder ${folder} belongs to somebody else, or may not be written. Give yourself the right to write there, or set EVARN_DATA to another folder.`;
  }
}
