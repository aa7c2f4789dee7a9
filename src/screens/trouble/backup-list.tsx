'use client';

import { formatFixed } from '@/core/shared/forms';
import { useState } from 'react';
import type { KeptBackup } from '@/server/restore';
import { Button } from '@/ui/button';
import { requestRestore } from './restore-request';

interface BackupListProps {
  readonly backups: readonly KeptBackup[];
  readonly onDone: (says: string, ok: boolean, kept: string | null) => void;
}

const day = (iso: string): string =>
  new Date(iso).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
const size = (bytes: number): string => `${formatFixed(bytes / 1e6)} MB`;

/** The copies that were kept before an update or a restore, each with its way back. */
export function BackupList({ backups, onDone }: BackupListProps) {
  const [busy, setBusy] = useState('');
  const restore = async (name: string) => {
    setBusy(name);
    const done = await requestRestore(name);
    setBusy('');
    onDone(done.says, done.ok, done.kept);
  };
  if (backups.length === 0)
    return (
      <p className="text-soft">No copies have been kept yet: one is made before each restore and update.</p>
    );
  return (
    <ul className="border-rule border-t">
      {backups.map((b) => (
        <li key={b.name} className="border-rule flex flex-wrap items-center gap-x-4 gap-y-1 border-b py-2">
          <span className="min-w-0 flex-1">
            <b className="block">{day(b.at)}</b>
            <span className="text-faint">
              kept {b.why === 'kept' ? 'by hand' : b.why}, {size(b.bytes)}
            </span>
          </span>
          <Button
            disabled={busy !== ''}
            onClick={() => void restore(b.name)}
            aria-label={`Restore ${day(b.at)}`}
          >
            {busy === b.name ? 'Checking…' : 'Restore'}
          </Button>
        </li>
      ))}
    </ul>
  );
}
