import type { ReactNode } from 'react';
import { troubleWords } from '@/core/shared/trouble';
import { dataFolder, type Handle } from '@/data/database';
import { TroubleScreen } from '@/screens/trouble';
import { keptBackups } from '@/server/restore';
import { patiently, troubleOf } from '@/server/workspace';

/** A page made from the workspace; where that cannot be worked with, the one page that says so and what to do. */
export async function withWorkspace(show: (handle: Handle) => ReactNode): Promise<ReactNode> {
  try {
    return await patiently(show);
  } catch (error) {
    const trouble = troubleOf(error);
    if (!trouble) throw error;
    const folder = dataFolder();
    return (
      <TroubleScreen
        says={troubleWords(trouble, folder)}
        trouble={trouble.trouble}
        backups={backupsIn(folder)}
      />
    );
  }
}

/** The folder itself may be what cannot be read. */
function backupsIn(folder: string) {
  try {
    return keptBackups(folder);
  } catch {
    return [];
  }
}
