'use client';

import { useState } from 'react';
import type { Command } from '@/core/ledger';
import { archiveBuild, changeBuild, type BoxWish } from '@/core/workbench';
import { Link } from '@/ui/link';
import { Button, buttonClass } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Field, Input } from '@/ui/field';
import { useBuild } from '../common/build-store';
import { DeleteBuildDialog } from '../common/delete-build-dialog';
import { MoneyBox } from '../common/money-box';

/** The build's name and note, and the boxes it was made from. */
export function BuildDialog({ onClose }: { onClose: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const build = workbench.records.build.get(workbench.build);
  const [name, setName] = useState(build?.name ?? '');
  const [note, setNote] = useState(build?.note ?? '');
  const [wishes, setWishes] = useState<ReadonlyMap<string, BoxWish['to']>>(new Map());
  const [says, setSays] = useState('');
  const [deleting, setDeleting] = useState(false);
  if (!build) return null;
  if (deleting) return <DeleteBuildDialog build={build} onClose={onClose} />;
  const boxes = [...workbench.records.copy.values()].map((box): BoxWish => ({
    box,
    to: wishes.get(box.id) ?? box,
  }));
  const isNamed = name.trim() !== '' && boxes.every(({ to }) => to.setName.trim() !== '');
  const keepAsSet = async () => {
    setSays('Keeping it…');
    const kept = await fetch(`/api/builds/${build.id}/set`, { method: 'POST' }).catch(() => null);
    setSays(
      kept?.ok
        ? `${build.name} can be chosen as a set when you import.`
        : 'It was not kept: the server did not answer. Try it again.',
    );
  };
  const act = (command: Command | null) => {
    if (command) perform(command);
    onClose();
  };
  return (
    <Dialog open onOpenChange={onClose} title="This build">
      <form
        className="flex flex-col gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          if (isNamed) act(changeBuild(build, { name: name.trim(), note: note.trim() }, boxes.map(trimmed)));
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
            {boxes.map((wish) => (
              <BoxRow
                key={wish.box.id}
                wish={wish}
                onWish={(to) => setWishes(new Map(wishes).set(wish.box.id, to))}
              />
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
          <span className="ml-auto flex gap-2">
            <Button onClick={onClose}>Cancel</Button>
            <Button look="main" type="submit" disabled={!isNamed}>
              Keep
            </Button>
          </span>
        </div>
      </form>
    </Dialog>
  );
}

const trimmed = ({ box, to }: BoxWish): BoxWish => ({
  box,
  to: { setName: to.setName.trim(), price: to.price },
});

/** A box: what it is called, and what was paid for it. */
function BoxRow({ wish: { box, to }, onWish }: { wish: BoxWish; onWish: (to: BoxWish['to']) => void }) {
  return (
    <li className="border-rule flex flex-wrap items-start gap-2 border-b pt-1 pb-2">
      <Field
        label={`Box, ${box.condition}${box.role === 'donor' ? ', broken up for parts' : ''}`}
        className="min-w-40 flex-1"
      >
        <Input
          required
          maxLength={200}
          value={to.setName}
          onChange={(e) => onWish({ setName: e.target.value, price: to.price })}
        />
      </Field>
      <div>
        <span aria-hidden className="text-soft mb-1 block text-[12px]">
          Paid{to.price === 0 && ', a gift'}
        </span>
        <MoneyBox
          bare
          label={`Paid for ${to.setName}`}
          value={to.price}
          onChange={(price) => onWish({ setName: to.setName, price })}
        />
      </div>
    </li>
  );
}
