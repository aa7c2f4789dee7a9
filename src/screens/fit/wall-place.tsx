'use client';

import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import type { WallJob } from '@/core/records';
import { Button } from '@/ui/button';
import { Field, Select } from '@/ui/field';
import { NumberBox } from '../common/number-box';

/** A place in a wall: how wide, from which course, and how many. */
interface Box {
  readonly wall: string;
  readonly width: number;
  readonly bottom: number;
  readonly courses: number;
}

interface WallPlaceProps {
  readonly job: WallJob;
  readonly box: Box;
  readonly set: (more: Partial<Box>) => void;
  /** "opening 2": what is deleted. */
  readonly what: string;
  readonly onDelete: () => void;
  /** What it is of. */
  readonly head: ReactNode;
  /** Where it begins along the wall. */
  readonly children: ReactNode;
}

/** One place in a wall in a list of such: an opening, or an area of another colour. */
export const WallPlace = ({ job, box, set, what, onDelete, head, children }: WallPlaceProps) => (
  <li className="border-rule rounded-md border p-2">
    <div className="flex items-end gap-2">
      {head}
      <Button look="bare" aria-label={`Delete ${what}`} onClick={onDelete}>
        <X size={14} aria-hidden />
      </Button>
    </div>
    <div className="mt-1 flex flex-wrap gap-2">
      {job.walls.length > 1 && (
        <Field label="In">
          <Select value={box.wall} onChange={(e) => set({ wall: e.target.value })}>
            {job.walls.map((w) => (
              <option key={w.id} value={w.id}>
                {w.name}
              </option>
            ))}
          </Select>
        </Field>
      )}
      <NumberBox
        label="Studs wide"
        value={box.width}
        least={1}
        most={400}
        onChange={(width) => set({ width })}
      />
      <NumberBox
        label="Courses"
        value={box.courses}
        least={1}
        most={80}
        onChange={(courses) => set({ courses })}
      />
      <NumberBox
        label="From course"
        value={box.bottom + 1}
        least={1}
        most={80}
        onChange={(n) => set({ bottom: n - 1 })}
      />
      {children}
    </div>
  </li>
);
