'use client';

import type { Plot } from '@/core/records';
import { Button } from '@/ui/button';
import { Check, Field, Select } from '@/ui/field';
import { FrontForm } from './front-form';
import { NameField } from '../common/name-field';
import { NumberBox } from '../common/number-box';
import { rowsOf } from '../common/rows-of';

type Neighbour = Plot['neighbours'][number];

interface NeighboursFormProps {
  readonly plot: Plot;
  readonly onKeep: (more: Partial<Plot>) => void;
}

/** Other buildings of the row from the left, and where among them this one stands. */
export function NeighboursForm({ plot, onKeep }: NeighboursFormProps) {
  const put = (neighbours: readonly Neighbour[]) => onKeep({ neighbours });
  const rows = rowsOf(plot.neighbours, put);
  const another = (): Neighbour => ({
    name: `House ${plot.neighbours.length + 1}`,
    width: 16,
    depth: 32,
    storeys: [],
    kerb: null,
    cornices: [],
    doors: [],
    shares: false,
  });
  return (
    <section
      aria-label="Neighbours"
      className="border-rule bg-sheet flex flex-col gap-3 rounded-lg border p-4"
    >
      <h2 className="text-[16px]">Neighbours, from the left</h2>
      {plot.neighbours.length === 0 && (
        <p className="text-soft">
          Other buildings of the row: their storeys are then held against this one’s.
        </p>
      )}
      <ul className="flex flex-col gap-2">
        {plot.neighbours.map((n, i) => (
          <li key={i} className="border-rule rounded-md border p-2">
            <NeighbourRow
              no={i + 1}
              neighbour={n}
              onChange={(next) => rows.change(i, next)}
              onDelete={() => rows.remove(i)}
            />
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-end gap-3">
        <Button onClick={() => put([...plot.neighbours, another()])} disabled={plot.neighbours.length >= 30}>
          Add a neighbour
        </Button>
        {plot.neighbours.length > 0 && (
          <Field label="This build stands">
            <Select value={plot.place} onChange={(e) => onKeep({ place: Number(e.target.value) })}>
              {Array.from({ length: plot.neighbours.length + 1 }, (_, i) => (
                <option key={i} value={i}>
                  {i === 0 ? 'first' : `after ${plot.neighbours[i - 1]!.name}`}
                </option>
              ))}
            </Select>
          </Field>
        )}
      </div>
    </section>
  );
}

interface RowProps {
  readonly no: number;
  readonly neighbour: Neighbour;
  readonly onChange: (neighbour: Neighbour) => void;
  readonly onDelete: () => void;
}

function NeighbourRow({ no, neighbour: n, onChange, onDelete }: RowProps) {
  const set = (more: Partial<Neighbour>) => onChange({ ...n, ...more });
  return (
    <>
      <div className="flex flex-wrap items-end gap-2">
        <NameField
          label={`Neighbour ${no}`}
          value={n.name}
          onKeep={(name) => set({ name })}
          className="min-w-32 flex-1"
        />
        <NumberBox label="Wide" value={n.width} least={1} most={2000} onChange={(width) => set({ width })} />
        <NumberBox label="Deep" value={n.depth} least={1} most={2000} onChange={(depth) => set({ depth })} />
        <Check words="on the same base" on={n.shares} onChange={(shares) => set({ shares })} />
        <Button aria-label={`Delete ${n.name}`} onClick={onDelete}>
          Delete
        </Button>
      </div>
      <FrontForm of={`${n.name}: `} front={n} onKeep={set} />
    </>
  );
}
