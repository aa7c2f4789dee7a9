'use client';

import { ActSelect } from '@/ui/act-select';
import clsx from 'clsx';
import { DISPLAYS, modelAccount, type Display } from '@/core/ledger';
import { elementName, type ElementKey } from '@/core/parts';
import {
  agreeNotWanted,
  markWanted,
  mayGo,
  planReplacement,
  planTakingOff,
  sayDisplay,
  worthOfGoing,
  type Completeness,
  type MissingLot,
} from '@/core/inspection';
import { Button } from '@/ui/button';
import { Check, Field, Select } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { count, kinds, money, pieces, priced } from '@/ui/numbers';
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
      <MayGoPanel />
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
          className="size-4"
          checked={m.wanted}
          aria-label={`${elementName(m.lot.element)} is wanted`}
          onChange={(e) => onWanted(e.target.checked)}
        />
        wanted
      </label>
    </li>
  );
}

interface TicksProps {
  readonly legend: string;
  readonly ticked: readonly ZoneId[];
  readonly onChange: (ticked: ZoneId[]) => void;
}

/** Zones of the build, each ticked or not. */
function ZoneTicks({ legend, ticked, onChange }: TicksProps) {
  const zones = useBuild((s) => s.workbench).zones.filter((z) => z.parent);
  return (
    <fieldset className="flex flex-wrap gap-x-3">
      <legend className="text-soft text-[12px]">{legend}</legend>
      {zones.map((z) => (
        <Check
          key={z.id}
          words={z.name}
          on={ticked.includes(z.id)}
          onChange={(on) => onChange(on ? [...ticked, z.id] : ticked.filter((t) => t !== z.id))}
        />
      ))}
      {zones.length === 0 && <span className="text-soft">The build has no zones yet.</span>}
    </fieldset>
  );
}

/** Lots that are listed at first. */
const MOST_SHOWN = 12;

/** What is there and could serve elsewhere, the way it will be shown; a lot can be marked as gear, or not. */
function MayGoPanel() {
  const workbench = useBuild((s) => s.workbench);
  useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const lots = mayGo(workbench);
  const card = workbench.records.inspectionCard.get(workbench.build);
  if (!card || card.display === 'all round') return null;
  const { worth, unpriced } = worthOfGoing(workbench, lots);
  return (
    <section className="mt-4">
      <h2 className="mb-1 text-[16px]">
        {lots.length === 0
          ? 'All that is there is needed.'
          : `${pieces(lots.reduce((s, l) => s + l.qty, 0))} there that nobody would miss`}
      </h2>
      {card.display === 'hung' && <MarkGear />}
      <ul>
        {lots.slice(0, MOST_SHOWN).map((l) => (
          <li key={`${l.zone}${l.element}`} className="flex min-h-9 items-center gap-2">
            <Glyph element={l.element} size={28} label="" />
            <span className="min-w-0 flex-1 truncate">
              {l.qty} {elementName(l.element)}
              <span className="text-faint"> {NOT_NEEDED[l.because]}</span>
            </span>
          </li>
        ))}
      </ul>
      {lots.length > MOST_SHOWN && <p className="text-faint">and {kinds(lots.length - MOST_SHOWN)} more</p>}
      {lots.length > 0 && (
        <p className="mt-1 flex flex-wrap items-center gap-2">
          <Button onClick={() => perform(planTakingOff(workbench, lots, source()))}>
            Plan to take them off
          </Button>
          <span className="text-soft">{priced(worth, unpriced)} for elsewhere</span>
        </p>
      )}
    </section>
  );
}

/** Marks a kind in a zone as gear, or no longer. */
function MarkGear() {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const gear = workbench.records.inspectionCard.get(workbench.build)?.gear ?? [];
  const keyOf = (zone: ZoneId, element: ElementKey | null) => `${zone}|${element}`;
  const keys = new Set(gear.map((g) => keyOf(g.zone, g.element)));
  const lots = workbench.zones
    .flatMap((z) =>
      workbench.built.balances
        .elements(modelAccount(z.id))
        .filter(([, n]) => n > 0)
        .map(([element]) => ({
          zone: z.id,
          element,
          key: keyOf(z.id, element),
          name: `${elementName(element)}, ${z.name}`,
        })),
    )
    .sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true }));
  const mark = (key: string) => {
    const lot = lots.find((l) => l.key === key);
    if (lot) perform(sayDisplay(workbench, { gear: [...gear, { zone: lot.zone, element: lot.element }] }));
  };
  return (
    <div className="mb-1">
      <ActSelect
        label="Mark a part as gear"
        verb="Mark"
        none="a part that is gear…"
        options={lots.filter((l) => !keys.has(l.key)).map((l) => ({ value: l.key, words: l.name }))}
        onAct={mark}
      />
      {lots
        .filter((l) => keys.has(l.key))
        .map((l) => (
          <Button
            key={l.key}
            look="bare"
            onClick={() =>
              perform(sayDisplay(workbench, { gear: gear.filter((g) => keyOf(g.zone, g.element) !== l.key) }))
            }
          >
            {l.name} is gear: no longer
          </Button>
        ))}
    </div>
  );
}

/** How the copy will be displayed: it proposes which missing parts do not matter. */
function DisplayForm() {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const card = workbench.records.inspectionCard.get(workbench.build);
  const display = card?.display ?? 'all round';
  const keep = (to: Parameters<typeof sayDisplay>[1]) => perform(sayDisplay(workbench, to));
  return (
    <div className="flex flex-col gap-2">
      <Field label="How will it be shown?">
        <Select value={display} onChange={(e) => keep({ display: e.target.value as Display })}>
          {DISPLAYS.map((d) => (
            <option key={d}>{d}</option>
          ))}
        </Select>
      </Field>
      {display === 'hung' && (
        <ZoneTicks
          legend="What it stands or rolls on: gear"
          ticked={(card?.gear ?? []).flatMap((g) => (g.element === null ? [g.zone] : []))}
          onChange={(zones) =>
            keep({
              gear: [
                ...zones.map((zone) => ({ zone, element: null })),
                ...(card?.gear ?? []).filter((g) => g.element !== null),
              ],
            })
          }
        />
      )}
      {display !== 'all round' && (
        <ZoneTicks
          legend="Zones turned away from whoever looks"
          ticked={card?.away ?? []}
          onChange={(away) => keep({ away })}
        />
      )}
    </div>
  );
}
