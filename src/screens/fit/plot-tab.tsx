'use client';

import { useMemo } from 'react';
import { baseplatesFor, keepPlot, onPlot, plotOf, readStoreys, storeySteps, streetOf } from '@/core/fit';
import { partOf, splitElementKey } from '@/core/parts';
import { PLOT_SIDES, type Plot } from '@/core/records';
import { Button } from '@/ui/button';
import { Check, Field, Input, Select } from '@/ui/field';
import { useBuild } from '../common/build-store';
import { SizePanel } from '../common/size-panel';
import { plotWords, stepWords } from '../words/fit';
import { NumberBox } from './number-box';
import { rowsOf } from './rows-of';
import { Street } from './street';
import { TypedField } from './typed-field';

/** Size, plot and neighbours: decided before anything is built, and everything later is held against them. */
export function PlotTab() {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const plot = useMemo(() => {
    void version;
    return plotOf(workbench);
  }, [workbench, version]);
  const card = workbench.records.inspectionCard.get(workbench.build);
  const size = card?.built ?? card?.found ?? null;
  const lies = onPlot(plot, size);
  const keep = (more: Partial<Plot>) => perform(keepPlot(workbench, { ...plot, ...more }));
  const name = workbench.records.build.get(workbench.build)?.name ?? 'this build';
  const own = {
    name,
    width: Math.ceil(size?.length ?? plot.width),
    depth: Math.ceil(size?.width ?? plot.depth),
  };
  const street = streetOf(plot, own);
  return (
    <div className="h-full overflow-auto p-4" tabIndex={0} role="region" aria-label="Size and plot">
      <h1 className="text-[21px] leading-tight">{plotWords(plot, size, lies)}</h1>
      <p className="text-soft mb-3">
        Size, plot and levels are best said first: what is planned later is held against them.
      </p>
      {street.length > 1 && (
        <section aria-label="The street" className="bg-background text-background-ink mb-4 rounded-lg p-4">
          <h2 className="mb-2 text-[16px]">The street, to scale</h2>
          <Street houses={street} />
          <ul>
            {street.map((h, i) => {
              const beside = street[i + 1];
              if (!beside || !(h.isOwn || beside.isOwn)) return null;
              const [mine, other] = h.isOwn ? [h, beside] : [beside, h];
              return (
                <li key={beside.name}>
                  <b>{other.name}</b>: {stepWords(storeySteps(mine.storeys, other.storeys))}
                </li>
              );
            })}
          </ul>
        </section>
      )}
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <PlotForm plot={plot} onKeep={keep} />
        <Neighbours plot={plot} onKeep={keep} />
      </div>
      <h2 className="mt-4 text-[16px]">How big it is</h2>
      <div className="-mx-4">
        <SizePanel />
      </div>
    </div>
  );
}

interface FormProps {
  readonly plot: Plot;
  readonly onKeep: (more: Partial<Plot>) => void;
}

const storeyFault = (t: string): string =>
  `“${t}” is no height. Write plates from the ground, or bricks with a b: 2, 10b, 62`;

