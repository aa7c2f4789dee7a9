import type { RestoreFault } from '@/server/restore';
import type { BooksFault } from '@/data/check-books';

const LAWS: Readonly<Record<BooksFault['law'], string>> = {
  shape: 'a record is not in its shape',
  entry: 'an entry moves nothing, or what no entry may',
  overdrawn: 'a place would hold fewer than no pieces',
  zones: 'the zones of a build are no tree',
  history: 'pieces were moved behind the log’s back',
  accounts: 'pieces lie where no place is',
  actions: 'the list of what was done cannot be read',
};

/** What is wrong with a backup. In every case the workspace is as it was. */
export function restoreFaultWords(f: RestoreFault | { fault: string }): string {
  const fault = f as RestoreFault;
  const still = 'The workspace is as it was.';
  switch (fault.fault) {
    case 'not a backup':
      return `That file is not a backup of Evarn. ${still}`;
    case 'damaged':
      return `That backup is damaged. ${still} Choose another one.`;
    case 'too large':
      return `That file is larger than 256 MB, or unpacks to more than 1 GB. ${still}`;
    case 'no space':
      return `The disk is full. Free some space and restore again. ${still}`;
    case 'newer program':
      return `That backup was made by a newer Evarn. Restore it there, or update this one. ${still}`;
    case 'not as made':
      return `That backup is not as Evarn makes it: ${fault.what}. ${still}`;
    case 'books':
      return `The books in that backup do not balance: ${LAWS[fault.what.law]}. ${still}`;
    case 'too costly':
      return `That backup takes too long or too much memory to check. ${still}`;
    case 'busy':
      return `Another restore is under way. Wait until it is done. ${still}`;
    case 'no such backup':
      return `That backup is no longer in the folder. ${still}`;
    case 'cannot be opened':
      return `That backup could not be opened. ${still}`;
    default:
      return `That file could not be restored. ${still}`;
  }
}
