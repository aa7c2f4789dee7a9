'use client';

import type { Brief } from '@/core/records';
import { Button } from '@/ui/button';
import { Check } from '@/ui/field';
import { NameField } from '../common/name-field';
import { LooksForm } from './looks-form';
import { rowsOf } from '../common/rows-of';

interface WhatForProps {
  readonly brief: Brief;
  readonly onKeep: (more: Partial<Brief>) => void;
}

/** Purpose in a sentence, wishes in their order, and whose ideas were taken. */
export function WhatFor({ brief, onKeep }: WhatForProps) {
  return (
    <div
      className="grid h-full content-start items-start gap-4 overflow-auto p-4 lg:grid-cols-2"
      tabIndex={0}
      role="region"
      aria-label="What for"
    >
      <section aria-label="Purpose" className="border-rule bg-sheet rounded-lg border p-4 lg:col-span-2">
        <NameField
          label="What it is for, in a sentence"
          value={brief.purpose}
          mayBeEmpty
          onKeep={(purpose) => onKeep({ purpose })}
        />
      </section>
      <Wishes brief={brief} onKeep={onKeep} />
      <Ideas brief={brief} onKeep={onKeep} />
      <LooksForm />
    </div>
  );
}

function Wishes({ brief, onKeep }: WhatForProps) {
  const put = (wishes: Brief['wishes']) => onKeep({ wishes });
  const rows = rowsOf(brief.wishes, put);
  const up = (i: number) => {
    const next = [...brief.wishes];
    [next[i - 1], next[i]] = [next[i]!, next[i - 1]!];
    put(next);
  };
  return (
    <section aria-label="Wishes" className="border-rule bg-sheet flex flex-col gap-2 rounded-lg border p-4">
      <h2 className="text-[16px]">Wishes, the dearest first</h2>
      <ol className="flex flex-col gap-1">
        {brief.wishes.map((w, i) => (
          <li key={i} className="border-rule flex flex-wrap items-end gap-2 border-b py-1">
            <NameField
              label={`Wish ${i + 1}`}
              value={w.what}
              onKeep={(what) => rows.change(i, { ...w, what })}
              className="min-w-40 flex-1"
            />
            <Check words="done" on={w.done} onChange={(done) => rows.change(i, { ...w, done })} />
            <Button aria-label={`Move up: ${w.what}`} disabled={i === 0} onClick={() => up(i)}>
              Up
            </Button>
            <Button aria-label={`Delete wish: ${w.what}`} onClick={() => rows.remove(i)}>
              Delete
            </Button>
          </li>
        ))}
      </ol>
      <div>
        <Button
          onClick={() => put([...brief.wishes, { what: `wish ${brief.wishes.length + 1}`, done: false }])}
          disabled={brief.wishes.length >= 100}
        >
          Add a wish
        </Button>
      </div>
    </section>
  );
}

const IDEA_FIELDS = [
  ['what', 'What'],
  ['whose', 'Whose'],
  ['where', 'Where it was seen'],
] as const;

function Ideas({ brief, onKeep }: WhatForProps) {
  const put = (ideas: Brief['ideas']) => onKeep({ ideas });
  const rows = rowsOf(brief.ideas, put);
  return (
    <section
      aria-label="Ideas taken from others"
      className="border-rule bg-sheet flex flex-col gap-2 rounded-lg border p-4"
    >
      <h2 className="text-[16px]">Ideas taken from others</h2>
      <ul className="flex flex-col gap-1">
        {brief.ideas.map((idea, i) => (
          <li key={i} className="border-rule flex flex-wrap items-end gap-2 border-b py-1">
            {IDEA_FIELDS.map(([key, label]) => (
              <NameField
                key={key}
                label={`${label}, ${i + 1}`}
                value={idea[key]}
                mayBeEmpty={key !== 'what'}
                onKeep={(text) => rows.change(i, { ...idea, [key]: text.slice(0, 200) })}
                className="min-w-28 flex-1"
              />
            ))}
            <Button aria-label={`Delete idea: ${idea.what}`} onClick={() => rows.remove(i)}>
              Delete
            </Button>
          </li>
        ))}
      </ul>
      <div>
        <Button
          onClick={() =>
            put([...brief.ideas, { what: `idea ${brief.ideas.length + 1}`, whose: '', where: '' }])
          }
          disabled={brief.ideas.length >= 100}
        >
          Credit an idea
        </Button>
      </div>
    </section>
  );
}
