'use client';

import { startTransition, useEffect, useState, type ComponentType } from 'react';
import type { BuildSnapshot } from '@/core/workbench';
import type { BuildId } from '@/core/shared/ids';
import { Button } from '@/ui/button';
import { ask } from '../sending/answers';

/** What a page opens a build with: all of it, or, where its log is long, its name; the page then asks for the rest. */
export type Opening = BuildSnapshot | { readonly later: BuildId; readonly name: string };

/** A screen of a build that can also be opened before its books are there. */
export const withOpening = <More extends object = object>(
  Screen: ComponentType<{ snapshot: BuildSnapshot } & More>,
) =>
  function OpeningScreen({ opening, ...rest }: { opening: Opening } & More) {
    const more = rest as unknown as More;
    const later = 'later' in opening ? opening : null;
    const [got, setGot] = useState<BuildSnapshot | 'failed' | null>('later' in opening ? null : opening);
    const [tries, setTries] = useState(0);
    useEffect(() => {
      if (!later) return;
      let there = true;
      void ask<BuildSnapshot>(`/api/builds/${later.later}/snapshot`).then(
        // A long log takes a while to draw: the page goes on answering meanwhile.
        (s) => there && startTransition(() => setGot(s ?? 'failed')),
      );
      return () => {
        there = false;
      };
    }, [later, tries]);
    if (got && got !== 'failed') return <Screen key={got.build} {...more} snapshot={got} />;
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
