'use client';

import { useState } from 'react';
import { ACTS_FROM, doStickerAct, logStickerAct, type StickerNow } from '@/core/stickers';
import type { StickerActName } from '@/core/records';
import type { ElementKey } from '@/core/parts';
import type { ModificationId } from '@/core/shared/ids';
import type { Minor } from '@/core/shared/money';
import { Button } from '@/ui/button';
import { Field, Select } from '@/ui/field';
import { modNo } from '@/ui/numbers';
import { useBuild } from '../../common/build-store';
import { MoneyBox } from '../../common/money-box';
import { NameField } from '../../common/name-field';
import { ZoneSelect } from '../../common/zone-select';
import { ACT_WORDS } from '../../words/stickers';
import { ElementsField } from './elements-field';

const MOVES: readonly StickerActName[] = ['moved', 'put on', 'renewed with its part'];

/** What was done with a sticker, and what is done or planned next. */
export function StickerActs({ of }: { of: StickerNow }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const acts = ACTS_FROM[of.place];
  const [act, setAct] = useState<StickerActName | null>(null);
  const [modification, setModification] = useState<ModificationId | null>(
    workbench.modifications.at(-1)?.id ?? null,
  );
  const [cost, setCost] = useState<Minor | null>(0);
  const [note, setNote] = useState('');
  const [zone, setZone] = useState(of.zone);
  const [elements, setElements] = useState<readonly ElementKey[]>([]);
  const chosen = act && acts.includes(act) ? act : acts[0];
  const isPlaced = of.elements.length > 0 || elements.length > 0;
  const log = (planned: boolean) => {
    if (!chosen || !isPlaced) return;
    const moves = MOVES.includes(chosen);
    perform(
      logStickerAct(
        workbench,
        of,
        {
          act: chosen,
          planned,
          modification,
          cost,
          note,
          zone: moves ? zone : null,
          elements: moves ? elements : [],
        },
        source(),
      ),
    );
    setNote('');
    setElements([]);
  };
  return (
    <section aria-label="What was done with it" className="flex flex-col gap-2">
      <h3 className="text-[14px] font-semibold">What was done with it</h3>
      <ol>
        {of.done.map(({ act: a, entry }) => (
          <li key={entry.id} className="border-rule border-b py-1">
            {ACT_WORDS[a]}
            {entry.note ? `: ${entry.note}` : ''}
          </li>
        ))}
        {of.planned.map((p) => (
          <li key={p.entry.id} className="border-rule flex items-center gap-2 border-b py-1">
            <span className="flex-1">Planned: {ACT_WORDS[p.act].toLowerCase()}</span>
            <Button onClick={() => perform(doStickerAct(of, p))}>Done</Button>
          </li>
        ))}
      </ol>
      {chosen && (
        <>
          <Field label="What next">
            <Select value={chosen} onChange={(e) => setAct(e.target.value as StickerActName)}>
              {acts.map((a) => (
                <option key={a} value={a}>
                  {ACT_WORDS[a]}
                </option>
              ))}
            </Select>
          </Field>
          {MOVES.includes(chosen) && (
            <>
              <ZoneSelect label="Zone" zone={zone} onChange={setZone} />
              <ElementsField zone={zone} elements={elements} onChange={setElements} />
            </>
          )}
          <Field label="In the modification">
            <Select
              value={modification ?? ''}
              onChange={(e) => setModification((e.target.value || null) as ModificationId | null)}
            >
              <option value="">none</option>
              {workbench.modifications.map((m) => (
                <option key={m.id} value={m.id}>
                  {modNo(m.no)} {m.title}
                </option>
              ))}
            </Select>
          </Field>
          <MoneyBox label="What it cost" value={cost} onChange={setCost} />
          <NameField label="Note" value={note} mayBeEmpty onKeep={setNote} />
          <div className="flex gap-2">
            <Button look="main" disabled={!isPlaced} onClick={() => log(false)}>
              Log it
            </Button>
            <Button disabled={!isPlaced} onClick={() => log(true)}>
              Plan it
            </Button>
          </div>
          {!isPlaced && <p className="text-soft">Say first on which part it is to be.</p>}
        </>
      )}
    </section>
  );
}
