'use client';

import { useMemo } from 'react';
import { interiorOf, keepInterior, reachOf } from '@/core/fit';
import type { Interior } from '@/core/records';
import { useBuild } from '../common/build-store';
import { passerWords, roomsHeadline } from '../words/rooms';
import { PassersForm } from './passers-form';
import { RoomsForm } from './rooms-form';
import { WaysForm } from './ways-form';

/** Rooms: inside sizes, what stands in them, how each is reached from the street, and what gets through. */
export function RoomsTab() {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const { interior, reached, passing } = useMemo(() => {
    void version;
    const interior = interiorOf(workbench);
    return {
      interior,
      reached: reachOf(interior, null),
      passing: interior.passers.map((p) => ({ passer: p, reached: reachOf(interior, p) })),
    };
  }, [workbench, version]);
  const keep = (more: Partial<Interior>) => perform(keepInterior(workbench, { ...interior, ...more }));
  return (
    <div className="h-full overflow-auto p-4" tabIndex={0} role="region" aria-label="Rooms">
      <h1 className="text-[21px] leading-tight">{roomsHeadline(interior, reached)}</h1>
      <div className="mb-3 max-w-5xl" role="status">
        {interior.rooms.length === 0 ? (
          <p className="text-soft">
            Say the rooms with their inside sizes and the ways between them: what cannot be reached, what does
            not get through a door and what of a floor is left is told at once.
          </p>
        ) : (
          passing.map(({ passer, reached: by }, i) => <p key={i}>{passerWords(interior, passer, by)}</p>)
        )}
      </div>
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <RoomsForm interior={interior} reached={reached} onKeep={keep} />
        <div className="flex flex-col gap-4">
          <WaysForm interior={interior} onKeep={keep} />
          <PassersForm interior={interior} onKeep={keep} />
        </div>
      </div>
    </div>
  );
}
