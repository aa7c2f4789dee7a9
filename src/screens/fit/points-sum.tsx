'use client';

import { interiorOf, keepInterior } from '@/core/fit';
import type { Interior } from '@/core/records';
import { Button } from '@/ui/button';
import { useBuild } from '../common/build-store';
import { heightWords } from '../words/plot';
import { NameField } from '../common/name-field';
import { NumberBox } from '../common/number-box';
import { Sum } from '../common/result';
import { rowsOf } from '../common/rows-of';

/** Heights to named points: a seat, a sill, a cab's roof; each with what lies between it and the one below. */
export function PointsSum() {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const interior = interiorOf(workbench);
  const put = (points: Interior['points']) => perform(keepInterior(workbench, { ...interior, points }));
  const rows = rowsOf(interior.points, put);
  return (
    <Sum
      title="Heights to named points"
      form={
        <Button
          onClick={() =>
            put([...interior.points, { name: `point ${interior.points.length + 1}`, plates: 3 }])
          }
          disabled={interior.points.length >= 100}
        >
          Add a point
        </Button>
      }
    >
      {interior.points.length === 0 && <p className="text-soft">A seat, a sill, the roof of a cab.</p>}
      <ul>
        {interior.points.map((p, i) => {
          const below = interior.points[i - 1];
          return (
            <li key={i} className="border-rule flex flex-wrap items-end gap-2 border-b py-1">
              <NameField
                label={`Point ${i + 1}`}
                value={p.name}
                onKeep={(name) => rows.change(i, { ...p, name })}
              />
              <NumberBox
                label="Plates up"
                value={p.plates}
                least={0}
                most={3000}
                onChange={(plates) => rows.change(i, { ...p, plates })}
              />
              <span className="flex-1 pb-1">
                {heightWords(p.plates)}
                {below && (
                  <span className="text-soft">
                    ; {heightWords(p.plates - below.plates)} over <bdi>{below.name}</bdi>
                  </span>
                )}
              </span>
              <Button look="bare" aria-label={`Delete ${p.name}`} onClick={() => rows.remove(i)}>
                Delete
              </Button>
            </li>
          );
        })}
      </ul>
    </Sum>
  );
}
