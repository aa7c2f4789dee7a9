'use client';

import { useState } from 'react';
import type { Command } from '@/core/ledger';
import { archiveBuild, renameBuild } from '@/core/workbench';
import { Link } from '@/ui/link';
import { Button, buttonClass } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Field, Input } from '@/ui/field';
import { boxPrice } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { DeleteBuildDialog } from '../common/delete-build-dialog';

/** The build's name and note, and the boxes it was made from. */
export function BuildDialog({ onClose }: { onClose: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const build = workbench.records.build.get(workbench.build);
  const [name, setName] = useState(build?.name ?? '');
  const [note, setNote] = useState(build?.note ?? '');
  const [says, setSays] = useState('');
  const [deleting, setDeleting] = useState(false);
  if (!build) return null;
  if (deleting) return <DeleteBuildDialog build={build} onClose={onClose} />;
  const keepAsSet = async () => {
    setSays('Keeping it…');
    const kept = await fetch(`/api/builds/${build.id}/set`, { method: 'POST' }).catch(() => null);
    setSays(
      kept?.ok
        ? `${build.name} can be chosen as a set when you import.`
        : 'It was not kept: the server did not answer. Try it again.',
    );
  };
  const act = (command: Command) => {
    perform(command);
    onClose();
  };
  return (
    <Dialog open onOpenChange={onClose} title="This build">
      <form
        className="flex flex-col gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          if (name.trim()) act(renameBuild(build, { name: name.trim(), note: note.trim() }));
        }}
      >
        <Field label="Name">
          <Input autoFocus required maxLength={200} value={name} onChange={(e) => setName(e.target.value)} />
        </Field>
        <Field label="Note">
          <textarea
            rows={3}
            maxLength={4000}
            value={note}
            onChange={(e) => setNote(e.target.value)}
            className="border-edge bg-sheet rounded-md border px-2 py-1"
          />
        </Field>
        <section>
          <h3 className="mb-1">Boxes</h3>
          <ul>
            {[...workbench.records.copy.values()].map((c) => (
              <li key={c.id} className="border-rule flex gap-2 border-b py-1">
                <bdi className="flex-1 truncate">{c.setName}</bdi>
                <span className="text-soft">
                  {c.condition}
                  {c.role === 'donor' ? ', broken up for parts' : ''}
                </span>
                <span>{boxPrice(c.price)}</span>
              </li>
            ))}
          </ul>
          <Link href={`/import?build=${workbench.build}`} className={buttonClass('plain', 'mt-2')}>
            Import another box
          </Link>
        </section>
        <section className="flex flex-wrap items-center gap-2">
          <Button onClick={() => void keepAsSet()}>Keep what stands as a set</Button>
          <span role="status" className="text-soft">
            {says}
          </span>
        </section>
        <div className="flex flex-wrap gap-2">
          <Button onClick={() => act(archiveBuild(build, !build.archived))}>
            {build.archived ? 'Take from the archive' : 'Put into the archive'}
          </Button>
          <Button onClick={() => setDeleting(true)}>Delete…</Button>
          <span className="flex-1" />
          <Button onClick={onClose}>Cancel</Button>
          <Button look="main" type="submit" disabled={!name.trim()}>
            Keep
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
