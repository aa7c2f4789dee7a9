'use client';

import { formatDay } from '@/core/shared/forms';
import { useState } from 'react';
import { asideNow, isAsideOver, keepAside, lookedAgain, putAsideUntil } from '@/core/brief';
import { FRESH_EYES, type PutAside } from '@/core/records';
import { Button } from '@/ui/button';
import { Field, Input } from '@/ui/field';
import { useBuild } from '../common/build-store';
import { NameField } from '../common/name-field';
import { KeptPhoto, PhotoButton } from '../common/photo-button';
import { useToday } from '../common/use-today';
import { FRESH_WORDS } from '../words/brief';

/** Put aside until a day; then a short list of questions, answered and kept with a photo. */
export function FreshEyes() {
  const workbench = useBuild((s) => s.workbench);
  useBuild((s) => s.version);
  const today = useToday();
  const aside = asideNow(workbench);
  const looked = [...workbench.records.putAside.values()].filter(
    (p) => p.build === workbench.build && p.lookedOn,
  );
  return (
    <section
      aria-label="Fresh eyes"
      className="border-rule bg-sheet flex flex-col gap-3 rounded-lg border p-4"
    >
      <h2 className="text-[16px]">
        {!aside
          ? 'Put it aside, and look again with fresh eyes'
          : isAsideOver(aside, today)
            ? 'The day has come: look at it again'
            : `Put aside until ${formatDay(aside.until)}`}
      </h2>
      {!aside && <PutAsideForm today={today} />}
      {aside && (
        <p className="text-soft">
          Since {formatDay(aside.since)}. <bdi>{aside.why}</bdi>
        </p>
      )}
      {aside && isAsideOver(aside, today) && <Questions aside={aside} />}
      {aside && !isAsideOver(aside, today) && <LookNow aside={aside} today={today} />}
      {looked.map((p) => (
        <details key={p.id}>
          <summary className="cursor-pointer">Looked at again on {formatDay(p.lookedOn)}</summary>
          <dl>
            {p.answers.map((a) => (
              <div key={a.question}>
                <dt className="text-soft">{FRESH_WORDS[a.question]}</dt>
                <dd>
                  <bdi>{a.answer}</bdi>
                </dd>
              </div>
            ))}
          </dl>
          <KeptPhoto id={p.photo} words="As it looked then" className="max-h-48 rounded-sm" />
        </details>
      ))}
    </section>
  );
}

function PutAsideForm({ today }: { today: string }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [until, setUntil] = useState('');
  const [why, setWhy] = useState('');
  return (
    <div className="flex flex-wrap items-end gap-2">
      <Field label="Until">
        <Input
          type="date"
          value={until}
          min={today.slice(0, 10)}
          onChange={(e) => setUntil(e.target.value)}
        />
      </Field>
      <NameField
        label="What troubles you about it"
        value={why}
        mayBeEmpty
        onKeep={setWhy}
        className="flex-1"
      />
      <Button
        look="main"
        disabled={until === ''}
        onClick={() => perform(putAsideUntil(workbench, until, why.slice(0, 120), source()))}
      >
        Put it aside
      </Button>
    </div>
  );
}

const LookNow = ({ aside, today }: { aside: PutAside; today: string }) => {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  return (
    <div>
      <Button onClick={() => perform(keepAside(workbench, { ...aside, until: today.slice(0, 10) }))}>
        Look at it today already
      </Button>
    </div>
  );
};

function Questions({ aside }: { aside: PutAside }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const keep = (more: Partial<PutAside>) => perform(keepAside(workbench, { ...aside, ...more }));
  return (
    <div className="flex flex-col gap-2">
      {FRESH_EYES.map((question) => (
        <NameField
          key={question}
          label={FRESH_WORDS[question]}
          value={aside.answers.find((a) => a.question === question)?.answer ?? ''}
          mayBeEmpty
          onKeep={(answer) =>
            keep({ answers: [...aside.answers.filter((a) => a.question !== question), { question, answer }] })
          }
        />
      ))}
      <KeptPhoto id={aside.photo} words="As it looked then" className="max-h-48 rounded-sm" />
      <div className="flex gap-2">
        <PhotoButton words="Add a photo" label="Photo of the build" onKept={(photo) => keep({ photo })} />
        <Button
          look="main"
          disabled={aside.answers.length === 0}
          onClick={() => perform(lookedAgain(aside, source()))}
        >
          That is what I saw
        </Button>
      </div>
    </div>
  );
}
