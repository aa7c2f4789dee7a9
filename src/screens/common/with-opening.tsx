'use client';

import { startTransition, useEffect, useState, type ComponentType } from 'react';
import type { BuildSnapshot, Workbench } from '@/core/workbench';
import type { BuildId } from '@/core/shared/ids';
import { Button } from '@/ui/button';
import { askOpening } from '../sending/snapshots';
import { OpenedContext } from './opened-context';

/** What a page opens a build with: all of it, or, where its log is long, its name; the page then asks for the rest. */
export type Opening = BuildSnapshot | { readonly later: BuildId; readonly name: string };

interface Got {
  readonly snapshot: BuildSnapshot;
  readonly workbench?: Workbench;
}

/** A screen of a build that can also be opened before its books are there. */
export const withOpening = <More extends object = object>(
  Screen: ComponentType<{ snapshot: BuildSnapshot } & More>,
) =>
  function OpeningScreen({ opening, ...rest }: { opening: Opening } & More) {
    const more = rest as unknown as More;
    const later = 'later' in opening ? opening : null;
    const [got, setGot] = useState<Got | 'failed' | null>('later' in opening ? null : { snapshot: opening });
    const [tries, setTries] = useState(0);
    useEffect(() => {
      if (!later) return;
      let there = true;
      void askOpening(later.later).then(
        // A long log takes a while to draw: the page goes on answering meanwhile.
        (bench) => there && startTransition(() => setGot(bench ?? 'failed')),
      );
      return () => {
        there = false;
      };
    }, [later, tries]);
    if (got && got !== 'failed')
      return (
        <OpenedContext value={got.workbench ?? null}>
          <Screen key={got.snapshot.build} {...more} snapshot={got.snapshot} />
        </OpenedContext>
      );
    return (
      <main className="mx-auto max-w-xl px-4 py-16">
        <h1 className="text-[24px]">
          <bdi>{later?.name}</bdi>
        </h1>
        <p role="status" className="text-soft mt-2">
          {got === 'failed' ? 'The server did not answer.' : 'Its log is long: it is being opened…'}
        </p>
        {got === 'failed' && (
          <Button
            className="mt-3"
            onClick={() => {
              setGot(null);
              setTries(tries + 1);
            }}
          >
            Try again
          </Button>
        )}
      </main>
    );
  };
