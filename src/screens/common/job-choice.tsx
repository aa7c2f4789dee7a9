'use client';

import { Trash2 } from 'lucide-react';
import { Button } from '@/ui/button';
import { Select } from '@/ui/field';

interface JobChoiceProps {
  readonly label: string;
  readonly jobs: readonly { readonly id: string; readonly name: string }[];
  readonly chosen: { readonly id: string; readonly name: string };
  readonly onChoose: (id: string) => void;
  readonly onBegin: () => void;
  readonly onDelete: () => void;
}

/** Which of several things that are to be laid is looked at; another is begun, or this one deleted. */
export function JobChoice({ label, jobs, chosen, onChoose, onBegin, onDelete }: JobChoiceProps) {
  return (
    <div className="flex items-center gap-2">
      <Select
        aria-label={label}
        value={chosen.id}
        onChange={(e) => onChoose(e.target.value)}
        className="min-w-0 flex-1 font-semibold"
      >
        {jobs.map((j) => (
          <option key={j.id} value={j.id}>
            {j.name}
          </option>
        ))}
      </Select>
      <Button onClick={onBegin}>New</Button>
      <Button look="bare" aria-label={`Delete ${chosen.name}`} onClick={onDelete}>
        <Trash2 size={14} aria-hidden />
      </Button>
    </div>
  );
}
