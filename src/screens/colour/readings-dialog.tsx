'use client';

import { readTyped } from '@/core/shared/decimal';
import { editNumber, formatDay, formatFixed } from '@/core/shared/forms';
import clsx from 'clsx';
import { useState } from 'react';
import { asThresholds, FADING_GRADES, hexOfLab } from '@/core/colour';
import { elementName } from '@/core/parts';
import { readingLab, setFadingGrades, thresholdsOf, trustReading } from '@/core/fading';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Field, Input } from '@/ui/field';
import { useBuild } from '../common/build-store';
import { placeName } from '../words/places';

/** Every reading with how it was made; which are trusted; and the grades of fading. */
export function ReadingsDialog({ onClose }: { onClose: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const readings = [...workbench.records.reading.values()].sort((a, b) => (a.at < b.at ? 1 : -1));
  return (
    <Dialog
      open
      onOpenChange={onClose}
      wide
      beside
      title={`${readings.length} readings`}
      says="Lab under D65, compared by CIEDE2000. A reading that is doubted is kept; nothing is worked out from it."
    >
      <Thresholds />
      <ul className="mt-3">
        {readings.map((r) => (
          <li key={r.id} className="border-rule flex min-h-10 items-center gap-3 border-b py-1">
            <span
              aria-hidden
              style={{ background: hexOfLab(readingLab(r)) }}
              className="border-edge size-7 shrink-0 rounded-xs border"
            />
            <span className={clsx('min-w-0 flex-1', !r.trusted && 'text-faint')}>
              <span className="block">
                <b>{r.batch}</b> {r.qty} {elementName(r.element)},{' '}
                <bdi>{placeName(r.account, workbench.records)}</bdi>
              </span>
              <span className="text-faint block text-[12px]">
                L* {formatFixed(r.l)} a* {formatFixed(r.a)} b* {formatFixed(r.b)} ± {formatFixed(r.spread, 2)}{' '}
                · {r.made} · {formatDay(r.at)}
                {!r.trusted && ` · not trusted: ${r.doubt}`}
              </span>
            </span>
            <Button onClick={() => perform(trustReading(r, !r.trusted, r.trusted ? 'doubted by hand' : ''))}>
              {r.trusted ? 'Doubt it' : 'Trust it'}
            </Button>
          </li>
        ))}
      </ul>
    </Dialog>
  );
}

function Thresholds() {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const now = thresholdsOf(workbench);
  const [draft, setDraft] = useState(now.map((n) => editNumber(n)));
  const next = asThresholds(draft.map(readTyped));
  return (
    <form
      className="flex flex-wrap items-end gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        if (!next) return;
        perform(setFadingGrades(workbench, next));
      }}
    >
      {FADING_GRADES.slice(1).map((grade, i) => (
        <Field key={grade} label={`${grade}, from ΔE00`}>
          <Input
            inputMode="decimal"
            value={draft[i]}
            aria-invalid={!next}
            onChange={(e) => setDraft(draft.map((d, k) => (k === i ? e.target.value : d)))}
            className="w-24"
          />
        </Field>
      ))}
      <Button type="submit" disabled={!next}>
        Set the grades
      </Button>
      {!next && <span role="alert">▲ Four numbers, each larger than the one before.</span>}
    </form>
  );
}
