'use client';

import { useMemo } from 'react';
import { withKnowledge, type Register } from '@/core/mismatch';
import type { Workbench } from '@/core/workbench';
import type { ElementKey } from '@/core/parts';
import { simulatedRegister } from '@/simulated/register';

/** The register, with imported lists and with what came out of this build's boxes laid over it. */
export function useRegister(workbench: Workbench, version: number): Register {
  return useMemo(() => {
    void version;
    const proof = new Set<ElementKey>();
    for (const e of workbench.records.entry.values())
      if (e.kind === 'unpack') for (const m of e.movements) proof.add(m.element);
    return withKnowledge(simulatedRegister, workbench.records.madeIn, proof);
  }, [workbench, version]);
}

/** The year that the register is asked for. */
export const thisYear = (): number => new Date().getFullYear();
