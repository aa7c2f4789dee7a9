'use client';

import { useMemo, useState } from 'react';
import type { Stage } from '@/core/records';
import {
  cameWent,
  changeStage,
  deleteStage,
  nameStage,
  stageAt,
  stagesOf,
  standsAt,
  unpackedAt,
  type Moment,
} from '@/core/show';
import { Button } from '@/ui/button';
import { Field, Input, Select } from '@/ui/field';
import { count } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { NameField } from '../common/name-field';
import { PhotoButton } from '../common/photo-button';
import { CameWentLists } from './came-went-lists';
import { GrowthAxis } from './growth-axis';
import { StageColumns } from './stage-columns';
import { StagePhotos } from './stage-photos';
import { StageSize } from './stage-size';

/** Named moments of the build, two or three of them beside each other, and how it grew line by line. */
export function StagesTab({ planned }: { planned: boolean }) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const stages = useMemo(() => {
    void version;
    return stagesOf(workbench);
  }, [workbench, version]);
  const [chosen, setChosen] = useState<readonly string[] | null>(null);
  const shown = useShown(stages, chosen, planned);
  const [first, last] = [shown[0], shown.at(-1)];
  const changes = useMemo(
    () => (first && last && first !== last ? cameWent(workbench, first.now.books, last.now.books) : null),
    [workbench, first, last],
  );
  const toggle = (id: string, on: boolean) => {
    const ids = shown.map((s) => s.id);
    setChosen(on ? [...ids, id].slice(-3) : ids.filter((i) => i !== id));
  };
  return (
    <div className="mx-auto max-w-6xl">
      <h1 className="text-[21px] leading-tight">
        {stages.length === 0
          ? 'Name the moments that the mod is told by.'
          : `${count(stages.length)} ${stages.length === 1 ? 'stage' : 'stages'}: ${shown.map((s) => s.name).join(' beside ')}`}
      </h1>
      <NewStage stages={stages} />
      <ul className="mb-4 flex flex-col gap-1">
        {[...stages, null].map((s) => (
          <StageRow
            key={s?.id ?? 'now'}
            stage={s}
            planned={planned}
            on={shown.some((x) => x.id === (s?.id ?? 'now'))}
            onShow={(on) => toggle(s?.id ?? 'now', on)}
          />
        ))}
      </ul>
      <StageColumns shown={shown} />
      <StagePhotos stages={shown.flatMap((s) => (s.stage ? [s.stage] : []))} />
      {changes && first && last && <CameWentLists changes={changes} from={first.name} to={last.name} />}
      <GrowthAxis planned={planned} stages={stages} />
    </div>
  );
}

/** A moment that is shown, with how the build stood then. */
export interface Shown {
  readonly id: string;
  readonly name: string;
  readonly stage: Stage | null;
  readonly now: ReturnType<typeof stageAt>;
}

/** The chosen moments in their order; at first the first stage and the last, or what stands now. */
function useShown(stages: readonly Stage[], chosen: readonly string[] | null, planned: boolean): Shown[] {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  return useMemo(() => {
    void version;
    const [first, last] = [stages[0], stages.at(-1)];
    const ids = chosen ?? (first && last && first !== last ? [first.id, last.id] : [first?.id, 'now']);
    const all = [
      ...stages.map((stage) => ({
        id: stage.id as string,
        name: stage.name,
        stage,
        moment: stage.no as Moment,
      })),
      {
        ...{ id: 'now', name: planned ? 'as planned' : 'as built', stage: null },
        moment: planned ? ('planned' as const) : standsAt(workbench),
      },
    ];
    return all
      .filter((s) => ids.includes(s.id))
      .slice(0, 3)
      .map(({ moment, ...s }) => ({ ...s, now: stageAt(workbench, moment) }));
  }, [workbench, version, stages, chosen, planned]);
}

