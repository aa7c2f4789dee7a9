'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button, buttonClass } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { FileButton } from '@/ui/file-button';
import type { KeptBackup } from '@/server/restore';
import { useRefresh } from '../common/use-in-address';
import { BackupList } from '../trouble';
import { requestRestore } from '../trouble/restore-request';
import { modFileFaultWords } from '../words/tables';
import { refusalWords } from '../words/refusal';

/** Mod files imported, the whole workspace exported and put back. */
export function WorkspaceFiles() {
  const router = useRouter();
  const refresh = useRefresh();
  const [says, setSays] = useState<string | null>(null);
  const [asked, setAsked] = useState<File | null>(null);
  const [backups, setBackups] = useState<readonly KeptBackup[] | null>(null);
  /** The copy of what was there before a restore, to go back to. */
  const [before, setBefore] = useState<string | null>(null);
  const importModFile = async (file: File) => {
    setSays('Reading the mod file…');
    const answer = await send('/api/mod-file', file);
    if (answer?.ok) router.push(`/builds/${(answer.value as { build: string }).build}`);
    else setSays(faultWords(answer?.reason));
  };
  const restore = async (file: File) => {
    setAsked(null);
    setSays('Checking the backup…');
    const done = await requestRestore(file);
    restored(done.says, done.ok, done.kept);
  };
  const restored = (words: string, ok: boolean, kept: string | null) => {
    setSays(words);
    setBackups(null);
    setBefore(ok ? kept : null);
    if (ok) refresh();
  };
  const goBack = async (name: string) => {
    setSays('Going back…');
    const done = await requestRestore(name);
    restored(done.ok ? 'Back to before the restore.' : done.says, done.ok, null);
  };
  const listBackups = async () => {
    const answer = await fetch('/api/backups').then(
      (r) => r.json() as Promise<{ ok: boolean; value: KeptBackup[] }>,
      () => null,
    );
    if (answer?.ok) setBackups(answer.value);
    else setSays('The server cannot be reached.');
  };
  return (
    <section
      aria-label="Files of the workspace"
      className="border-rule mt-8 flex flex-wrap items-center gap-2 border-t pt-4"
    >
      <h2 className="mr-2">Files</h2>
      <FileButton
        words="Import a mod file"
        label="Mod file"
        accept=".json,application/json"
        onFile={(file) => void importModFile(file)}
      />
      <a href="/api/backup" download className={buttonClass()}>
        Back everything up
      </a>
      <FileButton
        words="Restore a backup"
        label="Backup"
        accept=".evarn,application/gzip"
        onFile={setAsked}
      />
      <Button onClick={() => void listBackups()}>Kept copies</Button>
      <p role="status" className="text-soft">
        {says}
      </p>
      {before && <Button onClick={() => void goBack(before)}>Go back to before the restore</Button>}
      {backups && (
        <Dialog
          open
          onOpenChange={() => setBackups(null)}
          title="Copies of the workspace that were kept"
          says="Restoring one puts it in place of everything; what is here now is kept first."
        >
          <BackupList backups={backups} onDone={restored} />
        </Dialog>
      )}
      {asked && (
        <Dialog
          open
          onOpenChange={() => setAsked(null)}
          title="Put this backup in place of everything?"
          says="All builds, own parts and prices become as they are in the backup. What is here now is kept in the backups folder first."
        >
          <div className="flex justify-end gap-2">
            <Button onClick={() => setAsked(null)}>Leave it as it is</Button>
            <Button look="main" onClick={() => void restore(asked)}>
              Restore {asked.name.slice(0, 40)}
            </Button>
          </div>
        </Dialog>
      )}
    </section>
  );
}

async function send(
  path: string,
  file: File,
): Promise<{ ok: boolean; value?: unknown; reason?: unknown } | undefined> {
  try {
    const headers = { 'content-type': 'application/octet-stream', 'x-request-id': crypto.randomUUID() };
    return (await (await fetch(path, { method: 'POST', headers, body: file })).json()) as { ok: boolean };
  } catch {
    return undefined;
  }
}

function faultWords(reason: unknown): string {
  if (reason === undefined) return 'The server cannot be reached. Nothing was imported.';
  if (typeof reason !== 'object' || reason === null) return refusalWords(reason);
  if ((reason as { fault?: string }).fault === 'too large') return 'That file is larger than 20 MB.';
  return 'fault' in reason ? modFileFaultWords(reason as never) : refusalWords(reason);
}
