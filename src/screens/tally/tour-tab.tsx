'use client';

import { useMemo } from 'react';
import { inStoreys, keepTold, tourOf, type TourStop } from '@/core/show';
import { Field, Select } from '@/ui/field';
import type { Storey } from '@/core/records';
import { count, signed } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { NameField } from '../common/name-field';
import { KeptPhoto, PhotoButton } from '../common/photo-button';
import { stayAnswerWords } from '../words/brief';
import { PartsList } from './came-went-lists';
import { useOneInAddress } from '../common/use-in-address';

/** Zone by zone: what it was, what it is, what of it is kept, changed and new, what must stay, and what is awaited. */
export function TourTab({ planned }: { planned: boolean }) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const stops = useMemo(() => {
    void version;
    return tourOf(workbench, planned ? workbench.planned : workbench.built);
  }, [workbench, version, planned]);
  const storeys = useMemo(() => inStoreys(workbench, stops), [workbench, stops]);
  const hasStoreys = storeys.some((s) => s.storey !== null);
  const [way, setWay] = useOneInAddress('way', ['storeys', 'zones']);
  // A storey of the name of its zone needs no heading of its own.
  const isTitled = (storey: Storey | null, of: readonly TourStop[]) =>
    hasStoreys && way === 'storeys' && storey?.name !== of[0]?.name;
  const changed = stops.filter((s) => s.came.length + s.went.length > 0).length;
  return (
    <div className="mx-auto max-w-5xl">
      <h1 className="mb-2 text-[21px] leading-tight">
        {count(changed)} of {count(stops.length)} {stops.length === 1 ? 'zone is' : 'zones are'} changed,{' '}
        {planned ? 'as planned' : 'as built'}.
      </h1>
      {hasStoreys && (
        <Field label="In which order" className="mb-2 w-48">
          <Select value={way} onChange={(e) => setWay(e.target.value as typeof way)}>
            <option value="storeys">storey by storey</option>
            <option value="zones">zone by zone</option>
          </Select>
        </Field>
      )}
      {(hasStoreys && way === 'storeys' ? storeys : [{ storey: null, stops }]).map(
        ({ storey, stops: of }) => (
          <section key={storey?.id ?? ''} aria-label={storey?.name ?? 'Zones'} className="mt-3">
            {isTitled(storey, of) && (
              <h2 className="text-[20px] font-semibold">
                {storey ? <bdi>{storey.name}</bdi> : 'In no storey'}
                {storey && storey.state !== 'stands' && ` (${storey.state})`}
              </h2>
            )}
            <ol className="flex flex-col gap-5">
              {of.map((s) => (
                <Stop key={s.zone} stop={s} Heading={isTitled(storey, of) ? 'h3' : 'h2'} />
              ))}
            </ol>
          </section>
        ),
      )}
    </div>
  );
}

function Stop({ stop, Heading }: { stop: TourStop; Heading: 'h2' | 'h3' }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const { told, standing, features, awaits } = stop;
  const keep = (more: Partial<typeof told>) => perform(keepTold(workbench, { ...told, ...more }));
  return (
    <li className="border-rule border-t pt-3">
      <Heading className="text-[18px]">
        <bdi>{stop.name}</bdi>
      </Heading>
      <p>
        {count(stop.before)} before, <b>{count(standing.onModel)}</b> now (
        {signed(standing.onModel - stop.before)}): {count(standing.kept)} kept, {count(standing.changed)}{' '}
        changed, {count(standing.fresh)} new.
      </p>
      <div className="my-2 flex flex-wrap items-end gap-3">
        <NameField
          label={`What ${stop.name} was`}
          value={told.was}
          mayBeEmpty
          onKeep={(was) => keep({ was })}
          className="w-72"
        />
        <NameField
          label="What it is"
          value={told.is}
          mayBeEmpty
          onKeep={(is) => keep({ is })}
          className="w-72"
        />
        <PhotoButton
          words={told.photo ? 'Another photo' : 'Photo'}
          label={`A photo of ${stop.name}`}
          onKept={(photo) => keep({ photo })}
        />
      </div>
      <KeptPhoto
        id={told.photo}
        words={`${stop.name} as it is`}
        className="border-rule mb-2 max-h-72 border"
      />
      {stop.came.length + stop.went.length > 0 && (
        <div className="grid gap-4 md:grid-cols-2">
          <PartsList title="came" lots={stop.came} />
          <PartsList title="went" lots={stop.went} isGone />
        </div>
      )}
      {features.length > 0 && (
        <ul className="mt-2">
          {features.map((f) => (
            <li key={f.id}>
              <b>
                <bdi>{f.note || 'What must stay'}</bdi>
              </b>
              : {stayAnswerWords(f)}
            </li>
          ))}
        </ul>
      )}
      {awaits.length > 0 && (
        <ul className="mt-2">
          {awaits.map((a) => (
            <li key={a.id}>
              ▲ Still waits for <bdi>{a.what}</bdi>
            </li>
          ))}
        </ul>
      )}
    </li>
  );
}
