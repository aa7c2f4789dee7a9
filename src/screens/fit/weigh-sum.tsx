'use client';

import { formatFixed } from '@/core/shared/forms';
import { useMemo, useState } from 'react';
import { deleteWeighed, keepWeighed, massOfPart } from '@/core/fit';
import { partOf, readPartName, type Part } from '@/core/parts';
import { Button } from '@/ui/button';
import { Field, Input } from '@/ui/field';
import { useBuild } from '../common/build-store';
import { gramWords } from '../words/fit';
import { NumberBox } from '../common/number-box';
import { Sum } from '../common/result';

/** What pieces of a part weighed on a scale: it then goes before what its size says, in every build. */
export function WeighSum() {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const [draft, setDraft] = useState({ part: '', pieces: 10, grams: 0, reads: 1 });
  const weighed = useMemo(() => {
    void version;
    return [...workbench.records.weighed.values()];
  }, [workbench, version]);
  const part = partTyped(draft.part);
  const keep = () => {
    if (!part || draft.grams <= 0) return;
    const { pieces, grams, reads } = draft;
    perform(keepWeighed(workbench, { id: part.id, pieces, grams, reads }));
    setDraft({ ...draft, part: '', grams: 0 });
  };
  return (
    <Sum
      title="Weighed"
      form={
        <>
          <Field label="Part">
            <Input
              value={draft.part}
              maxLength={200}
              placeholder="brick 2x4"
              onChange={(e) => setDraft({ ...draft, part: e.target.value })}
            />
          </Field>
          <NumberBox
            label="Pieces on the scale"
            value={draft.pieces}
            least={1}
            most={10_000}
            onChange={(pieces) => setDraft({ ...draft, pieces })}
          />
          <NumberBox
            label="Together, g"
            value={draft.grams}
            least={0}
            most={100_000}
            parts
            onChange={(grams) => setDraft({ ...draft, grams })}
          />
          <NumberBox
            label="Scale reads to, g"
            value={draft.reads}
            least={0.001}
            most={100}
            parts
            onChange={(reads) => setDraft({ ...draft, reads })}
          />
          <Button onClick={keep} disabled={!part || draft.grams <= 0}>
            Keep it
          </Button>
        </>
      }
    >
      <p role="status">
        {draft.part.trim() === ''
          ? 'Many pieces of one part together weigh it better than one alone.'
          : part
            ? `By its size a ${part.id} weighs ${oneWords(massOfPart(part).grams)}.`
            : `▲ “${draft.part.trim()}” is no part by name: write its family and size, as in brick 2x4.`}
      </p>
      <ul>
        {weighed.map((w) => (
          <li key={w.id} className="border-rule flex items-center gap-3 border-b py-1">
            <span className="flex-1">
              <bdi>{w.id}</bdi>: {oneWords(w.grams / w.pieces)}, by its size{' '}
              {oneWords(massOfPart(partOf(w.id)).grams)}
            </span>
            <span className="text-soft">
              {w.pieces} weighed {gramWords({ grams: w.grams, doubt: w.reads / 2 })}
            </span>
            <Button
              look="bare"
              aria-label={`Go by the size of ${w.id} again`}
              onClick={() => perform(deleteWeighed(w))}
            >
              Delete
            </Button>
          </li>
        ))}
      </ul>
    </Sum>
  );
}

const oneWords = (grams: number): string => `${formatFixed(grams, 2)} g`;

/** The part that a text names with its family and size; undefined while it names none. */
function partTyped(text: string): Part | undefined {
  if (text.trim() === '') return undefined;
  const { part } = readPartName(text.trim());
  return part.read ? part : undefined;
}
