'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { DeletionAsked } from '@/server/delete-build';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { count, pieces } from '@/ui/numbers';
import { ask, post } from '../sending/answers';
import { refusalWords } from '../words/refusal';

interface DeleteProps {
  readonly build: { readonly id: string; readonly name: string };
  readonly onClose: () => void;
}

/** Says what goes with a build, asks what becomes of trays, and deletes it; the list of builds offers it back. */
export function DeleteBuildDialog({ build, onClose }: DeleteProps) {
  const router = useRouter();
  const [asked, setAsked] = useState<DeletionAsked | 'failed' | null>(null);
  const [traysStay, setTraysStay] = useState(true);
  const [says, setSays] = useState('');
  const [request] = useState(() => crypto.randomUUID());
  useEffect(() => {
    void ask<DeletionAsked>(`/api/builds/${build.id}/delete`).then((a) => setAsked(a ?? 'failed'));
  }, [build.id]);
  const doIt = async () => {
    setSays('Deleting…');
    const done = await post<{ label: string }>(`/api/builds/${build.id}/delete`, { request, traysStay });
    if (done.reached && done.answer.ok) {
      onClose();
      router.push(`/builds?deleted=${request}`);
    } else
      setSays(
        done.reached && !done.answer.ok
          ? `${refusalWords(done.answer.reason)} The archive takes it from the list and changes nothing else.`
          : 'The server did not answer. Nothing was deleted.',
      );
  };
  const told = asked && asked !== 'failed' ? asked : null;
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title={`Delete ${build.name}?`}
      says="Its log, zones, plans, orders, findings and pages go with it. Undo has all of it back."
    >
      <p className="mb-3" role="status">
        {told
          ? `${count(told.entries)} ${told.entries === 1 ? 'entry goes' : 'entries go'} with it.`
          : asked === 'failed'
            ? 'What goes with it could not be asked: the server did not answer.'
            : 'Looking at what goes with it…'}
      </p>
      {told && told.put + told.taken > 0 && (
        <fieldset className="mb-3">
          <legend className="font-semibold">
            It put {pieces(told.put)} into trays and took {count(told.taken)} out of them.
          </legend>
          <label className="flex min-h-8 items-center gap-2">
            <input type="radio" name="trays" checked={traysStay} onChange={() => setTraysStay(true)} />
            What lies in trays stays as it lies
          </label>
          <label className="flex min-h-8 items-center gap-2">
            <input type="radio" name="trays" checked={!traysStay} onChange={() => setTraysStay(false)} />
            As if it had never been: what it took is there again, what it put there is gone
          </label>
        </fieldset>
      )}
      <p role="alert" className="mb-3 font-medium empty:hidden">
        {says}
      </p>
      <div className="flex gap-2">
        <span className="flex-1" />
        <Button onClick={onClose}>Cancel</Button>
        <Button look="main" disabled={!told || says === 'Deleting…'} onClick={() => void doIt()}>
          Delete
        </Button>
      </div>
    </Dialog>
  );
}
