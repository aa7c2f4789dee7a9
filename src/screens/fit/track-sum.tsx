'use client';

import { formatLength } from '@/core/shared/forms';
import { useMemo } from 'react';
import { deleteTrack, keepTrack, newTrack, trackClearance } from '@/core/fit';
import { TRACK_SIDES, type Track, type TrackSide } from '@/core/records';
import { Check, Field, Select } from '@/ui/field';
import { useBuild } from '../common/build-store';
import { longestWords, trackWords, triedWords } from '../words/clearance';
import { CurveDrawing } from './curve-drawing';
import { KeptSum } from './kept-sum';
import { NameField } from '../common/name-field';
import { LengthBox } from '../common/length-box';
import { NumberBox } from '../common/number-box';
import { Figure } from '../common/result';
import { TrackCourses } from './track-courses';
import { TrackTrials } from './track-trials';

/** A railway or tram past a wall: what is swept in the curve, and which courses must go back by how much. */
export const TrackSum = () => (
  <KeptSum
    type="track"
    title="A railway or tram past a wall"
    label="Track"
    says="Its length, its bogies, its curve and how far the wall stands: which courses must go back is told."
    words="Say how it runs"
    make={newTrack}
    keep={keepTrack}
    remove={deleteTrack}
    form={(track, onKeep) => <TrackForm track={track} onKeep={onKeep} />}
    answer={(track, onKeep) => (
      <>
        <TrackAnswer track={track} />
        <TrackTrials track={track} onKeep={(tried) => onKeep({ tried })} />
      </>
    )}
  />
);

function TrackAnswer({ track }: { track: Track }) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const passes = useMemo(() => {
    void version;
    return trackClearance(workbench, track);
  }, [workbench, version, track]);
  if (!passes)
    return (
      <p role="status">
        ▲ This vehicle cannot stand on this curve: its bogies are further apart than the curve is wide, or it
        is shorter than from bogie to bogie.
      </p>
    );
  return (
    <>
      <div className="flex flex-wrap gap-4" role="status">
        {TRACK_SIDES.map((side) => (
          <Figure
            key={side}
            value={formatLength(passes.swept[side])}
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
  ['length', 'Vehicle long', 1, 5000],
  ['pivots', 'Between bogies', 0, 5000],
  ['width', 'Wide', 1, 1000],
  ['from', 'Body from, above the rail', 0, 2000],
  ['to', 'Body to, above the rail', 1, 2000],
] as const;

function TrackForm({ track, onKeep }: { track: Track; onKeep: (more: Partial<Track>) => void }) {
  const workbench = useBuild((s) => s.workbench);
  const walls = [...workbench.records.wallJob.values()].filter((j) => j.build === workbench.build);
  return (
    <>
      <NameField label="Name" value={track.name} onKeep={(name) => onKeep({ name })} />
      {SIZES.map(([key, label, least, most]) => (
        <LengthBox
          key={key}
          label={label}
          value={track[key]}
          least={least}
          most={most}
          onChange={(n) => onKeep({ [key]: n })}
        />
      ))}
      <Check
        words="in a curve"
        on={track.radius !== null}
        onChange={(on) => onKeep({ radius: on ? 320 : null })}
      />
      {track.radius !== null && (
        <LengthBox
          label="Radius of the middle"
          value={track.radius}
          least={1}
          most={20_000}
          onChange={(radius) => onKeep({ radius })}
        />
      )}
      <LengthBox
        label="Room to spare"
        value={track.room}
        least={0}
        most={200}
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
