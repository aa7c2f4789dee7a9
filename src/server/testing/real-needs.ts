import { joinNeeds, poseProblem, PREFERENCES, wantedElements } from '@/core/market';
import { priceLookup } from '@/core/ledger';
import { needOf, type NeedLot } from '@/core/need';
import { elementKey, splitElementKey } from '@/core/parts';
import { pick, seededRandom } from '@/core/shared/random';
import type { Problem } from '@/core/sourcing';
import type { Workbench } from '@/core/workbench';
import type { Handle } from '@/data/database';
import { readRecords } from '@/data/records';
import { paletteIn } from '../palette';
import { openWorkbench } from '../snapshot';
import { askMarket } from '../market/ask-market';

/** Fewer kinds than this make no problem worth measuring. */
const LEAST_KINDS = 8;
/** Kinds up to which needs are joined: as many as a plan takes. */
const MOST_KINDS = 1500;
/** Builds that are put into another colour: the largest of a workspace. */
const RECOLOURED = 3;

/**
 * What putting a build's most frequent colour into another one calls for: every shape that it has in that colour, hidden
 * pieces left as they are.
 */
export function recolouringOf(workbench: Workbench, seed: number, colours: readonly string[]): NeedLot[] {
  const pieces = new Map<string, number>();
  const rows = workbench.built.balances.rows().filter((r) => r.account.startsWith('model:'));
  for (const r of rows) {
    const { colour } = splitElementKey(r.element);
    pieces.set(colour, (pieces.get(colour) ?? 0) + r.qty);
  }
  const most = [...pieces].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))[0]?.[0];
  const others = colours.filter((c) => c !== most);
  if (most === undefined || others.length === 0) return [];
  const to = pick(seededRandom(seed), others);
  const wanted = new Map<string, number>();
  for (const r of rows) {
    const { part, colour } = splitElementKey(r.element);
    if (colour === most) wanted.set(part, (wanted.get(part) ?? 0) + r.qty);
  }
  return [...wanted].map(([part, qty]) => ({
    element: elementKey(part as never, to as never),
    qty,
    hidden: false,
    sources: [],
  }));
}

/**
 * Buying plan problems out of a workspace: what each of its builds needs, what several need together, and what recolouring
 * its largest builds would call for, each posed on the simulated market. The same seed gives the same ones.
 */
export async function realNeeds(handle: Handle, seed: number, most: number): Promise<Problem[]> {
  const palette = paletteIn(handle.db);
  const priceOf = priceLookup(readRecords(handle.db, 'price'));
  const solid = palette.filter((c) => c.finish === 'solid').map((c) => c.id);
  const builds = readRecords(handle.db, 'build').flatMap((b) => {
    const workbench = openWorkbench(handle, b.id);
    return workbench ? [{ name: b.name, workbench, lots: needOf(workbench).lots }] : [];
  });
  const sizes = builds.map((b) => ({ ...b, size: b.workbench.built.figures({ of: 'build' }).onModel }));
  const needs: [string, readonly NeedLot[]][] = builds.map((b) => [b.name, b.lots]);
  needs.sort((a, b) => b[1].length - a[1].length);
  const together = joinNeeds(needs.slice(0, 40).map(([, lots]) => lots)).slice(0, MOST_KINDS);
  const recoloured = sizes
    .sort((a, b) => b.size - a.size)
    .slice(0, RECOLOURED)
    .map((b, i): [string, NeedLot[]] => [
      `${b.name} recoloured`,
      recolouringOf(b.workbench, seed + i, solid),
    ]);
  const wanted: [string, readonly NeedLot[]][] = [
    ['several builds together', together],
    ...recoloured,
    ...needs,
  ];
  const problems: Problem[] = [];
  for (const [name, lots] of wanted.filter(([, l]) => l.length >= LEAST_KINDS).slice(0, most)) {
    const market = await askMarket(handle, wantedElements(lots, palette, false), 0);
    problems.push({ ...poseProblem(lots, market, PREFERENCES, priceOf), name });
  }
  return problems;
}
