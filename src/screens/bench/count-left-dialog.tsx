'use client';

import { useMemo, useState } from 'react';
import { elementName, elementSearch, type ElementKey } from '@/core/parts';
import { asId, type ZoneId } from '@/core/shared/ids';
import { inBoxes, leftCount, logLeft } from '@/core/workbench';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Check, Field, Input, Select } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { count, kinds, pieces } from '@/ui/numbers';
import { useBuild } from '../common/build-store';

/** Rows that are in the page at once: the search finds the others. */
const MOST = 150;

/** In a build from boxes it is enough to count what is left: the model is the boxes less that. */
export function CountLeftDialog({ onClose }: { onClose: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const set = useBuild((s) => s.set);
  const [typed, setTyped] = useState<ReadonlyMap<ElementKey, string>>(new Map());
  const [wanted, setWanted] = useState('');
  const [restLeft, setRestLeft] = useState(false);
  const [zone, setZone] = useState<ZoneId>(workbench.rootZone.id);
  const held = useMemo(() => {
    void version;
    return inBoxes(workbench);
  }, [workbench, version]);
  const counted = new Map(
    [...typed].flatMap(([e, text]) => (/^\d{1,6}$/.test(text.trim()) ? [[e, Number(text)] as const] : [])),
  );
  const sum = leftCount(workbench, counted, restLeft);
  const fits = elementSearch(wanted);
  const found = held.filter((h) => fits(h.element));
  const wrong = sum.tooMany[0];
  const log = () => {
    const command = logLeft(workbench, counted, restLeft, zone, source());
    perform(command);
    const begun = command.diff.added.find((r) => r.type === 'modification');
    if (begun?.type === 'modification') set({ selected: begun.record.id });
    onClose();
  };
  return (
    <Dialog
      open
      onOpenChange={onClose}
      wide
      title="Count what is left"
      says={
        held.length === 0
          ? 'No box of this build holds anything: import a set into it, to be broken up.'
          : 'The model is its boxes less what is left of them: count that, and all the rest is put on.'
      }
    >
      {held.length > 0 && (
        <form
          onSubmit={(e) => {
            e.preventDefault();
            log();
          }}
        >
          <div className="mb-3 flex flex-wrap items-end gap-3">
            <Field label="Part or colour">
              <Input value={wanted} onChange={(e) => setWanted(e.target.value)} className="w-44" />
            </Field>
            <Field label="All that is used goes on">
              <Select value={zone} onChange={(e) => setZone(asId<ZoneId>(e.target.value))}>
                {workbench.zones.map((z) => (
                  <option key={z.id} value={z.id}>
                    {z.name}
                  </option>
                ))}
              </Select>
            </Field>
            <Check words="What is not counted is still in its box" on={restLeft} onChange={setRestLeft} />
          </div>
          <p role="status" className="mb-2 font-semibold">
            {pieces(sum.held)} in the boxes − {count(sum.left)} left = {count(sum.used)} on the model
          </p>
          <ul>
            {found.slice(0, MOST).map((h) => (
              <li key={h.element} className="border-rule flex min-h-10 items-center gap-3 border-b">
                <Glyph element={h.element} size={32} label="" />
                <span className="min-w-0 flex-1">{elementName(h.element)}</span>
                <span className="text-soft">of {count(h.there)}</span>
                <label className="flex items-center gap-1.5">
                  <span className="text-faint text-[12px]">left</span>
                  <Input
                    value={typed.get(h.element) ?? ''}
                    inputMode="numeric"
                    placeholder={restLeft ? String(h.there) : '0'}
                    aria-label={`Left of ${elementName(h.element)}`}
                    onChange={(e) => setTyped(new Map(typed).set(h.element, e.target.value))}
                    className="w-16"
                  />
                </label>
              </li>
            ))}
          </ul>
          {found.length > MOST && (
            <p className="text-soft py-2">
              {kinds(found.length - MOST)} more: search for them by part or colour.
            </p>
          )}
          <div className="bg-sheet border-rule sticky -bottom-3 -mx-4 -mb-3 flex items-center gap-3 border-t px-4 py-2.5">
            <span className="flex-1">
              {wrong && (
                <span role="alert">
                  ▲ {count(wrong.counted)} {elementName(wrong.element)} are counted, and the boxes hold{' '}
                  {count(wrong.there)}.
                </span>
              )}
            </span>
            <Button look="main" type="submit" disabled={!!wrong || sum.used === 0}>
              Put {pieces(sum.used)} on
            </Button>
          </div>
        </form>
      )}
    </Dialog>
  );
}
