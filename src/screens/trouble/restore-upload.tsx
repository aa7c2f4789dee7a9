'use client';

import { useState } from 'react';
import { FileButton } from '@/ui/file-button';
import { requestRestore } from './restore-request';

/** A backup file chosen and put in place. */
export function RestoreUpload({ onDone }: { onDone: (says: string, ok: boolean) => void }) {
  const [busy, setBusy] = useState(false);
  const restore = async (file: File) => {
    setBusy(true);
    const done = await requestRestore(file);
    setBusy(false);
    onDone(done.says, done.ok);
  };
  return (
    <FileButton
      words={busy ? 'Checking the backup…' : 'Choose a backup file'}
      label="Backup file"
      accept=".evarn,application/gzip"
      disabled={busy}
      onFile={(file) => void restore(file)}
    />
  );
}
