'use client';

import type { Exposure, Seen } from '@/core/ledger';
import type { ElementKey } from '@/core/parts';
import type { ZoneId } from '@/core/shared/ids';
import { setExposure } from '@/core/fading';
import { useBuild } from '../common/build-store';

/** Keeps what a person says of how much of a lot is seen. */
export function useKeepExposure(zone: ZoneId, element: ElementKey, seen: Seen) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  return (to: Partial<Pick<Exposure, 'seen' | 'hidden'>>) =>
    perform(setExposure(workbench, zone, element, seen, to));
}
