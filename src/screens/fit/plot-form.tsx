'use client';

import { useMemo } from 'react';
import { baseplatesFor, readHeight } from '@/core/fit';
import { PLOT_SIDES, type Plot } from '@/core/records';
import { fail, ok } from '@/core/shared/result';
import { Check } from '@/ui/field';
import { useBuild } from '../common/build-store';
import { OnceWhole } from '../common/once-whole';
import { baseWords } from '../words/plot';
import { FrontForm } from './front-form';
import { NumberBox } from '../common/number-box';
import { TypedField } from './typed-field';

interface PlotFormProps {
  readonly plot: Plot;
  readonly onKeep: (more: Partial<Plot>) => void;
}

/** The plot: how large, what is kept free, what it touches; its own storeys, cornices and doors; which baseplate bears it. */
export function PlotForm({ plot, onKeep }: PlotFormProps) {
  return (
    <section aria-label="The plot" className="border-rule bg-sheet flex flex-col gap-3 rounded-lg border p-4">
      <h2 className="text-[16px]">The plot</h2>
      <p className="text-soft">The build’s length lies along the street, its width goes back from it.</p>
      <div className="flex flex-wrap gap-3">
        {(
          [
            ['width', 'Studs wide'],
            ['depth', 'Studs deep'],
            ['front', 'Kept free in front'],
          ] as const
        ).map(([key, label]) => (
          <NumberBox
            key={key}
            label={label}
            value={plot[key]}
            least={0}
            most={2000}
            onChange={(n) => onKeep({ [key]: n })}
          />
        ))}
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
        label="Free above it, plates (a shelf); empty where nothing is"
        value={plot.above === null ? '' : `${plot.above}`}
        read={readAbove}
        onRead={(above) => onKeep({ above })}
        sayFault={(t) => `“${t}” is no height. Write plates, or bricks with a b: 120, 40b`}
      />
      <FrontForm of="Its " front={plot} onKeep={onKeep} />
      {plot.width > 0 && plot.depth > 0 && (
        <OnceWhole>
          <Bases plot={plot} />
        </OnceWhole>
      )}
    </section>
  );
}

/** What is free above as it is typed: nothing where nothing lies above. */
function readAbove(text: string) {
  if (!text.trim()) return ok(null);
  const plates = readHeight(text);
  return plates ? ok(plates) : fail(text);
}

/** Baseplates for the plot: those at hand with what is over or sticks out, then those to buy. */
function Bases({ plot }: { plot: Plot }) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const bases = useMemo(() => {
    void version;
    return baseplatesFor(workbench, plot);
  }, [workbench, version, plot]);
  return (
    <div>
      <h3 className="text-[14px]">Baseplates</h3>
      {bases.length === 0 ? (
        <p>No baseplate is large enough: lay a base of plates under Floors.</p>
      ) : (
        <ul>
          {bases.slice(0, 5).map((b) => (
            <li key={b.name}>{baseWords(b)}.</li>
          ))}
        </ul>
      )}
    </div>
  );
}
