'use client';

import { useState } from 'react';
import type { Trouble } from '@/core/shared/trouble';
import type { KeptBackup } from '@/server/restore';
import { Button } from '@/ui/button';
import { BackupList } from './backup-list';
import { RestoreUpload } from './restore-upload';

interface TroubleProps {
  readonly says: string;
  readonly trouble: Trouble['trouble'];
  readonly backups: readonly KeptBackup[];
}

/** Troubles of the file itself, which another file in its place ends. */
const MENDED_BY_RESTORE: readonly Trouble['trouble'][] = ['damaged', 'newer program', 'not as made'];

/** The one page there is while the workspace cannot be worked with: what is wrong, and what to do. */
export function TroubleScreen({ says, trouble, backups }: TroubleProps) {
  const [done, setDone] = useState('');
  const again = () => window.location.reload();
  const restored = (words: string, ok: boolean) => {
    setDone(words);
    if (ok) again();
  };
  return (
    <main className="mx-auto max-w-2xl px-4 py-12">
      <h1 className="text-[24px]">The workspace cannot be opened.</h1>
      <p className="mt-2 mb-4 text-[15px]">{says}</p>
      <Button look="main" onClick={again}>
        Try again
      </Button>
      {MENDED_BY_RESTORE.includes(trouble) && (
        <section aria-label="Backups" className="mt-8">
          <h2 className="mb-2 text-[16px]">Put a backup in its place</h2>
          <BackupList backups={backups} onDone={restored} />
          <div className="mt-3">
            <RestoreUpload onDone={restored} />
          </div>
        </section>
      )}
      <p role="status" className="mt-4 font-medium">
        {done}
      </p>
    </main>
  );
}
