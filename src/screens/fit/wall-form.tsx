'use client';

import { courseHeight, printCourses, printWalls, readCourses, readWalls } from '@/core/fit';
import { colourWords } from '@/core/colour';
import { WALL_ENDS, WALLS_MEET, type WallJob } from '@/core/records';
import { Check, Field, Select } from '@/ui/field';
import { usePalette } from '@/ui/palette-context';
import { useBuild } from '../common/build-store';
import { notReadWords } from '../words/fit';
import { ColourSelect } from '../common/colour-select';
import { FacesForm } from './faces-form';
import { NameAndZone } from './name-and-zone';
import { OpeningsForm } from './openings-form';
import { PanelsForm } from './panels-form';
import { TypedField } from './typed-field';

const MEET_WORDS = {
  apart: 'stand apart',
  row: 'meet, each with the next',
  room: 'close a room',
} as const;

/** What is wanted of walls: lengths, how they meet, courses from the bottom, openings, areas of another colour. */
export function WallForm({ job, onChange }: { job: WallJob; onChange: (job: WallJob) => void }) {
  const workbench = useBuild((s) => s.workbench);
  const set = (more: Partial<WallJob>) => onChange({ ...job, ...more });
  const aliases = workbench.aliases();
  return (
    <div className="flex flex-col gap-3">
      <TypedField
        label="Walls: a name and studs each"
        value={printWalls(job.walls)}
        read={(text) => readWalls(text, job.walls)}
        onRead={(walls) => set({ walls })}
        sayFault={(f) => notReadWords(f, 'quay 18, slip 11')}
      />
      <div className="grid grid-cols-2 gap-3">
        <Field label="They">
          <Select value={job.meet} onChange={(e) => set({ meet: e.target.value as WallJob['meet'] })}>
            {WALLS_MEET.map((m) => (
              <option key={m} value={m}>
                {MEET_WORDS[m]}
              </option>
            ))}
          </Select>
        </Field>
        <Field label="Thick">
          <Select value={job.thick} onChange={(e) => set({ thick: Number(e.target.value) })}>
            <option value={1}>one stud</option>
            <option value={2}>two studs</option>
          </Select>
        </Field>
      </div>
      {job.thick === 2 && (
        <Check
          words="the inner row may be of any colour at hand"
          on={job.anyInside}
          onChange={(anyInside) => set({ anyInside })}
        />
      )}
      <Ends job={job} onChange={onChange} />
      <TypedField
        label="Courses from the bottom"
        value={printCourses(job.courses)}
        read={(text) =>
          readCourses(text, workbench.palette, (w) => aliases.get(colourWords(w).join(' ')) ?? null)
        }
        onRead={(courses) => set({ courses })}
        sayFault={(f) => notReadWords(f, 'slate, 2 ash, 2 kelp, ash plate, any')}
        long
      />
      <Courses courses={job.courses} />
      <Check
        words="three plates may lie where a brick lacks"
        on={job.plates}
        onChange={(plates) => set({ plates })}
      />
      {job.meet !== 'apart' && (
        <ColourSelect
          label="Stones at the corners"
          none="as the courses"
          value={job.corners}
          onChange={(corners) => set({ corners })}
        />
      )}
      <OpeningsForm job={job} onChange={onChange} />
      <PanelsForm job={job} onChange={onChange} />
      <FacesForm job={job} onChange={onChange} />
      <NameAndZone name={job.name} zone={job.zone} onChange={set} />
    </div>
  );
}

/** What the ends do that meet no other wall. */
function Ends({ job, onChange }: { job: WallJob; onChange: (job: WallJob) => void }) {
  const last = job.walls.length - 1;
  const isFree = (i: number, end: 'left' | 'right') =>
    job.meet === 'apart' || (job.meet === 'row' && (end === 'left' ? i === 0 : i === last));
  const ends = job.walls.flatMap((w, i) =>
    (['left', 'right'] as const).filter((end) => isFree(i, end)).map((end) => ({ w, end })),
  );
  if (ends.length === 0) return null;
  return (
    <ul className="flex flex-col gap-1">
      {ends.map(({ w, end }) => (
        <li key={`${w.id}${end}`} className="flex items-center gap-2">
          <span className="flex-1">
            <bdi>{w.name}</bdi>, {end} end
          </span>
          <Select
            aria-label={`${w.name}, ${end} end`}
            value={w[end]}
            onChange={(e) =>
              onChange({
                ...job,
                walls: job.walls.map((x) => (x.id === w.id ? { ...x, [end]: e.target.value } : x)),
              })
            }
          >
            {WALL_ENDS.map((x) => (
              <option key={x}>{x}</option>
            ))}
          </Select>
        </li>
      ))}
    </ul>
  );
}

/** The courses from the top, as they stand, with their height. */
function Courses({ courses }: { courses: WallJob['courses'] }) {
  const palette = usePalette();
  return (
    <ol aria-label="Courses from the top" className="text-[12px]">
      {courses
        .map((c, i) => ({ ...c, no: i + 1, colour: c.colour === null ? undefined : palette.get(c.colour) }))
        .reverse()
        .map((c) => (
          <li key={c.no} className="border-rule flex min-h-6 items-center gap-2 border-b">
            <span className="text-faint w-5">{c.no}</span>
            <span
              aria-hidden
              style={{ background: c.colour?.hex ?? 'transparent', height: 4 * courseHeight(c.family) }}
              className="border-edge w-4 rounded-xs border"
            />
            <span className="flex-1">
              {c.colour ? `${c.colour.name}, ${c.colour.family}` : 'any colour, hidden'}
            </span>
            <span className="text-faint">{c.family === 'brick' ? '' : c.family}</span>
          </li>
        ))}
    </ol>
  );
}
