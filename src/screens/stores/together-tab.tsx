import Link from 'next/link';
import { useEffect, useMemo, useState } from 'react';
import { Workbench } from '@/core/bench';
import type { Colour } from '@/core/colour';
import { priceLookup } from '@/core/ledger';
import type { BuildId, EntryId } from '@/core/shared/ids';
import { addDays, joinNeeds, needOf, placeTogether, PREFERENCES, type NeedReport } from '@/core/supply';
import type { StoresSnapshot } from '@/server/snapshot';
import { Check } from '@/ui/field';
import { count, pieces } from '@/ui/numbers';
import { source } from '../common/bench-store';
import { fetchSnapshot } from '../common/server-client';
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
  const all = useLacking(stores);
  const [left, setLeft] = useState<ReadonlySet<BuildId>>(new Set());
  const chosen = useMemo(() => (all ?? []).filter((l) => !left.has(l.bench.build)), [all, left]);
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
  if (!all)
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
            words={`${name}, ${pieces(own.missing)}`}
            on={!left.has(bench.build)}
            onChange={(on) => {
              const next = new Set(left);
              if (on) next.delete(bench.build);
              else next.add(bench.build);
              setLeft(next);
            }}
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

/** The builds that lack something, in the order in which they have the stores; null while they are gone through. */
function useLacking(stores: StoresSnapshot): readonly Lacking[] | null {
  const [found, setFound] = useState<readonly Lacking[] | null>(null);
  const { builds, revision } = stores;
  useEffect(() => {
    let there = true;
    void Promise.all(builds.map((b) => fetchSnapshot(b.id))).then((snapshots) => {
      if (!there) return;
      setFound(
        snapshots.flatMap((snapshot, i): Lacking[] => {
          if (!snapshot) return [];
          const bench = new Workbench(snapshot);
          const need = needOf(bench);
          return need.missing > 0 ? [{ bench, name: builds[i]?.name ?? '', need }] : [];
        }),
      );
    });
    return () => {
      there = false;
    };
  }, [builds, revision]);
  return found;
}
