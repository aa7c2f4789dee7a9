'use client';

import clsx from 'clsx';
import { DISPLAYS, type Display } from '@/core/ledger';
import { elementName } from '@/core/parts';
import {
  agreeNotWanted,
  markWanted,
  planReplacement,
  sayDisplay,
  type Completeness,
  type MissingLot,
} from '@/core/inspection';
import { Button } from '@/ui/button';
import { Field, Select } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { count, money, pieces, priced } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { lackWords, NOT_NEEDED } from '../words/inspection';
import type { ZoneId } from '@/core/shared/ids';

/** What is missing, which of it matters for how the model will be shown, and what replacing costs. */
export function MissingPanel({ report }: { report: Completeness }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const { missing, replacement } = report;
  const open = missing.filter((m) => m.wanted && m.missing + m.broken > m.planned);
  const proposed = missing.filter((m) => m.wanted && m.proposal);
  return (
    <aside aria-label="What is missing" className="border-rule min-h-0 overflow-auto border-l px-4 py-3">
      <DisplayForm />
      <h2 className="mt-4 mb-1 text-[16px]">
        {missing.length === 0
          ? 'Nothing is missing so far.'
          : `${pieces(missing.reduce((s, m) => s + m.missing + m.broken, 0))} missing or broken`}
      </h2>
      {missing.length === 0 && (
        <p className="text-soft">
          What is checked off as missing or broken is listed here, with what it costs.
        </p>
      )}
      {proposed.length > 0 && (
        <p className="border-edge mb-2 rounded-md border p-2">
          {pieces(proposed.reduce((s, m) => s + m.missing + m.broken, 0))} may stay away, the way it will be
          shown.{' '}
          <button
            type="button"
            className="min-h-6 underline"
            onClick={() => perform(agreeNotWanted(workbench, proposed, source()))}
          >
            Agree to all
          </button>
        </p>
      )}
      <ul>
        {missing.map((m) => (
          <MissingRow
            key={`${m.lot.copy}${m.lot.zone}${m.lot.element}`}
            missing={m}
            zone={workbench.records.zone.get(m.lot.zone)?.name ?? ''}
            onWanted={(wanted) => perform(markWanted(workbench, m, wanted, source()))}
          />
        ))}
      </ul>
      {missing.length > 0 && (
        <div className="mt-3 flex items-center gap-3">
          <Button
            look="main"
            disabled={open.length === 0}
            onClick={() => perform(planReplacement(workbench, source()))}
          >
            Plan to replace {count(open.reduce((s, m) => s + m.missing + m.broken - m.planned, 0))}
          </Button>
          <span className="text-soft">{priced(replacement.cost, replacement.unpriced)} in all</span>
        </div>
      )}
    </aside>
  );
}

function MissingRow({
  missing: m,
  zone,
  onWanted,
}: {
  missing: MissingLot;
  zone: string;
  onWanted: (wanted: boolean) => void;
}) {
  return (
    <li className="border-rule flex min-h-11 items-center gap-2 border-b py-1">
      <Glyph element={m.lot.element} mark="out" size={34} />
      <span className={clsx('min-w-0 flex-1', !m.wanted && 'text-faint line-through')}>
        <span className="block truncate font-medium">{elementName(m.lot.element)}</span>
        <span className="text-faint block truncate text-[12px]">
          {lackWords(m)} · <bdi>{zone}</bdi>
          {m.planned > 0 && ` · ${m.planned} planned`}
          {m.proposal && ` · ${NOT_NEEDED[m.proposal]}`}
        </span>
      </span>
      <span className="text-right">{m.cost === null ? 'no price' : money(m.cost)}</span>
      <label className="flex min-h-7 items-center gap-1">
        <input
          type="checkbox"
          className="accent-ink size-4"
          checked={m.wanted}
          aria-label={`${elementName(m.lot.element)} is wanted`}
          onChange={(e) => onWanted(e.target.checked)}
        />
        wanted
      </label>
    </li>
  );
}

/** How the copy will be displayed: it proposes which missing parts do not matter. */
function DisplayForm() {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const card = workbench.records.inspectionCard.get(workbench.build);
  const display = card?.display ?? 'all round';
  const keep = (to: Parameters<typeof sayDisplay>[1]) => perform(sayDisplay(workbench, to));
  const toggle = (zone: ZoneId) => {
    const away = card?.away ?? [];
    keep({ away: away.includes(zone) ? away.filter((z) => z !== zone) : [...away, zone] });
  };
  return (
    <div className="flex flex-col gap-2">
      <Field label="How will it be shown?">
        <Select value={display} onChange={(e) => keep({ display: e.target.value as Display })}>
          {DISPLAYS.map((d) => (
            <option key={d}>{d}</option>
          ))}
        </Select>
      </Field>
      {(display === 'one side' || display === 'behind glass') && (
        <fieldset className="flex flex-wrap gap-x-3">
          <legend className="text-soft text-[12px]">Zones turned away from whoever looks</legend>
          {workbench.zones
            .filter((z) => z.parent)
            .map((z) => (
              <label key={z.id} className="flex min-h-7 items-center gap-1">
                <input
                  type="checkbox"
                  className="accent-ink size-4"
                  checked={card?.away.includes(z.id) ?? false}
                  onChange={() => toggle(z.id)}
                />
                <bdi>{z.name}</bdi>
              </label>
            ))}
        </fieldset>
      )}
    </div>
  );
}
