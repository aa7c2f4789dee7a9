'use client';

import { useMemo, useState } from 'react';
import type { Colour } from '@/core/colour';
import { placeOf } from '@/core/ledger';
import {
  byElementName,
  elementSearch,
  elementKey,
  elementName,
  partOf,
  readPartName,
  splitElementKey,
  type ElementKey,
} from '@/core/parts';
import type { ColourId } from '@/core/shared/ids';
import { Input } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { useBuild } from '../common/build-store';

const MOST = 48;

/** Chooses an element among drawn parts: those at hand first, then all that are known; a new name can be typed. */
export function PartPicker({ label, onPick }: { label: string; onPick: (element: ElementKey) => void }) {
  const workbench = useBuild((s) => s.workbench);
  const [wanted, setWanted] = useState('');
  const [fresh, setFresh] = useState<ElementKey | null>(null);
  const atHand = useMemo(() => {
    const sums = new Map<ElementKey, number>();
    for (const r of workbench.built.balances.rows((a) =>
      ['spares', 'stock', 'donor', 'order'].includes(placeOf(a)),
    ))
      sums.set(r.element, (sums.get(r.element) ?? 0) + r.qty);
    return sums;
  }, [workbench]);
  const found = useMemo(() => search(workbench.elements, atHand, wanted), [workbench, atHand, wanted]);
  const read = wanted ? readPartName(wanted) : null;
  if (fresh)
    return (
      <ColourPicker
        label={`Which colour of ${splitElementKey(fresh).part}`}
        element={fresh}
        onPick={(c) => onPick(elementKey(splitElementKey(fresh).part, c))}
      />
    );
  return (
    <section aria-label={label}>
      <h3 className="mb-1">{label}</h3>
      <Input
        autoFocus
        value={wanted}
        onChange={(e) => setWanted(e.target.value)}
        placeholder="plate 2x3 chalk"
        aria-label="Find a part"
        className="mb-2 w-full"
      />
      <ul
        className="bg-background text-background-ink grid max-h-48 grid-cols-[repeat(auto-fill,minmax(104px,1fr))] gap-1 overflow-auto rounded-md p-1"
        tabIndex={-1}
      >
        {found.slice(0, MOST).map((element) => (
          <li key={element}>
            <PickCell
              element={element}
              says={atHand.has(element) ? `${atHand.get(element)} at hand` : 'to buy'}
              onPick={() => onPick(element)}
            />
          </li>
        ))}
        {read?.part.read && (
          <li>
            <button
              type="button"
              onClick={() => setFresh(elementKey(read.part.id, 'ash' as ColourId))}
              className="bg-background-cell hover:bg-background-lit grid h-24 w-full place-items-center rounded-md border border-dashed p-1 text-[12px]"
            >
              <span>
                {read.part.id}
                <br />
                in any colour…
              </span>
            </button>
          </li>
        )}
      </ul>
      {found.length > MOST && (
        <p className="text-faint mt-1">{found.length - MOST} more: type to narrow them.</p>
      )}
      {found.length === 0 && !read?.part.read && (
        <p className="text-faint mt-1">
          No part is known by that name. Type a family and a size, such as tile 2x4.
        </p>
      )}
    </section>
  );
}

function PickCell({ element, says, onPick }: { element: ElementKey; says: string; onPick: () => void }) {
  return (
    <button
      type="button"
      onClick={onPick}
      aria-label={`${elementName(element)}, ${says}`}
      className="bg-background-cell hover:bg-background-lit flex h-24 w-full flex-col items-center justify-center rounded-md p-1 text-[11px]"
    >
      <Glyph element={element} size={44} />
      <span className="w-full truncate text-center">{elementName(element)}</span>
      <span className="text-background-soft">{says}</span>
    </button>
  );
}

function search(
  all: ReadonlySet<ElementKey>,
  atHand: ReadonlyMap<ElementKey, number>,
  wanted: string,
): ElementKey[] {
  const fits = [...all].filter(elementSearch(wanted));
  const words = (e: ElementKey) => splitElementKey(e).part.split(' ').length;
  return fits.sort(
    (a, b) => (atHand.get(b) ?? 0) - (atHand.get(a) ?? 0) || words(a) - words(b) || byElementName(a, b),
  );
}

interface ColourProps {
  readonly label: string;
  readonly element: ElementKey;
  readonly without?: ColourId;
  readonly onPick: (colour: ColourId) => void;
}

/** Chooses a colour, the part drawn in each; what is at hand in it is said. */
export function ColourPicker({ label, element, without, onPick }: ColourProps) {
  const workbench = useBuild((s) => s.workbench);
  const [wanted, setWanted] = useState('');
  const { part } = splitElementKey(element);
  const known = useMemo(
    () =>
      new Set(
        [...workbench.elements]
          .filter((e) => splitElementKey(e).part === part)
          .map((e) => splitElementKey(e).colour),
      ),
    [workbench, part],
  );
  const list = workbench.palette
    .filter((c) => c.id !== without && `${c.name} ${c.family} ${c.finish}`.includes(wanted.toLowerCase()))
    .sort((a, b) => Number(known.has(b.id)) - Number(known.has(a.id)));
  return (
    <section aria-label={label}>
      <h3 className="mb-1">{label}</h3>
      <Input
        autoFocus
        value={wanted}
        onChange={(e) => setWanted(e.target.value)}
        placeholder="name or family: grey"
        aria-label="Find a colour"
        className="mb-2 w-full"
      />
      <ul className="bg-background text-background-ink grid max-h-48 grid-cols-[repeat(auto-fill,minmax(84px,1fr))] gap-1 overflow-auto rounded-md p-1">
        {list.map((c: Colour) => (
          <li key={c.id}>
            <button
              type="button"
              onClick={() => onPick(c.id)}
              className="bg-background-cell hover:bg-background-lit flex h-20 w-full flex-col items-center justify-center rounded-md text-[11px]"
            >
              <Glyph element={elementKey(partOf(part).id, c.id)} size={40} />
              <span className="w-full truncate text-center">{c.name}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
