'use client';

import { added, changed, type Exposure, type Seen } from '@/core/ledger';
import { elementName, type ElementKey } from '@/core/parts';
import { asId, type ExposureId, type ZoneId } from '@/core/shared/ids';
import { exposureOf, hiddenOf, lotKey } from '@/core/fading';
import { useBuild } from '../common/build-store';

/** Keeps what a person says of how much of a lot is seen. */
export function useKeepExposure(zone: ZoneId, element: ElementKey, seen: Seen) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  return (to: Partial<Exposure>) => {
    const old = exposureOf(workbench, zone, element);
    const fresh: Exposure = {
      id: asId<ExposureId>(lotKey(zone, element)),
      build: workbench.build,
      zone,
      element,
      seen,
      hidden: hiddenOf(workbench, zone, element),
    };
    perform({
      label: `say how much of ${elementName(element)} is seen`,
      diff: old ? changed('exposure', old, to) : added('exposure', { ...fresh, ...to }),
    });
  };
}
