'use client';

import clsx from 'clsx';
import type { ZoneId } from '@/core/shared/ids';
import { useBuild } from '../common/build-store';
import { NumberBox } from '../common/number-box';

/** The zones: chips where they are few, a list where they are many. */
export function ZoneChips() {
  const workbench = useBuild((s) => s.workbench);
  const zone = useBuild((s) => s.zone);
  const set = useBuild((s) => s.set);
  const zones = workbench.zones.filter((z) => z.parent !== null);
  const few = zones.length <= 5;
  if (!few)
    return (
      <select
        aria-label="Zone"
        value={zone ?? ''}
        onChange={(e) => set({ zone: (e.target.value || null) as ZoneId | null })}
        className="border-edge bg-sheet min-h-7 max-w-48 rounded-md border px-1"
      >
        <option value="">All zones</option>
        {zones.map((z) => (
          <option key={z.id} value={z.id}>
            {z.name}
          </option>
        ))}
      </select>
    );
  return (
    <div role="group" aria-label="Zones" className="flex flex-wrap gap-1">
      {[{ id: null, name: 'All zones' }, ...zones].map((z) => (
        <button
          key={z.id ?? 'all'}
          type="button"
          aria-pressed={zone === z.id}
          onClick={() => set({ zone: z.id })}
          className={clsx(
            'max-w-32 min-h-6 truncate rounded-full border px-2.5',
            zone === z.id ? 'border-ink bg-ink text-sheet font-semibold' : 'border-edge hover:border-ink',
          )}
        >
          {z.name}
        </button>
      ))}
    </div>
  );
}

/** As built, as planned, as of an entry, or a what-if. */
export function ViewSelect({ onCompare }: { onCompare: () => void }) {
  const view = useBuild((s) => s.view);
  const workbench = useBuild((s) => s.workbench);
  const set = useBuild((s) => s.set);
  const selectWhatIf = useBuild((s) => s.selectWhatIf);
  const last = workbench.nextEntry(null).no - 1;
  const value =
    view.kind === 'planned' ? (workbench.whatIf ? `w:${workbench.whatIf}` : 'planned') : view.kind;
  const choose = (chosen: string) => {
    if (chosen === 'compare') return onCompare();
    if (chosen.startsWith('w:')) return selectWhatIf(chosen.slice(2) as never);
    if (workbench.whatIf) selectWhatIf(null);
    set({ view: chosen === 'asOf' ? { kind: 'asOf', no: last } : { kind: chosen as 'built' | 'planned' } });
  };
  return (
    <span className="flex items-center gap-1">
      <select
        aria-label="View of the books"
        value={value}
        onChange={(e) => choose(e.target.value)}
        className="border-edge bg-sheet min-h-7 rounded-md border px-1 max-sm:w-20"
      >
        <option value="built">as built</option>
        <option value="planned">as planned</option>
        <option value="asOf">as of entry …</option>
        {[...workbench.records.whatIf.values()].map((w) => (
          <option key={w.id} value={`w:${w.id}`}>
            what if: {w.name.slice(0, 40)}
          </option>
        ))}
        <option value="compare">what-ifs…</option>
      </select>
      {view.kind === 'asOf' && (
        <NumberBox
          label="As of entry"
          bare
          least={0}
          most={last}
          value={view.no}
          onChange={(no) => set({ view: { kind: 'asOf', no } })}
        />
      )}
    </span>
  );
}
