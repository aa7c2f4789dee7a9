'use client';

import { floorSpace, printFurniture, readFurniture, type Reached, type Room } from '@/core/fit';
import type { Interior } from '@/core/records';
import { Button } from '@/ui/button';
import { useBuild } from '../common/build-store';
import { floorWords, wayWords } from '../words/rooms';
import { NameField } from '../common/name-field';
import { NumberBox } from '../common/number-box';
import { rowsOf } from '../common/rows-of';
import { TypedField } from './typed-field';

export interface InteriorFormProps {
  readonly interior: Interior;
  readonly onKeep: (more: Partial<Interior>) => void;
}

/** The rooms with their inside sizes and what stands in them; beside each how it is reached. */
export function RoomsForm({
  interior,
  reached,
  onKeep,
}: InteriorFormProps & { reached: readonly Reached[] }) {
  const source = useBuild((s) => s.source);
  const rows = rowsOf(interior.rooms, (rooms) => onKeep({ rooms }));
  const add = () => {
    const n = interior.rooms.length + 1;
    const room = { name: `Room ${n}`, width: 10, depth: 8, height: 24, furniture: [] };
    onKeep({ rooms: [...interior.rooms, { id: source().newId(), ...room }] });
  };
  return (
    <section
      aria-label="The rooms"
      className="border-rule bg-sheet flex flex-col gap-3 rounded-lg border p-4"
    >
      <h2 className="text-[16px]">The rooms</h2>
      <ul className="flex flex-col gap-2">
        {interior.rooms.map((room, i) => (
          <li key={room.id} className="border-rule rounded-md border p-2">
            <RoomRow
              no={i + 1}
              room={room}
              reached={reached[i]?.by ? wayWords(interior, reached[i].by) : '▲ no way leads here'}
              onChange={(next) => rows.change(i, next)}
              onDelete={() => rows.remove(i)}
            />
          </li>
        ))}
      </ul>
      <div>
        <Button onClick={add} disabled={interior.rooms.length >= 200}>
          Add a room
        </Button>
      </div>
    </section>
  );
}

interface RowProps {
  readonly no: number;
  readonly room: Room;
  readonly reached: string;
  readonly onChange: (room: Room) => void;
  readonly onDelete: () => void;
}

function RoomRow({ no, room, reached, onChange, onDelete }: RowProps) {
  const set = (more: Partial<Room>) => onChange({ ...room, ...more });
  return (
    <>
      <div className="flex flex-wrap items-end gap-2">
        <NameField
          label={`Room ${no}`}
          value={room.name}
          onKeep={(name) => set({ name })}
          className="min-w-32 flex-1"
        />
        {(
          [
            ['width', 'Wide, studs', 2000],
            ['depth', 'Deep, studs', 2000],
            ['height', 'High, plates', 3000],
          ] as const
        ).map(([key, label, most]) => (
          <NumberBox
            key={key}
            label={label}
            value={room[key]}
            least={1}
            most={most}
            onChange={(n) => set({ [key]: n })}
          />
        ))}
        <Button aria-label={`Delete ${room.name}`} onClick={onDelete}>
          Delete
        </Button>
      </div>
      <TypedField
        label="Furniture, a footprint each"
        value={printFurniture(room.furniture)}
        read={readFurniture}
        onRead={(furniture) => set({ furniture })}
        sayFault={(t) => `“${t}” has no footprint. Write: stove 2x3, table 4x4`}
      />
      <p>
        {floorWords(room, floorSpace(room))}. <span className="text-soft">Reached {reached}.</span>
      </p>
    </>
  );
}
