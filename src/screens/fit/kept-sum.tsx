'use client';

import type { ReactNode } from 'react';
import type { Command, Source } from '@/core/ledger';
import type { RecordTypes } from '@/core/records';
import type { Workbench } from '@/core/workbench';
import { Button } from '@/ui/button';
import { useBuild } from '../common/build-store';
import { JobChoice } from '../common/job-choice';
import { Sum } from '../common/result';
import { useJobs } from '../common/use-jobs';

type KeptType = 'track' | 'ring' | 'seam' | 'connection';

interface KeptSumProps<T extends KeptType> {
  readonly type: T;
  readonly title: string;
  /** What one of them is called in the list of them. */
  readonly label: string;
  /** Where none is kept yet: what it is for, and the button that begins one. */
  readonly says: string;
  readonly words: string;
  readonly make: (workbench: Workbench, source: Source) => RecordTypes[T];
  readonly keep: (workbench: Workbench, record: RecordTypes[T]) => Command;
  readonly remove: (record: RecordTypes[T]) => Command;
  readonly form: (record: RecordTypes[T], onKeep: (more: Partial<RecordTypes[T]>) => void) => ReactNode;
  readonly answer: (record: RecordTypes[T], onKeep: (more: Partial<RecordTypes[T]>) => void) => ReactNode;
}

/** A sum whose question is kept with the build, several of a kind: one is chosen, begun, changed or deleted. */
export function KeptSum<T extends KeptType>(props: KeptSumProps<T>) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const { jobs, job, choose } = useJobs(props.type);
  const begin = () => {
    const made = props.make(workbench, source());
    perform(props.keep(workbench, made));
    choose(made.id);
  };
  if (!job)
    return (
      <Sum
        title={props.title}
        form={
          <Button look="main" onClick={begin}>
            {props.words}
          </Button>
        }
      >
        <p className="text-soft">{props.says}</p>
      </Sum>
    );
  const keep = (more: Partial<RecordTypes[T]>) => perform(props.keep(workbench, { ...job, ...more }));
  return (
    <Sum
      title={props.title}
      form={
        <>
          <JobChoice
            label={props.label}
            jobs={jobs}
            chosen={job}
            onChoose={choose}
            onBegin={begin}
            onDelete={() => perform(props.remove(job))}
          />
          {props.form(job, keep)}
        </>
      }
    >
      {props.answer(job, keep)}
    </Sum>
  );
}
