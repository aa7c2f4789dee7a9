'use client';

import { Link } from '@/ui/link';
import { useState } from 'react';
import { elementName, type ElementKey } from '@/core/parts';
import type { BuildNeed } from '@/server/needs';
import { Button } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { count, piecesOfKinds } from '@/ui/numbers';
import { VirtualList } from '@/ui/virtual-list';

interface Lacking {
  readonly element: ElementKey;
  readonly hidden: boolean;
  readonly builds: readonly { readonly name: string; readonly qty: number }[];
}

/** What all builds still need together, each counted after those that have own parts before it. */
export function AllNeeds() {
  const [needs, setNeeds] = useState<readonly BuildNeed[] | 'asking' | 'failed' | null>(null);
  const ask = async () => {
    setNeeds('asking');
    try {
      const body = (await (await fetch('/api/needs')).json()) as { ok: boolean; value: BuildNeed[] };
      setNeeds(body.ok ? body.value : 'failed');
    } catch {
      setNeeds('failed');
    }
  };
  const known = typeof needs === 'object' && needs !== null ? needs : [];
  const lots = joined(known);
  const missing = known.reduce((s, n) => s + n.missing, 0);
  return (
    <section aria-label="What all builds need" className="mt-5">
      <div className="mb-1 flex flex-wrap items-center gap-3">
        <h2 className="flex-1">
          <span role="status">
            {needs === null && 'What all builds still need'}
            {needs === 'asking' && 'Going through every build…'}
            {needs === 'failed' && 'The server did not answer. Ask again.'}
            {typeof needs === 'object' &&
              needs !== null &&
              (missing === 0
                ? 'No build needs anything.'
                : `${piecesOfKinds(missing, lots.length)} are missing in all.`)}
          </span>
        </h2>
        <Button disabled={needs === 'asking'} onClick={() => void ask()}>
          Work it out
        </Button>
      </div>
      <ul className="mb-2 flex flex-wrap gap-x-4">
        {known
          .filter((n) => n.missing > 0)
          .map((n) => (
            <li key={n.build}>
              <Link href={`/builds/${n.build}/parts`} className="underline">
                <bdi>{n.name}</bdi>
              </Link>{' '}
              <b>{count(n.missing)}</b>
            </li>
          ))}
      </ul>
      <VirtualList
        items={lots}
        keyOf={(l) => `${l.element}${l.hidden}`}
        rowHeight={41}
        rowClass="border-rule flex min-h-10 flex-wrap items-center gap-3 border-b"
      >
        {(l) => (
          <>
            <Glyph element={l.element} mark={l.hidden ? 'hidden' : 'in'} size={30} label="" />
            <span className="w-56">
              <b>{count(l.builds.reduce((s, b) => s + b.qty, 0))}</b> {elementName(l.element)}
            </span>
            <span className="text-soft flex-1">
              {l.builds.map((b) => `${count(b.qty)} for ${b.name}`).join(', ')}
            </span>
          </>
        )}
      </VirtualList>
    </section>
  );
}

/** Lots of several needs as one list, those that several builds lack first. */
function joined(needs: readonly BuildNeed[]): Lacking[] {
  const lots = new Map<string, Lacking>();
  for (const n of needs)
    for (const { element, hidden, qty } of n.lots) {
      const key = `${element}|${hidden}`;
      const old = lots.get(key) ?? { element, hidden, builds: [] };
      lots.set(key, { ...old, builds: [...old.builds, { name: n.name, qty }] });
    }
  return [...lots.values()].sort((a, b) => b.builds.length - a.builds.length);
}
