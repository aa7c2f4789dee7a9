'use client';

import type { RoomWay } from '@/core/fit';
import { STREET, WAY_KINDS, type WayKind } from '@/core/records';
import { Button } from '@/ui/button';
import { Field, Select } from '@/ui/field';
import { roomName, WAY_WORDS } from '../words/rooms';
import { NumberBox } from '../common/number-box';
import type { InteriorFormProps } from './rooms-form';
import { rowsOf } from '../common/rows-of';

/** Doors, openings, stairs, ladders and hatches: from where to where, how wide and how high. */
export function WaysForm({ interior, onKeep }: InteriorFormProps) {
  const rows = rowsOf(interior.ways, (ways) => onKeep({ ways }));
  const last = interior.rooms.at(-1);
  const add = () =>
    last &&
    onKeep({
      ways: [...interior.ways, { from: STREET, to: last.id, kind: 'door', width: 4, height: 15 }],
    });
  const places = [STREET, ...interior.rooms.map((r) => r.id)];
  return (
    <section
      aria-label="Ways between them"
      className="border-rule bg-sheet flex flex-col gap-2 rounded-lg border p-4"
    >
      <h2 className="text-[16px]">Ways between them</h2>
      <ul className="flex flex-col gap-1">
        {interior.ways.map((w, i) => {
          const set = (more: Partial<RoomWay>) => rows.change(i, { ...w, ...more });
          return (
            <li key={i} className="border-rule flex flex-wrap items-end gap-2 border-b py-1">
              <Field label={`Way ${i + 1}`}>
                <Select value={w.kind} onChange={(e) => set({ kind: e.target.value as WayKind })}>
                  {WAY_KINDS.map((k) => (
                    <option key={k} value={k}>
                      {WAY_WORDS[k]}
                    </option>
                  ))}
                </Select>
              </Field>
              {(['from', 'to'] as const).map((end) => (
                <Field key={end} label={end}>
                  <Select
                    value={w[end]}
                    onChange={(e) => set({ [end]: e.target.value })}
                    className="max-w-36"
                  >
                    {places
                      .filter((p) => p !== w[end === 'from' ? 'to' : 'from'])
                      .map((p) => (
                        <option key={p} value={p}>
                          {roomName(interior, p)}
                        </option>
                      ))}
                  </Select>
                </Field>
              ))}
              <NumberBox
                label="Wide, studs"
                value={w.width}
                least={1}
                most={2000}
                onChange={(width) => set({ width })}
              />
              <NumberBox
                label="High, plates"
                value={w.height}
                least={1}
                most={3000}
                onChange={(height) => set({ height })}
              />
              <Button aria-label={`Delete way ${i + 1}`} onClick={() => rows.remove(i)}>
                Delete
              </Button>
            </li>
          );
        })}
      </ul>
      <div>
        <Button onClick={add} disabled={!last || interior.ways.length >= 400}>
          Add a way
        </Button>
      </div>
    </section>
  );
}
