'use client';

import { useMemo, useState } from 'react';
import {
  deleteSticker,
  keepSticker,
  newSticker,
  noteStickers,
  sayCondition,
  stickersNow,
  toFind,
  type StickerNow,
} from '@/core/stickers';
import { STICKER_CONDITIONS, type Sticker, type StickerCondition } from '@/core/records';
import { elementName } from '@/core/parts';
import { Button } from '@/ui/button';
import { Field, Select } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { count } from '@/ui/numbers';
import { useBuild } from '../../common/build-store';
import { NameField } from '../../common/name-field';
import { Sum } from '../../common/result';
import { ZoneSelect } from '../../common/zone-select';
import { CONDITION_WORDS, PLACE_WORDS, WAY_WORDS } from '../../words/stickers';
import { ElementsField } from './elements-field';
import { StickerActs } from './sticker-acts';
import { StickerSize } from './sticker-size';
import { StickerWays } from './sticker-ways';

/** Stickers on the parts of a build: how each looks, what was done with it, what is to become of it. */
export function OnPartsPart() {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [chosen, choose] = useState<string | null>(null);
  const [adding, setAdding] = useState(false);
  const stickers = useMemo(() => {
    void version;
    return stickersNow(workbench);
  }, [workbench, version]);
  const found = toFind(workbench, stickers);
  const open = stickers.find((s) => s.sticker.id === chosen) ?? stickers[0];
  return (
    <div className="h-full min-h-0 max-lg:overflow-auto lg:grid lg:grid-cols-[1fr_460px]">
      <section
        aria-label="Stickers"
        tabIndex={0}
        className="bg-background text-background-ink min-h-0 p-4 lg:overflow-auto"
      >
        <h1 className="text-[21px] leading-tight">{headline(stickers)}</h1>
        <p className="text-background-soft mb-3">
          None of what is logged of a sticker moves a piece: the count stays, the money counts.
        </p>
        <div className="no-print mb-3 flex flex-wrap gap-2">
          <Button look="main" onClick={() => setAdding(!adding)} aria-expanded={adding}>
            Add a sticker
          </Button>
          {found.length > 0 && (
            <Button onClick={() => perform(noteStickers(workbench, stickers, source()))}>
              {`Note ${count(found.length)} as ${found.length === 1 ? 'a finding' : 'findings'}`}
            </Button>
          )}
        </div>
        {adding && (
          <AddSticker
            onAdd={(sticker) => {
              perform(keepSticker(workbench, sticker));
              choose(sticker.id);
              setAdding(false);
            }}
          />
        )}
        <ul className="flex flex-col gap-1">
          {stickers.map((s) => (
            <StickerRow key={s.sticker.id} of={s} open={s === open} onOpen={() => choose(s.sticker.id)} />
          ))}
        </ul>
      </section>
      <aside
        aria-label="The chosen sticker"
        tabIndex={0}
        className="border-rule min-h-0 border-l p-4 lg:overflow-auto"
      >
        {open ? (
          <OpenSticker key={open.sticker.id} of={open} />
        ) : (
          <p className="text-soft">
            Say on which parts stickers sit, and how they look: what they become is then decided by part.
          </p>
        )}
      </aside>
    </div>
  );
}

function headline(stickers: readonly StickerNow[]): string {
  if (stickers.length === 0) return 'No stickers have been noted.';
  const worn = stickers.filter((s) => s.place !== 'lost' && s.sticker.condition !== 'good');
  const undecided = worn.filter((s) => s.sticker.way === null);
  const all = stickers.length === 1 ? '1 sticker' : `${count(stickers.length)} stickers`;
  if (worn.length === 0) return `${all}, all good.`;
  return `${all}, ${count(worn.length)} not good any more; ${
    undecided.length === 0
      ? 'what becomes of each is decided'
      : `${count(undecided.length)} still to be decided`
  }.`;
}

