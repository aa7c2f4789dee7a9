import { written, type Command, type Elsewhere } from '../ledger';
import type { Workbench } from './workbench';

const WORDS: Readonly<Record<Elsewhere, string>> = {
  own: 'own and uncounted',
  buy: 'to buy',
  bought: 'bought',
};

/** Says what pieces are that are in no tray, box or spares of a build: asked once for it, and changed at any time. */
export const setElsewhere = (workbench: Workbench, elsewhere: Elsewhere): Command => {
  const { build } = workbench;
  const old = workbench.records.buildSources.get(build);
  return {
    label: `count what is in no books as ${WORDS[elsewhere]}`,
    diff: written('buildSources', old, {
      id: build,
      build,
      boxesOnly: old?.boxesOnly ?? false,
      elsewhere,
    }),
  };
};

/** What was said of pieces in no books; null where nobody was asked yet, and they count as own. */
export const elsewhereOf = (workbench: Workbench): Elsewhere | null =>
  workbench.records.buildSources.get(workbench.build)?.elsewhere ?? null;
