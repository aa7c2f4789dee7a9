'use client';

import { useEffect, useMemo, useState } from 'react';
import type { Street } from '@/core/records';
import { changeStreet, deleteStreet, newStreet, streetNow, type StreetBuild } from '@/core/together';
import type { BuildId } from '@/core/shared/ids';
import { Button } from '@/ui/button';
import { Check, Field, Select } from '@/ui/field';
import { count, pieces, priced } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { NameField } from '../common/name-field';
import { NumberBox } from '../common/number-box';
import { list } from '../words/places';
import { ask } from '../sending/answers';
import { BuildPicker } from './build-picker';
import { StreetTable } from './street-table';

/** Several builds as one display: where each stands on a table, how they meet, pieces and money of all. */
export function StreetPanel() {
  const workbench = useBuild((s) => s.workbench);
  useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const streets = [...workbench.records.street.values()];
  const own = streets.find((s) => s.places.some((p) => p.build === workbench.build));
  const [chosen, setChosen] = useState<string | null>(null);
  const street = streets.find((s) => s.id === chosen) ?? own ?? streets[0];
  const begin = () => {
    const command = newStreet(`Street ${streets.length + 1}`, source());
    perform(command);
    setChosen(command.diff.added[0]!.record.id);
  };
  return (
    <section aria-label="A street" className="mb-8">
      <div className="mb-3 flex flex-wrap items-end gap-3">
        {streets.length > 1 && (
          <Field label="Which street">
            <Select value={street?.id ?? ''} onChange={(e) => setChosen(e.target.value)}>
              {streets.map((s) => (
                <option key={s.id} value={s.id}>
                  {s.name}
                </option>
              ))}
            </Select>
          </Field>
        )}
        <Button disabled={streets.length >= 50} onClick={begin}>
          {streets.length === 0 ? 'Put builds together on a table' : 'Another street'}
        </Button>
      </div>
      {street ? (
        <OneStreet key={street.id} street={street} />
      ) : (
        <h1 className="text-[21px] leading-tight">No street has been begun.</h1>
      )}
    </section>
  );
}

function OneStreet({ street }: { street: Street }) {
  const perform = useBuild((s) => s.perform);
  const [next, setNext] = useState('');
  const builds = useStreetBuilds(street);
  const now = useMemo(() => streetNow(street, builds), [street, builds]);
  const change = (to: Partial<Street>) => perform(changeStreet(street, to));
  const nameOf = (id: string) => builds.find((b) => b.build === id)?.name ?? '…';
  const put = (id: string) => {
    const right = now.standing.reduce((n, s) => Math.max(n, s.x + s.width), 0);
    change({ places: [...street.places, { build: id as BuildId, x: right, y: 0, turned: false }] });
  };
  const place = (i: number, to: Partial<Street['places'][number]>) =>
    change({ places: street.places.map((p, k) => (k === i ? { ...p, ...to } : p)) });
  return (
    <>
      <h1 className="text-[21px] leading-tight">
        <bdi>{street.name}</bdi>: {count(street.places.length)}{' '}
        {street.places.length === 1 ? 'build' : 'builds'}
        {street.places.length > 0 && builds.length === 0
          ? ', which are being looked at…'
          : `, ${pieces(now.pieces)}, ${priced(now.outOfPocket, now.unpriced)} out of pocket, as planned.`}
      </h1>
      <div className="my-3 flex flex-wrap items-end gap-3">
        <NameField label="Name" value={street.name} onKeep={(name) => change({ name })} className="w-48" />
        <NumberBox
          label="Table wide, studs"
          value={street.width}
          least={1}
          most={10_000}
          onChange={(width) => change({ width })}
        />
        <NumberBox
          label="Table deep, studs"
          value={street.depth}
          least={1}
          most={10_000}
          onChange={(depth) => change({ depth })}
        />
        <BuildPicker
          label="A build"
          value={next}
          onChoose={setNext}
          without={street.places.map((p) => p.build)}
          withOwn
        />
        <Button
          disabled={!next || street.places.length >= 60}
          onClick={() => {
            put(next);
            setNext('');
          }}
        >
          Put it on the table
        </Button>
        <Button onClick={() => perform(deleteStreet(street))}>Delete the street</Button>
      </div>
      <StreetTable street={street} now={now} />
      <ul className="mb-3">
        {street.places.map((p, i) => (
          <li key={p.build} className="border-rule flex flex-wrap items-end gap-3 border-b py-1.5">
            <b className="min-w-40 flex-1">
              <bdi>{nameOf(p.build)}</bdi>
            </b>
            <NumberBox
              label="From the left, studs"
              value={p.x}
              least={-1000}
              most={10_000}
              parts
              onChange={(x) => place(i, { x })}
            />
            <NumberBox
              label="From the front, studs"
              value={p.y}
              least={-1000}
              most={10_000}
              parts
              onChange={(y) => place(i, { y })}
            />
            <Check words="side to the front" on={p.turned} onChange={(turned) => place(i, { turned })} />
            <Button onClick={() => change({ places: street.places.filter((_, k) => k !== i) })}>
              Take it off
            </Button>
          </li>
        ))}
      </ul>
      <ul>
        {now.overlaps.map((o) => (
          <li key={`${o.a} ${o.b}`}>
            ▲ <bdi>{o.a}</bdi> and <bdi>{o.b}</bdi> stand in one another by {count(o.studs)}{' '}
            {o.studs === 1 ? 'stud' : 'studs'}.
          </li>
        ))}
        {now.over.length > 0 && <li>▲ Over the table’s edge: {list([...now.over])}.</li>}
        {now.unknown.length > 0 && <li>Of no known size, under Fit: {list([...now.unknown])}.</li>}
        {now.heights.map((h) => (
          <li key={`h ${h.a} ${h.b}`}>
            <bdi>{h.b}</bdi> is{' '}
            {h.bricks === 0
              ? 'as high as'
              : `${count(Math.abs(h.bricks))} bricks ${h.bricks > 0 ? 'higher' : 'lower'} than`}{' '}
            <bdi>{h.a}</bdi>.
          </li>
        ))}
        {now.alike.map((a) => (
          <li key={`c ${a.a} ${a.b}`}>
            <bdi>{a.a}</bdi> and <bdi>{a.b}</bdi> are both mainly {list([...a.colours])}.
          </li>
        ))}
        {now.doubles.slice(0, 12).map((d) => (
          <li key={d.what}>
            <bdi>{d.what}</bdi> stands in {list([...d.builds])}.
          </li>
        ))}
      </ul>
      {now.standing.length > 0 && (
        <p className="text-soft mt-2">
          {now.standing
            .map((s) => `${s.of.name}: ${count(s.of.pieces)}, ${priced(s.of.outOfPocket, s.of.unpriced)}`)
            .join('; ')}
          .
        </p>
      )}
    </>
  );
}

/** The builds of a street as the server knows them. */
function useStreetBuilds(street: Street): readonly StreetBuild[] {
  const [builds, setBuilds] = useState<readonly StreetBuild[]>([]);
  const key = street.places.map((p) => `build=${encodeURIComponent(p.build)}`).join('&');
  useEffect(() => {
    if (!key) return;
    let there = true;
    void ask<readonly StreetBuild[]>(`/api/street?${key}`).then(
      (found) => found && there && setBuilds(found),
    );
    return () => void (there = false);
  }, [key]);
  return builds;
}
