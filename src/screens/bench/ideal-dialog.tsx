'use client';

import { useState } from 'react';
import { onPieces, type Entry } from '@/core/ledger';
import { elementKey, elementName } from '@/core/parts';
import { sayIdeal } from '@/core/pool';
import { readTypedLot } from '@/core/stock';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Field, Input } from '@/ui/field';
import { useBuild } from '../common/build-store';
import { typedLotWords } from '../words/typed-lot';

/** What one would have used, were there no limit to where parts come from: kept beside what is used. */
export function IdealDialog({ entry, onClose }: { entry: Entry; onClose: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const said = workbench.records.idealPart.get(entry.id)?.element;
  const [text, setText] = useState(said ? elementName(said) : '');
  const [says, setSays] = useState('');
  const keep = () => {
    const read = readTypedLot(`1 ${text}`, workbench.palette);
    if (!read.ok) return setSays(typedLotWords(read.reason));
    perform(sayIdeal(workbench, [entry], elementKey(read.value.part, read.value.colour!)));
    onClose();
  };
  return (
    <Dialog
      open
      onOpenChange={onClose}
      beside
      title="Without the limit, another part"
      says={`In place of ${onPieces(entry)
        .map((p) => elementName(p.element))
        .join(' and ')}. Nothing moves: it stands beside what is used, under Parts, These boxes only.`}
    >
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          keep();
        }}
      >
        <Field label="Part and colour">
          <Input
            autoFocus
            value={text}
            placeholder="tile 2x2 dove"
            maxLength={200}
            onChange={(e) => setText(e.target.value)}
          />
        </Field>
        <Button look="main" type="submit" disabled={text.trim() === ''}>
          Keep it
        </Button>
        {said && (
          <Button
            onClick={() => {
              perform(sayIdeal(workbench, [entry], null));
              onClose();
            }}
          >
            Take it back
          </Button>
        )}
      </form>
      <p role="status">{says}</p>
    </Dialog>
  );
}
