'use client';

import type { Passer } from '@/core/fit';
import { Button } from '@/ui/button';
import { Check } from '@/ui/field';
import { NameField } from '../common/name-field';
import { NumberBox } from '../common/number-box';
import type { InteriorFormProps } from './rooms-form';
import { rowsOf } from '../common/rows-of';

/** Figures, carts, what else must get through: how wide, how high, and whether stairs and ladders stop it. */
export function PassersForm({ interior, onKeep }: InteriorFormProps) {
  const rows = rowsOf(interior.passers, (passers) => onKeep({ passers }));
  const add = () =>
    onKeep({
      passers: [
        ...interior.passers,
        { name: `cart ${interior.passers.length}`, width: 4, height: 9, climbs: false },
      ],
    });
  return (
    <section
      aria-label="What must get through"
      className="border-rule bg-sheet flex flex-col gap-2 rounded-lg border p-4"
    >
      <h2 className="text-[16px]">What must get through</h2>
      <ul className="flex flex-col gap-1">
        {interior.passers.map((p, i) => {
          const set = (more: Partial<Passer>) => rows.change(i, { ...p, ...more });
          return (
            <li key={i} className="border-rule flex flex-wrap items-end gap-2 border-b py-1">
              <NameField
                label={`What, ${i + 1}`}
                value={p.name}
                onKeep={(name) => set({ name })}
                className="min-w-28 flex-1"
              />
              <NumberBox
                label="Wide, studs"
                value={p.width}
                least={1}
                most={2000}
                onChange={(width) => set({ width })}
              />
              <NumberBox
                label="High, plates"
                value={p.height}
                least={1}
                most={3000}
                onChange={(height) => set({ height })}
              />
              <Check words="climbs stairs" on={p.climbs} onChange={(climbs) => set({ climbs })} />
              <Button aria-label={`Delete ${p.name}`} onClick={() => rows.remove(i)}>
                Delete
              </Button>
            </li>
          );
        })}
      </ul>
      <div>
        <Button onClick={add} disabled={interior.passers.length >= 40}>
          Add what must get through
        </Button>
      </div>
    </section>
  );
}
