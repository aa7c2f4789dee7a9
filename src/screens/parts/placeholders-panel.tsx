'use client';

import { elementName } from '@/core/parts';
import { placeholdersOf, swapPlaceholders } from '@/core/need';
import { Button, Key } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { count } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { useCommands } from '../commands';

/** Placeholders that keep a place: each keeps its need open, and one key swaps it once the right part is here. */
export function PlaceholdersPanel() {
  const workbench = useBuild((s) => s.workbench);
  useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const all = placeholdersOf(workbench);
  const ready = all.find((s) => s.here + s.roughly > 0);
  const swap = (s: (typeof all)[number] | undefined) =>
    s && perform(swapPlaceholders(workbench, s, source()));
  useCommands(
    [{ name: 'Swap a placeholder for the right part', key: 's', run: () => swap(ready) }],
    ready !== undefined,
  );
  if (all.length === 0) return null;
  return (
    <section aria-label="Placeholders" className="mb-5">
      <h2 className="mb-1">Placeholders</h2>
      <ul>
        {all.map((s) => (
          <li
            key={`${s.element}>${s.standsFor}`}
            className="border-rule flex items-center gap-2 border-b py-1"
          >
            <Glyph element={s.element} mark="placeholder" size={28} label="" />
            <Glyph element={s.standsFor} size={28} label="" />
            <span className="min-w-0 flex-1">
              {count(s.qty)} {elementName(s.element)} for {elementName(s.standsFor)}
              <span className="text-soft block text-[12px]">
                {s.here > 0 ? `${count(s.here)} at hand` : 'none counted at hand'}
                {s.roughly > 0 && `, about ${count(s.roughly)} of your own`}
                {s.coming > 0 && `, ${count(s.coming)} on order`}
              </span>
            </span>
            <Button disabled={s.here + s.roughly === 0} onClick={() => swap(s)}>
              Swap {count(Math.min(s.qty, s.here + s.roughly))} {s === ready && <Key>S</Key>}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
