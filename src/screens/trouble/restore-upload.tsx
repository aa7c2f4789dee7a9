'use client';

import { useRef, useState } from 'react';
import { Button } from '@/ui/button';
import { requestRestore } from './restore-request';

/** A backup file chosen and put in place. */
export function RestoreUpload({ onDone }: { onDone: (says: string, ok: boolean) => void }) {
  const [busy, setBusy] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const restore = async (file: File | undefined) => {
    if (!file) return;
    setBusy(true);
    const done = await requestRestore(file);
    setBusy(false);
    onDone(done.says, done.ok);
  };
  return (
    <>
      <Button disabled={busy} onClick={() => input.current?.click()}>
        {busy ? 'Checking the backup…' : 'Choose a backup file'}
      </Button>
      <input
        ref={input}
        type="file"
        hidden
        aria-label="Backup file"
        accept=".evarn,application/gzip"
        onChange={(e) => {
          void restore(e.target.files?.[0]);
          e.target.value = '';
        }}
      />
    </>
  );
}
