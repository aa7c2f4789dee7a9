'use client';

import { Link } from '@/ui/link';
import { useMemo } from 'react';
import { compromises, deleteAwaited, keepAwaited, newAwaited, type Compromise } from '@/core/brief';
import { elementName } from '@/core/parts';
import { Button } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { count, money } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { NameField } from '../common/name-field';
import { compromiseName, compromiseWhere, mendWords } from '../words/brief';

/** What is not as one would have it: what would mend each, whether that can be had now, at what price. */
export function CompromisesTab() {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const found = useMemo(() => {
    void version;
    return compromises(workbench);
  }, [workbench, version]);
  const now = found.filter((c) => c.can).length;
  return (
    <div className="h-full overflow-auto p-4" tabIndex={0} role="region" aria-label="Compromises">
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h2 className="flex-1 text-[16px]">
          {found.length === 0
            ? 'Nothing waits to be mended.'
            : `${count(found.length)} to mend, ${count(now)} with what is at hand.`}
        </h2>
        <Button
          onClick={() =>
            perform(keepAwaited(workbench, newAwaited(workbench, source(), workbench.rootZone.id)))
          }
        >
          A place waits for something
        </Button>
      </div>
      <ul className="max-w-4xl">
        {found.map((c) => (
          <CompromiseRow key={c.key} of={c} />
        ))}
      </ul>
    </div>
  );
}

function CompromiseRow({ of }: { of: Compromise }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const zone = of.zone ? workbench.records.zone.get(of.zone)?.name : undefined;
  const awaited = of.kind === 'to be chosen' ? workbench.records.awaitedPlace.get(of.key) : undefined;
  return (
    <li className="border-rule flex min-h-11 flex-wrap items-center gap-3 border-b py-1.5">
      {of.is && <Glyph element={of.is} size={28} />}
      <span className="min-w-48 flex-1">
        <b>{compromiseName(of)}</b>
        {of.is && <>: {elementName(of.is)}</>} {of.name && !awaited && <bdi>{of.name}</bdi>}
        <span className="text-faint block text-[12px]">{zone}</span>
      </span>
      {of.wants && (
        <span className="flex items-center gap-2">
          <Glyph element={of.wants} size={28} /> {count(of.qty)} {elementName(of.wants)}
        </span>
      )}
      <span>{mendWords(of, money)}</span>
      {awaited && (
        <>
          <NameField
            label="What it waits for"
            value={awaited.what}
            onKeep={(what) => perform(keepAwaited(workbench, { ...awaited, what }))}
          />
          <Button onClick={() => perform(keepAwaited(workbench, { ...awaited, chosen: true }))}>
            Chosen
          </Button>
          <Button onClick={() => perform(deleteAwaited(awaited))}>Delete</Button>
        </>
      )}
      {!awaited && (
        <Link className="underline" href={`/builds/${workbench.build}/${compromiseWhere(of)}`}>
          Mend it
        </Link>
      )}
    </li>
  );
}
