'use client';

import { useState } from 'react';
import { letSchemeBeProposed, proposeScheme, setScheme, type Audit } from '@/core/mismatch';
import type { Command } from '@/core/ledger';
import type { ColourId, ZoneId } from '@/core/shared/ids';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { usePalette } from '@/ui/palette-context';
import { useBuild } from '../common/build-store';

/** The colours a zone is meant to have: proposed from what is seen, set by hand. */
export function SchemeDialog({ zone, audit, onClose }: { zone: ZoneId; audit: Audit; onClose: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const palette = usePalette();
  const shown = audit.zones.find((z) => z.zone === zone);
  const proposed = shown ? proposeScheme(shown.lots, palette) : [];
  const [colours, setColours] = useState<readonly ColourId[]>(shown?.scheme ?? []);
  const there = new Map(shown?.colours.map((c) => [c.colour, c.qty]));
  const isSet = workbench.records.scheme.has(zone);
  const name = workbench.records.zone.get(zone)?.name ?? '';
  const act = (command: Command) => {
    perform(command);
    onClose();
  };
  const ranked = [...palette.values()]
    .filter((c) => c.finish === 'solid')
    .sort((a, b) => (there.get(b.id) ?? 0) - (there.get(a.id) ?? 0));
  return (
    <Dialog
      open
      onOpenChange={onClose}
      wide
      title={`Scheme of ${name}`}
      says="The colours this zone is meant to have. What is seen in another reads as a mismatch."
    >
      <ul className="grid grid-cols-3 gap-1 md:grid-cols-5">
        {ranked.map((c) => (
          <li key={c.id}>
            <label className="flex min-h-8 items-center gap-2">
              <input
                type="checkbox"
                className="size-4"
                checked={colours.includes(c.id)}
                onChange={(e) =>
                  setColours(e.target.checked ? [...colours, c.id] : colours.filter((x) => x !== c.id))
                }
              />
              <span
                aria-hidden
                style={{ background: c.hex }}
                className="border-edge size-5 rounded-xs border"
              />
              <span>
                {c.name}
                {there.get(c.id) ? <span className="text-faint"> {there.get(c.id)}</span> : null}
              </span>
            </label>
          </li>
        ))}
      </ul>
      <div className="mt-4 flex flex-wrap justify-end gap-2">
        <Button onClick={() => setColours(proposed)}>As proposed: {proposed.join(', ') || 'none'}</Button>
        {isSet && (
          <Button onClick={() => act(letSchemeBeProposed(workbench, zone))}>Let it be proposed</Button>
        )}
        <Button look="main" onClick={() => act(setScheme(workbench, zone, colours))}>
          Set it
        </Button>
      </div>
    </Dialog>
  );
}
