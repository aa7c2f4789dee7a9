'use client';

import { useMemo } from 'react';
import { withKnowledge, type Register } from '@/core/audit';
import type { Workbench } from '@/core/bench';
import type { ElementKey } from '@/core/parts';
import { standInRegister } from '@/stand-ins/register';

/** The register, with imported lists and with what came out of this build's boxes laid over it. */
export function useRegister(bench: Workbench, version: number): Register {
  return useMemo(() => {
    void version;
    const proof = new Set<ElementKey>();
    for (const e of bench.records.entry.values())
      if (e.kind === 'unpack') for (const m of e.movements) proof.add(m.element);
    return withKnowledge(standInRegister, bench.records.madeIn, proof);
  }, [bench, version]);
}

/** The year that the register is asked for. */
export const thisYear = (): number => new Date().getFullYear();