function PlotForm({ plot, onKeep }: FormProps) {
  const workbench = useBuild((s) => s.workbench);
  const plates = useMemo(
    () =>
      [...workbench.elements].flatMap((e) => {
        const part = partOf(splitElementKey(e).part);
        return part.family.name === 'baseplate'
          ? [{ name: part.id as string, w: part.size[0], d: part.size[1] }]
          : [];
      }),
    [workbench],
  );
  const fitting = baseplatesFor(plot, plates);
  return (
    <section aria-label="The plot" className="border-rule bg-sheet flex flex-col gap-3 rounded-lg border p-4">
      <h2 className="text-[16px]">The plot</h2>
      <p className="text-soft">The build’s length lies along the street, its width goes back from it.</p>
      <div className="flex flex-wrap gap-3">
        <NumberBox
          label="Studs wide"
          value={plot.width}
          least={0}
          most={2000}
          onChange={(width) => onKeep({ width })}
        />
        <NumberBox
          label="Studs deep"
          value={plot.depth}
          least={0}
          most={2000}
          onChange={(depth) => onKeep({ depth })}
        />
        <NumberBox
          label="Kept free in front"
          value={plot.front}
          least={0}
          most={2000}
          onChange={(front) => onKeep({ front })}
        />
      </div>
      <fieldset className="flex flex-wrap gap-4">
        <legend className="text-soft text-[12px]">Touches a neighbour on the</legend>
        {PLOT_SIDES.map((side) => (
          <Check
            key={side}
            words={side}
            on={plot.touches.includes(side)}
            onChange={(on) =>
              onKeep({ touches: PLOT_SIDES.filter((s) => (s === side ? on : plot.touches.includes(s))) })
            }
          />
        ))}
      </fieldset>
      <TypedField
        label="Its storeys, plates from the ground (bricks with a b)"
        value={plot.storeys.join(', ')}
        read={readStoreys}
        onRead={(storeys) => onKeep({ storeys })}
        sayFault={storeyFault}
      />
      {plot.width > 0 && plot.depth > 0 && (
        <p>
          {fitting.length > 0
            ? `Baseplates known here that it fits on: ${fitting
                .slice(0, 3)
                .map((b) => `${b.name} (${b.over[0]} and ${b.over[1]} studs over)`)
                .join(', ')}.`
            : 'No baseplate that is known here is large enough: lay a base of plates under Floors and bases.'}
        </p>
      )}
    </section>
  );
}

function Neighbours({ plot, onKeep }: FormProps) {
  const put = (neighbours: Plot['neighbours']) => onKeep({ neighbours });
  const rows = rowsOf(plot.neighbours, put);
  const change = (i: number, more: Partial<Plot['neighbours'][number]>) =>
    rows.change(i, { ...plot.neighbours[i]!, ...more });
  return (
    <section
      aria-label="Neighbours"
      className="border-rule bg-sheet flex flex-col gap-3 rounded-lg border p-4"
    >
      <h2 className="text-[16px]">Neighbours, from the left</h2>
      {plot.neighbours.length === 0 && (
        <p className="text-soft">
          Other buildings of the row: their storeys are then held against this one’s.
        </p>
      )}
      <ul className="flex flex-col gap-2">
        {plot.neighbours.map((n, i) => (
          <li key={i} className="border-rule rounded-md border p-2">
            <div className="flex flex-wrap items-end gap-2">
              <Field label={`Neighbour ${i + 1}`} className="min-w-32 flex-1">
                <Input
                  key={n.name}
                  defaultValue={n.name}
                  onBlur={(e) => {
                    const name = e.target.value.trim();
                    if (name && name !== n.name) change(i, { name });
                  }}
                />
              </Field>
              <NumberBox
                label="Wide"
                value={n.width}
                least={1}
                most={2000}
                onChange={(width) => change(i, { width })}
              />
              <NumberBox
                label="Deep"
                value={n.depth}
                least={1}
                most={2000}
                onChange={(depth) => change(i, { depth })}
              />
              <Button onClick={() => rows.remove(i)}>Delete</Button>
            </div>
            <TypedField
              label="Storeys"
              value={n.storeys.join(', ')}
              read={readStoreys}
              onRead={(storeys) => change(i, { storeys })}
              sayFault={storeyFault}
            />
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-end gap-3">
        <Button
          onClick={() =>
            put([
              ...plot.neighbours,
              { name: `House ${plot.neighbours.length + 1}`, width: 16, depth: 32, storeys: [] },
            ])
          }
          disabled={plot.neighbours.length >= 30}
        >
          Add a neighbour
        </Button>
        {plot.neighbours.length > 0 && (
          <Field label="This build stands">
            <Select value={plot.place} onChange={(e) => onKeep({ place: Number(e.target.value) })}>
              {Array.from({ length: plot.neighbours.length + 1 }, (_, i) => (
                <option key={i} value={i}>
                  {i === 0 ? 'first' : `after ${plot.neighbours[i - 1]!.name}`}
                </option>
              ))}
            </Select>
          </Field>
        )}
      </div>
    </section>
  );
}