function StickerRow({ of, open, onOpen }: { of: StickerNow; open: boolean; onOpen: () => void }) {
  const zones = useBuild((s) => s.workbench.zones);
  const { sticker, place, zone, elements, planned } = of;
  return (
    <li className={`bg-sheet text-ink rounded-md border ${open ? 'border-ink' : 'border-rule'}`}>
      <button
        type="button"
        aria-pressed={open}
        onClick={onOpen}
        className="flex w-full flex-wrap items-center gap-x-3 gap-y-1 px-3 py-1.5 text-left"
      >
        <span className="flex">
          {elements.map((e, i) => (
            <Glyph key={i} element={e} size={28} />
          ))}
        </span>
        <b className="min-w-40 flex-1">{sticker.name}</b>
        <span>{zones.find((z) => z.id === zone)?.name}</span>
        <span>{CONDITION_WORDS[sticker.condition]}</span>
        <span className="text-soft">{PLACE_WORDS[place]}</span>
        {sticker.way && <span>{WAY_WORDS[sticker.way].toLowerCase()}</span>}
        {planned.length > 0 && <span className="text-soft">{count(planned.length)} planned</span>}
      </button>
    </li>
  );
}

function AddSticker({ onAdd }: { onAdd: (sticker: Sticker) => void }) {
  const workbench = useBuild((s) => s.workbench);
  const source = useBuild((s) => s.source);
  const [draft, setDraft] = useState(() =>
    newSticker(workbench, source(), {
      name: 'sticker',
      zone: workbench.zones[1]?.id ?? workbench.rootZone.id,
      elements: [],
    }),
  );
  const put = (more: Partial<Sticker>) => setDraft({ ...draft, ...more });
  return (
    <div className="text-ink mb-3">
      <Sum
        title="A sticker"
        form={
          <>
            <NameField label="What is on it" value={draft.name} onKeep={(name) => put({ name })} />
            <ZoneSelect label="Zone" zone={draft.zone} onChange={(zone) => put({ zone, elements: [] })} />
            <ConditionSelect value={draft.condition} onChange={(condition) => put({ condition })} />
            <Field label="It is">
              <Select
                value={draft.cameOn}
                onChange={(e) => put({ cameOn: e.target.value as Sticker['cameOn'] })}
              >
                <option value="on the part">on its part</option>
                <option value="loose">loose, to be put on</option>
              </Select>
            </Field>
          </>
        }
      >
        <ElementsField
          zone={draft.zone}
          elements={draft.elements}
          onChange={(elements) => put({ elements })}
        />
        <p className="mt-2">
          <Button look="main" disabled={draft.elements.length === 0} onClick={() => onAdd(draft)}>
            Add it
          </Button>
        </p>
      </Sum>
    </div>
  );
}

const ConditionSelect = ({
  value,
  onChange,
}: {
  value: StickerCondition;
  onChange: (c: StickerCondition) => void;
}) => (
  <Field label="Condition">
    <Select value={value} onChange={(e) => onChange(e.target.value as StickerCondition)}>
      {STICKER_CONDITIONS.map((c) => (
        <option key={c} value={c}>
          {CONDITION_WORDS[c]}
        </option>
      ))}
    </Select>
  </Field>
);

function OpenSticker({ of }: { of: StickerNow }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const { sticker } = of;
  const keep = (more: Partial<Sticker>) => perform(keepSticker(workbench, { ...sticker, ...more }));
  return (
    <div className="flex flex-col gap-3">
      <h2 className="text-[16px]">{sticker.name}</h2>
      <p>{of.elements.map(elementName).join(', then ')}</p>
      <div className="flex flex-wrap items-end gap-2">
        <NameField label="Name" value={sticker.name} onKeep={(name) => keep({ name })} />
        <ConditionSelect
          value={sticker.condition}
          onChange={(c) => perform(sayCondition(workbench, sticker, c))}
        />
      </div>
      <StickerSize sticker={sticker} onKeep={keep} />
      <StickerWays of={of} onKeep={keep} />
      <StickerActs of={of} />
      <Button className="self-start" onClick={() => perform(deleteSticker(workbench, sticker))}>
        Delete the sticker
      </Button>
    </div>
  );
}
