'use client';

import { useMemo } from 'react';
import { deleteTrack, keepTrack, newTrack, trackClearance, type TrackClearance } from '@/core/fit';
import { TRACK_SIDES, type Track, type TrackSide } from '@/core/records';
import { Button } from '@/ui/button';
import { Check, Field, Select } from '@/ui/field';
import { useBuild } from '../common/build-store';
import { longestWords, trackWords, triedWords } from '../words/clearance';
import { CurveDrawing } from './curve-drawing';
import { JobChoice } from './job-choice';
import { NameField } from './name-field';
import { NumberBox } from './number-box';
import { Figure, Sum } from './result';
import { TrackCourses } from './track-courses';
import { TrackTrials } from './track-trials';
import { useJobs } from './use-jobs';

/** A railway or tram past a wall: what is swept in the curve, and which courses must go back by how much. */
export function TrackSum() {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const { jobs, job, choose } = useJobs('track');
  const passes = useMemo(() => {
    void version;
    return job && trackClearance(workbench, job);
  }, [workbench, version, job]);
  const begin = () => {
    const made = newTrack(workbench, source());
    perform(keepTrack(workbench, made));
    choose(made.id);
  };
  if (!job)
    return (
      <Sum
        title="A railway or tram past a wall"
        form={
          <Button look="main" onClick={begin}>
            Say how it runs
          </Button>
        }
      >
        <p className="text-soft">
          Its length, its bogies, its curve and how far the wall stands: which courses must go back is told.
        </p>
      </Sum>
    );
  const keep = (more: Partial<Track>) => perform(keepTrack(workbench, { ...job, ...more }));
  return (
    <Sum
      title="A railway or tram past a wall"
      form={
        <>
          <JobChoice
            label="Track"
            jobs={jobs}
            chosen={job}
            onChoose={choose}
            onBegin={begin}
            onDelete={() => perform(deleteTrack(job))}
          />
          <TrackForm track={job} onKeep={keep} />
        </>
      }
    >
      {passes ? (
        <TrackAnswer track={job} passes={passes} />
      ) : (
        <p role="status">
          ▲ This vehicle cannot stand on this curve: its bogies are further apart than the curve is wide, or
          it is shorter than from bogie to bogie.
        </p>
      )}
      <TrackTrials track={job} onKeep={(tried) => keep({ tried })} />
    </Sum>
  );
}

function TrackAnswer({ track, passes }: { track: Track; passes: TrackClearance }) {
  return (
    <>
      <div className="flex flex-wrap gap-4" role="status">
        {TRACK_SIDES.map((side) => (
          <Figure
            key={side}
            value={`${passes.swept[side]} mm`}
            words={`${side}: a wall from ${passes.swept[`${side}Studs`]} studs`}
          />
        ))}
      </div>
      <p className="mt-2">
        {trackWords(track, passes)} {longestWords(passes.longest)} {triedWords(track, passes.longest)}
      </p>
      <CurveDrawing vehicle={track} radius={track.radius} swept={passes.swept} />
      <TrackCourses track={track} passes={passes} />
    </>
  );
}

const SIZES = [
  ['length', 'Vehicle long, mm', 1, 5000],
  ['pivots', 'Between bogies, mm', 0, 5000],
  ['width', 'Wide, mm', 1, 1000],
  ['from', 'Body from, mm up', 0, 2000],
  ['to', 'Body to, mm up', 1, 2000],
] as const;

function TrackForm({ track, onKeep }: { track: Track; onKeep: (more: Partial<Track>) => void }) {
  const workbench = useBuild((s) => s.workbench);
  const walls = [...workbench.records.wallJob.values()].filter((j) => j.build === workbench.build);
  return (
    <>
      <NameField label="Name" value={track.name} onKeep={(name) => onKeep({ name })} />
      {SIZES.map(([key, label, least, most]) => (
        <NumberBox
          key={key}
          label={label}
          value={track[key]}
          least={least}
          most={most}
          parts
          onChange={(n) => onKeep({ [key]: n })}
        />
      ))}
      <Check
        words="in a curve"
        on={track.radius !== null}
        onChange={(on) => onKeep({ radius: on ? 320 : null })}
      />
      {track.radius !== null && (
        <NumberBox
          label="Radius of the middle, mm"
          value={track.radius}
          least={1}
          most={20_000}
          parts
          onChange={(radius) => onKeep({ radius })}
        />
      )}
      <NumberBox
        label="Room to spare, mm"
        value={track.room}
        least={0}
        most={200}
        parts
        onChange={(room) => onKeep({ room })}
      />
      <Field label="The wall">
        <Select
          value={track.wall ?? ''}
          onChange={(e) => onKeep({ wall: (e.target.value || null) as Track['wall'] })}
        >
          <option value="">of plain bricks</option>
          {walls.map((w) => (
            <option key={w.id} value={w.id}>
              {w.name}
            </option>
          ))}
        </Select>
      </Field>
      <Field label="stands">
        <Select value={track.side} onChange={(e) => onKeep({ side: e.target.value as TrackSide })}>
          {TRACK_SIDES.map((s) => (
            <option key={s} value={s}>
              {s} the curve
            </option>
          ))}
        </Select>
      </Field>
      <NumberBox
        label="at, studs"
        value={track.distance}
        least={0}
        most={500}
        onChange={(distance) => onKeep({ distance })}
      />
    </>
  );
}
