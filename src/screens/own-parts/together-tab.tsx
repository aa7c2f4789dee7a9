import { Link } from '@/ui/link';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { Workbench } from '@/core/workbench';
import type { Colour } from '@/core/colour';
import type { BuildId } from '@/core/shared/ids';
import { addDays, joinNeeds, PREFERENCES } from '@/core/market';
import { needOf, type NeedReport } from '@/core/need';
import { placeTogether } from '@/core/orders';
import type { StockSnapshot } from '@/server/snapshot';
import { Button } from '@/ui/button';
import { Check } from '@/ui/field';
import { count, pieces } from '@/ui/numbers';
import { source } from '../common/build-store';
import { askBench } from '../sending/snapshots';
import { turns } from '../sending/turns';
import { BuyingPlanView, useSourcing } from '../sourcing';
import type { OwnPartsActs } from '../common/own-parts-acts';

/** A build with what it lacks after those that have own parts before it. */
interface Lacking {
  readonly workbench: Workbench;
  readonly name: string;
  readonly need: NeedReport;
}

/** Nobody can share a box: its pieces are one build's. */
const TOGETHER = { ...PREFERENCES, boxes: false };

/** What several builds lack, made up in one go: one parcel of a seller, one postage, and an order in it for each build. */
export function TogetherTab({
  stock,
  acts,
  palette,
}: {
  stock: StockSnapshot;
  acts: OwnPartsActs;
  palette: readonly Colour[];
}) {
  const [all, askAgain] = useLacking(stock);
  /** What was ticked or not; a build that is limited to its boxes buys nothing unless it is. */
  const [ticked, setTicked] = useState<ReadonlyMap<BuildId, boolean>>(new Map());
  const isIn = useCallback(
    (build: BuildId) => ticked.get(build) ?? !stock.bound.includes(build),
    [ticked, stock.bound],
  );
  const chosen = useMemo(
    () => (all === 'asking' || all === 'failed' ? [] : all).filter((l) => isIn(l.workbench.build)),
    [all, isIn],
  );
  const need = useMemo(
    () => ({
      lots: joinNeeds(chosen.map((l) => l.need.lots)),
      missing: chosen.reduce((s, l) => s + l.need.missing, 0),
    }),
    [chosen],
  );
  const known = useMemo(() => ({ palette, build: null, preferences: TOGETHER }), [palette]);
  const sourcing = useSourcing(need, known);
  const today = addDays(new Date().toISOString(), stock.clock);
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
  if (all.length === 0) return <p className="p-4">No build needs anything.</p>;
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <fieldset className="border-rule flex flex-wrap items-center gap-x-5 border-b px-4 py-2">
        <legend className="sr-only">Builds to buy for together</legend>
        {all.map(({ workbench, name, need: own }) => (
          <Check
            key={workbench.build}
            words={`${name}, ${pieces(own.missing)}${stock.bound.includes(workbench.build) ? ', bound to its boxes' : ''}`}
            on={isIn(workbench.build)}
            onChange={(on) => setTicked(new Map(ticked).set(workbench.build, on))}
          />
        ))}
      </fieldset>
      <div className="min-h-0 flex-1">
        <BuyingPlanView
          need={need}
          sourcing={sourcing}
          today={today}
          waitingParts={stock.waitingParts}
          boxes={false}
          heading="h2"
          act={acts.perform}
          onOrder={(plan, at) =>
            acts.perform(
              placeTogether(
                chosen.map((l) => l.workbench),
                sourcing.lots,
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
        {chosen.map(({ workbench, name }, i) => (
          <span key={workbench.build}>
            {i > 0 && ', '}
            <Link href={`/builds/${workbench.build}/parts`} className="underline">
              <bdi>{name}</bdi>
            </Link>
          </span>
        ))}
        . A box to break up is one build’s own, so it is planned there.
      </p>
    </div>
  );
}

type Found = readonly Lacking[] | 'asking' | 'failed';

/** The builds that lack something, in the order in which they have own parts, and going through them once more. */
function useLacking(stock: StockSnapshot): readonly [Found, () => void] {
  const [found, setFound] = useState<Found>('asking');
  const [asked, setAsked] = useState(0);
  const { builds, revision } = stock;
  useEffect(() => {
    let there = true;
    void Promise.all(builds.map((b) => askBench(b.id))).then(async (benches) => {
      // A build that is not answered for may lack a lot.
      if (benches.some((b) => !b)) return there && setFound('failed');
      const pause = turns();
      const lacking: Lacking[] = [];
      for (const [i, workbench] of benches.entries()) {
        await pause();
        if (!workbench || !there) continue;
        const need = needOf(workbench);
        if (need.missing > 0) lacking.push({ workbench, name: builds[i]?.name ?? '', need });
      }
      if (there) setFound(lacking);
    });
    return () => {
      there = false;
    };
  }, [builds, revision, asked]);
  return [found, () => setAsked((n) => n + 1)];
}
