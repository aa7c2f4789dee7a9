'use client';

import { deleteAttempt, keepAttempt, newAttempt } from '@/core/brief';
import { ATTEMPT_ENDS, ATTEMPT_STATES, type Attempt } from '@/core/records';
import { Button } from '@/ui/button';
import { Field, Select } from '@/ui/field';
import { count } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { NameField } from '../common/name-field';
import { KeptPhoto, PhotoButton } from '../common/photo-button';
import { ZoneSelect } from '../common/zone-select';

/** Techniques that are to be used, tried or not, and what was tried and dropped, with why: outside all sums. */
export function AttemptsTab() {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  useBuild((s) => s.version);
  const attempts = [...workbench.records.attempt.values()].filter((a) => a.build === workbench.build);
  const dropped = attempts.filter((a) => a.state === 'dropped').length;
  const open = attempts.filter((a) => a.state === 'not tried').length;
  return (
    <div className="h-full overflow-auto p-4" tabIndex={0} role="region" aria-label="Attempts">
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h2 className="flex-1 text-[16px]">
          {attempts.length === 0
            ? 'Nothing has been tried yet.'
            : `${count(attempts.length)} techniques: ${count(open)} still to be tried on the table, ${count(dropped)} dropped.`}
        </h2>
        <Button
          look="main"
          onClick={() =>
            perform(keepAttempt(workbench, newAttempt(workbench, source(), workbench.rootZone.id)))
          }
        >
          Note a technique
        </Button>
      </div>
      <p className="text-soft mb-3 max-w-2xl">
        What was tried and dropped is kept with its reason, so that it is not tried again. It counts in no
        sum; undo is for slips of the hand.
      </p>
      <ul className="flex max-w-4xl flex-col gap-3">
        {attempts.map((a) => (
          <AttemptRow key={a.id} attempt={a} />
        ))}
      </ul>
    </div>
  );
}

function AttemptRow({ attempt }: { attempt: Attempt }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const keep = (more: Partial<Attempt>) => perform(keepAttempt(workbench, { ...attempt, ...more }));
  return (
    <li className="border-rule bg-sheet flex flex-wrap items-end gap-2 rounded-lg border p-3">
      <KeptPhoto
        id={attempt.photo}
        words={`Photo: ${attempt.what}`}
        className="size-14 rounded-sm object-cover"
      />
      <NameField
        label="Technique"
        value={attempt.what}
        onKeep={(what) => keep({ what })}
        className="min-w-48 flex-1"
      />
      <ZoneSelect label="Zone" zone={attempt.zone} onChange={(zone) => keep({ zone })} />
      <Field label="On the table">
        <Select value={attempt.state} onChange={(e) => keep({ state: e.target.value as Attempt['state'] })}>
          {ATTEMPT_STATES.map((s) => (
            <option key={s}>{s}</option>
          ))}
        </Select>
      </Field>
      {attempt.state === 'dropped' && (
        <Field label="Because">
          <Select value={attempt.end ?? ''} onChange={(e) => keep({ end: e.target.value as Attempt['end'] })}>
            {ATTEMPT_ENDS.map((s) => (
              <option key={s}>{s}</option>
            ))}
          </Select>
        </Field>
      )}
      <NameField
        label="Note"
        value={attempt.note}
        mayBeEmpty
        onKeep={(note) => keep({ note })}
        className="min-w-48 flex-1"
      />
      <PhotoButton words="Photo" label={`Photo of ${attempt.what}`} onKept={(photo) => keep({ photo })} />
      <Button aria-label={`Delete ${attempt.what}`} onClick={() => perform(deleteAttempt(attempt))}>
        Delete
      </Button>
    </li>
  );
}
