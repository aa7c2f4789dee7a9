import Link from 'next/link';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { Workbench, type BuildSnapshot } from '@/core/bench';
import type { Colour } from '@/core/colour';
import { priceLookup } from '@/core/ledger';
import type { BuildId, EntryId } from '@/core/shared/ids';
import { addDays, joinNeeds, needOf, placeTogether, PREFERENCES, type NeedReport } from '@/core/supply';
import type { StoresSnapshot } from '@/server/snapshot';
import { Button } from '@/ui/button';
import { Check } from '@/ui/field';
import { count, pieces } from '@/ui/numbers';
import { source } from '../common/bench-store';
import { ask } from '../common/answers';
import { MakeUpView, useMakeUp } from '../make-up';
import type { StoresActs } from './stores-bar';

/** A build with what it lacks after those that have the stores before it. */
interface Lacking {
  readonly bench: Workbench;
  readonly name: string;
  readonly need: NeedReport;
}

/** Nobody can share a box: its pieces are one build's. */
const TOGETHER = { ...PREFERENCES, boxes: false };

/** What several builds lack, made up in one go: one parcel of a seller, one postage, and an order in it for each build. */
export function TogetherTab({
  stores,
  acts,
  palette,
}: {
  stores: StoresSnapshot;
  acts: StoresActs;
  palette: readonly Colour[];
}) {
  const [all, askAgain] = useLacking(stores);
  /** What was ticked or not; a build that is limited to its boxes buys nothing unless it is. */
  const [ticked, setTicked] = useState<ReadonlyMap<BuildId, boolean>>(new Map());
  const isIn = useCallback(
    (build: BuildId) => ticked.get(build) ?? !stores.bound.includes(build),
    [ticked, stores.bound],
  );
  const chosen = useMemo(
    () => (all === 'asking' || all === 'failed' ? [] : all).filter((l) => isIn(l.bench.build)),
    [all, isIn],
  );
  const need = useMemo(
    () => ({
      lots: joinNeeds(chosen.map((l) => l.need.lots)),
      missing: chosen.reduce((s, l) => s + l.need.missing, 0),
    }),
    [chosen],
  );
  const known = useMemo(
    () => ({
      palette,
      priceOf: priceLookup(stores.prices),
      kindOf: (id: EntryId) =>
        chosen.map((l) => l.bench.records.entry.get(id)?.kind).find((kind) => kind !== undefined),
      build: null,
      preferences: TOGETHER,
    }),
    [palette, stores.prices, chosen],
  );
  const makeUp = useMakeUp(need, known);
  const today = addDays(new Date().toISOString(), stores.clock);
  if (all === 'failed')
    return (
      <p role="alert" className="p-4">
        The server did not answer for every build. <Button onClick={askAgain}>Ask again</Button>
      </p>
    );
  if (all === 'asking')
    return (
      <p role="status" className="p-4">
        Going through every build…
      </p>
    );
  if (all.length === 0) return <p className="p-4">No build lacks anything.</p>;
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <fieldset className="border-rule flex flex-wrap items-center gap-x-5 border-b px-4 py-2">
        <legend className="sr-only">Builds to make up together</legend>
        {all.map(({ bench, name, need: own }) => (
          <Check
            key={bench.build}
            words={`${name}, ${pieces(own.missing)}${stores.bound.includes(bench.build) ? ', bound to its boxes' : ''}`}
            on={isIn(bench.build)}
            onChange={(on) => setTicked(new Map(ticked).set(bench.build, on))}
          />
        ))}
      </fieldset>
      <div className="min-h-0 flex-1">
        <MakeUpView
          need={need}
          makeUp={makeUp}
          today={today}
          watches={stores.watches}
          boxes={false}
          heading="h2"
          act={acts.command}
          onOrder={(plan, at) =>
            acts.command(
              placeTogether(
                chosen.map((l) => l.bench),
                makeUp.lots,
                plan,
                at,
                today,
                source(),
              ),
            )
          }
        />
      </div>
      <p className="border-rule text-soft border-t px-4 py-2">
        {count(chosen.length)} {chosen.length === 1 ? 'build shares' : 'builds share'} these parcels; each
        counts its own pieces in under{' '}
        {chosen.map(({ bench, name }, i) => (
          <span key={bench.build}>
            {i > 0 && ', '}
            <Link href={`/builds/${bench.build}/parts`} className="underline">
              <bdi>{name}</bdi>
            </Link>
          </span>
        ))}
        . A box to break up is one build’s own, so it is made up there.
      </p>
    </div>
  );
}

type Found = readonly Lacking[] | 'asking' | 'failed';

/** The builds that lack something, in the order in which they have the stores, and going through them once more. */
function useLacking(stores: StoresSnapshot): readonly [Found, () => void] {
  const [found, setFound] = useState<Found>('asking');
  const [asked, setAsked] = useState(0);
  const { builds, revision } = stores;
  useEffect(() => {
    let there = true;
    void Promise.all(builds.map((b) => ask<BuildSnapshot>(`/api/builds/${b.id}/snapshot`))).then(
      (snapshots) => {
        if (!there) return;
        // A build that is not answered for may lack a lot.
        if (snapshots.some((s) => !s)) return setFound('failed');
        setFound(
          snapshots.flatMap((snapshot, i): Lacking[] => {
            if (!snapshot) return [];
            const bench = new Workbench(snapshot);
            const need = needOf(bench);
            return need.missing > 0 ? [{ bench, name: builds[i]?.name ?? '', need }] : [];
          }),
        );
      },
    );
    return () => {
      there = false;
    };
  }, [builds, revision, asked]);
  return [found, () => setAsked((n) => n + 1)];
}