/** Names a moment: as shipped, after one of the modifications, or now. */
function NewStage({ stages }: { stages: readonly Stage[] }) {
  const workbench = useBuild((s) => s.workbench);
  useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [name, setName] = useState('');
  const moments = momentsOf(workbench);
  const [at, setAt] = useState('now');
  const no = moments.find((m) => m.key === at)?.no ?? standsAt(workbench);
  const isFull = stages.length >= 200;
  return (
    <form
      className="my-3 flex flex-wrap items-end gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        if (!name.trim() || isFull) return;
        perform(nameStage(workbench, { name: name.trim(), no }, source()));
        setName('');
      }}
    >
      <Field label="A stage">
        <Input
          value={name}
          maxLength={200}
          placeholder="colours put right"
          onChange={(e) => setName(e.target.value)}
        />
      </Field>
      <Field label="It is the moment">
        <Select value={at} onChange={(e) => setAt(e.target.value)}>
          {moments.map((m) => (
            <option key={m.key} value={m.key}>
              {m.words}
            </option>
          ))}
        </Select>
      </Field>
      <Button type="submit" look="main" disabled={!name.trim() || isFull}>
        Name it
      </Button>
    </form>
  );
}

/** Moments that can be named: as shipped, the end of each modification that is done, now. */
function momentsOf(workbench: Parameters<typeof standsAt>[0]) {
  const ends = workbench.modifications.flatMap((m) => {
    const no = workbench
      .entriesIn(m.id)
      .reduce((most, e) => (e.state === 'done' && e.whatIf === null ? Math.max(most, e.no) : most), 0);
    return no > 0 ? [{ key: m.id as string, no, words: `after “${m.title}”, entry ${no}` }] : [];
  });
  ends.sort((a, b) => a.no - b.no);
  return [
    { key: 'now', no: standsAt(workbench), words: 'now' },
    { key: 'shipped', no: unpackedAt(workbench), words: 'as it was unpacked' },
    ...ends,
  ];
}

interface RowProps {
  readonly stage: Stage | null;
  readonly planned: boolean;
  readonly on: boolean;
  readonly onShow: (on: boolean) => void;
}

function StageRow({ stage, planned, on, onShow }: RowProps) {
  const perform = useBuild((s) => s.perform);
  const workbench = useBuild((s) => s.workbench);
  const name = stage?.name ?? (planned ? 'as planned' : 'as built');
  return (
    <li className="border-rule flex flex-wrap items-center gap-2 border-b py-1">
      <label className="flex min-h-7 min-w-48 flex-1 items-center gap-2">
        <input type="checkbox" checked={on} onChange={(e) => onShow(e.target.checked)} className="size-4" />
        <b>
          <bdi>{name}</bdi>
        </b>
        <span className="text-soft">
          {stage
            ? stage.no <= unpackedAt(workbench)
              ? 'as unpacked'
              : `up to entry ${count(stage.no)}`
            : 'now'}
        </span>
      </label>
      {stage && (
        <details className="max-sm:w-full">
          <summary className="min-h-7">Photo, size, note</summary>
          <div className="flex flex-wrap items-end gap-2 py-2">
            <NameField
              label="Name"
              value={stage.name}
              onKeep={(n) => perform(changeStage(stage, { name: n }))}
              className="w-44"
            />
            <NameField
              label="Note"
              value={stage.note}
              mayBeEmpty
              onKeep={(note) => perform(changeStage(stage, { note }))}
              className="w-64"
            />
            <StageSize stage={stage} />
            <PhotoButton
              words={stage.photo ? 'Another photo' : 'Photo'}
              label={`A photo of ${stage.name}`}
              onKept={(photo) => perform(changeStage(stage, { photo, marks: [] }))}
            />
            {stage.photo && (
              <Button onClick={() => perform(changeStage(stage, { photo: null, marks: [] }))}>
                No photo
              </Button>
            )}
            <Button onClick={() => perform(deleteStage(stage))}>Delete</Button>
          </div>
        </details>
      )}
    </li>
  );
}
