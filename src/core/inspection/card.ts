import { written, type Command, type InspectionCard, type Size } from '../ledger';
import type { Workbench } from '../workbench';

const change = (workbench: Workbench, label: string, to: Partial<InspectionCard>): Command => {
  const { build } = workbench;
  const old = workbench.records.inspectionCard.get(build);
  const blank: InspectionCard = {
    id: build,
    build,
    display: 'all round',
    away: [],
    gear: [],
    found: null,
    built: null,
  };
  return { label, diff: written('inspectionCard', old, { ...blank, ...old, ...to }) };
};

/** Says how the model will be shown, and which zones are turned away. */
export const sayDisplay = (
  workbench: Workbench,
  to: Partial<Pick<InspectionCard, 'display' | 'away' | 'gear'>>,
): Command => change(workbench, 'say how it will be shown', to);

/** Keeps the size as the model was found, or as it was built; null deletes it. */
export const measureSize = (workbench: Workbench, which: 'found' | 'built', size: Size | null): Command =>
  change(workbench, `measure the size as ${which}`, { [which]: size });
