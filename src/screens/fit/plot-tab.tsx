'use client';

import { useMemo } from 'react';
import { keepPlot, sidesAgree, standsOnPlot, streetOf } from '@/core/fit';
import type { Plot } from '@/core/records';
import { useBuild } from '../common/build-store';
import { SizePanel } from '../common/size-panel';
import { plotWords, sizeWords } from '../words/plot';
import { NeighboursForm } from './neighbours-form';
import { PlotForm } from './plot-form';
import { SidesForm } from './sides-form';
import { StreetPanel } from './street-panel';
import { ZonePlaces } from './zone-places';

/** Size, plot and neighbours: decided before anything is built, and everything later is held against them. */
export function PlotTab() {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const stands = useMemo(() => {
    void version;
    return standsOnPlot(workbench);
  }, [workbench, version]);
  const { plot, size } = stands;
  const card = workbench.records.inspectionCard.get(workbench.build);
  const keep = (more: Partial<Plot>) => perform(keepPlot(workbench, { ...plot, ...more }));
  const street = streetOf(plot, {
    name: workbench.records.build.get(workbench.build)?.name ?? 'this build',
    width: Math.ceil(size?.length ?? plot.width),
    depth: Math.ceil(size?.width ?? plot.depth),
  });
  return (
    <div className="h-full overflow-auto p-4" tabIndex={0} role="region" aria-label="Size and plot">
      <h1 className="text-[21px] leading-tight">{plotWords(stands)}</h1>
      <p className="text-soft mb-3">
        Size, plot and levels are best said first: what is planned later is held against them.
      </p>
      {street.length > 1 && <StreetPanel street={street} plot={plot} />}
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <PlotForm plot={plot} onKeep={keep} />
        <NeighboursForm plot={plot} onKeep={keep} />
      </div>
      <ZonePlaces plot={plot} />
      <h2 className="mt-4 text-[16px]">How big it is</h2>
      {size && <p>{sizeWords(size, card?.built ?? card?.found ?? null)}</p>}
      <div className="-mx-4">
        <SizePanel />
      </div>
      <SidesForm
        plot={plot}
        off={sidesAgree(plot, card?.found ?? null, card?.built ?? null)}
        onKeep={(changed) => keep({ changed })}
      />
    </div>
  );
}
