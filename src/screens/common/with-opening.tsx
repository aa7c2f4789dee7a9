'use client';

import { startTransition, useEffect, useState, type ComponentType } from 'react';
import type { BuildSnapshot, Workbench } from '@/core/workbench';
import type { Later } from '@/server/snapshot';
import type { ScreenName } from '@/ui/app-header';
import { Button } from '@/ui/button';
import { askAtOnce } from '../sending/opening-paths';
import { askOpening, askOwnOpening } from '../sending/snapshots';
import { comesToWords, copiesWords } from '../words/build';
import { HeldBar } from './held-bar';
import { OpenedContext } from './opened-context';

/** What a page opens a build with: all of it, or, where its log is long, what it comes to; the page asks for the rest. */
export type Opening = BuildSnapshot | Later;

interface Got {
  readonly snapshot: BuildSnapshot;
  readonly workbench?: Workbench;
}

/** A screen of a build that can also be opened before its books are there. */
export const withOpening = <More extends object = object>(
  Screen: ComponentType<{ snapshot: BuildSnapshot } & More>,
  name: ScreenName,
) =>
  function OpeningScreen({ opening, ...rest }: { opening: Opening } & More) {
    const more = rest as unknown as More;
    const later = 'later' in opening ? opening : null;
    const [got, setGot] = useState<Got | 'failed' | null>('later' in opening ? null : { snapshot: opening });
    const [tries, setTries] = useState(0);
    useEffect(() => {
      if (!later) return;
      let there = true;
      // A line can be typed with what the build has: what else is known of parts comes meanwhile.
      const ask = name === 'Bench' ? askOwnOpening : askOpening;
      void ask(later.later).then(
        // A long log takes a while to draw: the page goes on answering meanwhile.
        (bench) => there && startTransition(() => setGot(bench ?? 'failed')),
      );
      return () => {
        there = false;
      };
    }, [later, tries]);
    const whole = got && got !== 'failed' && (
      <OpenedContext value={got.workbench ?? null}>
        <Screen key={got.snapshot.build} {...more} snapshot={got.snapshot} />
      </OpenedContext>
    );
    if (!later) return whole;
    const { later: id, copies, comesTo } = later;
    askAtOnce(id);
    const says = comesTo ? copiesWords(copies, comesTo.shipped) : '';
    const again = (): void => {
      setGot(null);
      setTries(tries + 1);
    };
    return (
      <HeldBar build={{ id, name: later.name, says }} screen={name}>
        {whole || <Waiting of={later} failed={got === 'failed'} onAgain={again} />}
      </HeldBar>
    );
  };

interface WaitingProps {
  readonly of: Later;
  readonly failed: boolean;
  readonly onAgain: () => void;
}

/** What is known of a build while its books are on their way. */
function Waiting({ of: { name, comesTo }, failed, onAgain }: WaitingProps) {
  return (
    <main className="px-4 py-5">
      <h1 className="text-[24px] leading-tight">
        <bdi>{name}</bdi>
        {comesTo && `: ${comesToWords(comesTo)}.`}
      </h1>
      <p role="status" className="text-soft mt-1">
        {failed ? 'The server did not answer.' : 'Its log is long: it is being opened…'}
      </p>
      {failed && (
        <Button className="mt-3" onClick={onAgain}>
          Try again
        </Button>
      )}
    </main>
  );
}
