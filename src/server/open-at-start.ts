import { troubleWords } from '@/core/shared/trouble';
import { dataFolder } from '@/data/database';
import { workspaceTrouble } from './workspace';

/**
 * Opens the workspace as the server starts, and says in a sentence what is wrong when it cannot. A folder that another
 * Evarn holds ends the start, since two of them would overwrite each other; any other trouble is shown by the pages too,
 * with what can be done about it there.
 */
export function openAtStart(): void {
  const trouble = workspaceTrouble();
  if (!trouble) return;
  console.error(troubleWords(trouble, dataFolder()));
  if (trouble.trouble === 'held') process.exit(1);
}
