'use client';

import { FACE_FAMILIES } from '@/core/fit';
import type { WallJob } from '@/core/records';
import { Button } from '@/ui/button';
import { Field, Select } from '@/ui/field';
import { NumberBox } from '../common/number-box';
import { rowsOf } from '../common/rows-of';

/** Faces of brick that are spread over the visible courses: a family each, and its share. */
export function FacesForm({ job, onChange }: { job: WallJob; onChange: (job: WallJob) => void }) {
  const put = (faces: WallJob['faces']) => onChange({ ...job, faces });
  const rows = rowsOf(job.faces, put);
  const next = FACE_FAMILIES.find((f) => job.faces.every((x) => x.family !== f));
  return (
    <section aria-label="Faces spread over the walls">
      <h3 className="mb-1 text-[14px]">Faces spread over the walls</h3>
      <ul className="flex flex-col gap-1">
        {job.faces.map((face, i) => (
          <li key={face.family} className="flex flex-wrap items-end gap-2">
            <Field label={`Face ${i + 1}`}>
              <Select
                value={face.family}
                onChange={(e) => rows.change(i, { ...face, family: e.target.value })}
              >
                {FACE_FAMILIES.filter((f) => f === face.family || job.faces.every((x) => x.family !== f)).map(
                  (f) => (
                    <option key={f}>{f}</option>
                  ),
                )}
              </Select>
            </Field>
            <NumberBox
              label="% of the studs"
              value={face.share}
              least={1}
              most={100}
              onChange={(share) => rows.change(i, { ...face, share })}
            />
            <Button aria-label={`Delete the face of ${face.family}s`} onClick={() => rows.remove(i)}>
              Delete
            </Button>
          </li>
        ))}
      </ul>
      {next && (
        <Button className="mt-1" onClick={() => put([...job.faces, { family: next, share: 10 }])}>
          Spread a face
        </Button>
      )}
    </section>
  );
}
