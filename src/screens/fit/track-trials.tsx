'use client';

import { formatLength } from '@/core/shared/forms';
import { useState } from 'react';
import type { Track } from '@/core/records';
import { Button } from '@/ui/button';
import { Field, Input } from '@/ui/field';
import { studs } from '../words/plot';
import { LengthBox } from '../common/length-box';
import { NumberBox } from '../common/number-box';

/** Vehicles that were run past the wall by hand, with how far it had to go back. */
export function TrackTrials({ track, onKeep }: { track: Track; onKeep: (tried: Track['tried']) => void }) {
  const [draft, setDraft] = useState({ length: track.length, cutBack: 0, note: '' });
  return (
    <section aria-label="Tried by hand" className="mt-3">
      <h3 className="text-[14px]">Tried by hand</h3>
      <ul>
        {track.tried.map((t, i) => (
          <li key={i} className="border-rule flex items-center gap-3 border-b py-1">
            <span className="flex-1">
              {formatLength(t.length)}:{' '}
              {t.cutBack === 0 ? 'passed' : `the wall went back ${studs(t.cutBack)}`}
              {t.note && (
                <span className="text-soft">
                  , <bdi>{t.note}</bdi>
                </span>
              )}
            </span>
            <Button
              look="bare"
              aria-label={`Delete the trial of ${formatLength(t.length)}`}
              onClick={() => onKeep(track.tried.filter((_, at) => at !== i))}
            >
              Delete
            </Button>
          </li>
        ))}
      </ul>
      <div className="mt-1 flex flex-wrap items-end gap-2">
        <LengthBox
          label="A vehicle of"
          value={draft.length}
          least={1}
          most={5000}
          onChange={(length) => setDraft({ ...draft, length })}
        />
        <NumberBox
          label="The wall went back, studs"
          value={draft.cutBack}
          least={0}
          most={500}
          onChange={(cutBack) => setDraft({ ...draft, cutBack })}
        />
        <Field label="Note" className="min-w-28 flex-1">
          <Input
            value={draft.note}
            maxLength={1000}
            onChange={(e) => setDraft({ ...draft, note: e.target.value })}
          />
        </Field>
        <Button onClick={() => onKeep([...track.tried, draft])} disabled={track.tried.length >= 50}>
          Keep the trial
        </Button>
      </div>
    </section>
  );
}
