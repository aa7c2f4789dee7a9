'use client';

import { useMemo } from 'react';
import { holding, seamHold } from '@/core/fit';
import { useBuild } from '../common/build-store';
import { strengthHeadline } from '../words/strength';
import { ConnectionSum } from './connection-sum';
import { Sums } from '../common/result';
import { SeamSum } from './seam-sum';

/** Strength: what holds by little, with what to do about it, and seams at which something lifts off. */
export function StrengthTab() {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const { weak, seams } = useMemo(() => {
    void version;
    const mine = <T extends { readonly build: string }>(all: Iterable<T>) =>
      [...all].filter((r) => r.build === workbench.build);
    return {
      weak: mine(workbench.records.connection.values())
        .filter((c) => holding(c).because.length > 0)
        .map((c) => c.name),
      seams: mine(workbench.records.seam.values()).map((s) => ({
        name: s.name,
        state: seamHold(workbench, s).state,
      })),
    };
  }, [workbench, version]);
  return (
    <Sums
      title={strengthHeadline(weak, seams)}
      says="Rules of the thumb: a stud holds 1 to 3 N. What must hold is counted with the least, what must come off with the most. Parts that are bent, pinched or out of grid are noted, not computed."
    >
      <ConnectionSum />
      <SeamSum />
    </Sums>
  );
}
