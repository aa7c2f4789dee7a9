'use client';

import { Link } from '@/ui/link';
import { keepLooks, looksOf } from '@/core/brief';
import { SPREADS, SYMMETRIES, type Looks } from '@/core/records';
import { Field, Select } from '@/ui/field';
import { usePalette } from '@/ui/palette-context';
import { useBuild } from '../common/build-store';
import { NameField } from '../common/name-field';
import { RowColours } from './row-colours';

/** How it is to look: schemes and roles by zone, mirrored or not, even or not, and the row that it stands in. */
export function LooksForm() {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  useBuild((s) => s.version);
  const palette = usePalette();
  const looks = looksOf(workbench);
  const keep = (more: Partial<Looks>) => perform(keepLooks(workbench, { ...looks, ...more }));
  const schemes = [...workbench.records.scheme.values()].filter((s) => s.build === workbench.build);
  return (
    <section
      aria-label="Looks"
      className="border-rule bg-sheet flex flex-col gap-3 rounded-lg border p-4 lg:col-span-2"
    >
      <h2 className="text-[16px]">Looks</h2>
      <div className="flex flex-wrap items-end gap-3">
        <Field label="Its two sides">
          <Select
            value={looks.symmetry}
            onChange={(e) => keep({ symmetry: e.target.value as Looks['symmetry'] })}
          >
            {SYMMETRIES.map((s) => (
              <option key={s}>{s}</option>
            ))}
          </Select>
        </Field>
        <Field label="Its colours">
          <Select value={looks.spread} onChange={(e) => keep({ spread: e.target.value as Looks['spread'] })}>
            {SPREADS.map((s) => (
              <option key={s}>{s}</option>
            ))}
          </Select>
        </Field>
        <NameField
          label="The row that it stands in"
          value={looks.row}
          mayBeEmpty
          onKeep={(row) => keep({ row: row.slice(0, 120) })}
        />
        <NameField
          label="Note"
          value={looks.note}
          mayBeEmpty
          onKeep={(note) => keep({ note })}
          className="min-w-60 flex-1"
        />
      </div>
      <div>
        <h3 className="text-[14px] font-semibold">Schemes by zone</h3>
        {schemes.length === 0 && <p className="text-soft">None has been agreed to.</p>}
        <ul className="flex flex-wrap gap-x-4 gap-y-1">
          {schemes.map((s) => (
            <li key={s.id} className="flex items-center gap-1">
              <bdi>{workbench.records.zone.get(s.zone)?.name}</bdi>
              {s.colours.map((c) => (
                <span
                  key={c}
                  title={c}
                  style={{ background: palette.get(c)?.hex }}
                  className="border-edge size-4 rounded-xs border"
                >
                  <span className="sr-only">{c}</span>
                </span>
              ))}
            </li>
          ))}
        </ul>
        <p>
          <Link className="underline" href={`/builds/${workbench.build}/colour`}>
            Schemes, and roles that hold in all zones, under Colour
          </Link>
        </p>
      </div>
      {looks.row && <RowColours key={looks.row} row={looks.row} />}
    </section>
  );
}
