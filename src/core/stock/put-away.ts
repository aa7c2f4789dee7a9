import { transferOf, type Workbench } from '../workbench';
import type { Command, Source } from '../ledger';
import {
  accountOwner,
  added,
  joinDiffs,
  stockAccount,
  type AccountKey,
  type Grade,
  type Movement,
  type Tray,
} from '../ledger';
import { partOf, splitElementKey, type ElementKey } from '../parts';
import { asId, type TrayId } from '../shared/ids';
import type { StockLot } from './stock';

/** Why a tray is proposed for a lot. */
export type TrayReason =
  'the same lies there' | 'the same part' | 'parts like it' | 'the same colour' | 'room';

export interface TrayProposal {
  readonly lot: StockLot;
  /** Null = there is no tray yet. */
  readonly tray: TrayId | null;
  readonly why: TrayReason;
}

/** How like a lot that lies in a tray is to one that is to be put away; 0 = not at all. */
function likeness(a: ElementKey, g: Grade, b: ElementKey, h: Grade): [number, TrayReason] {
  if (a === b) return [g === h ? 1000 : 600, 'the same lies there'];
  const [x, y] = [splitElementKey(a), splitElementKey(b)];
  if (x.part === y.part) return [100, 'the same part'];
  if (partOf(x.part).family.group === partOf(y.part).family.group)
    return [x.colour === y.colour ? 12 : 10, 'parts like it'];
  return x.colour === y.colour ? [3, 'the same colour'] : [0, 'room'];
}

/**
 * A tray for each lot that is to be put away: where the same lies, or else the same part in other colours, parts of its
 * family, its colour; and where nothing is like it, the tray with fewest pieces. `rows` is what lies in the trays.
 */
export function proposeTrays(
  lots: readonly StockLot[],
  trays: readonly Tray[],
  rows: readonly StockLot[],
): TrayProposal[] {
  const held = new Map<TrayId, StockLot[]>(trays.map((t) => [t.id, []]));
  for (const r of rows) held.get(asId<TrayId>(accountOwner(r.account)))?.push(r);
  const pieces = (t: TrayId) => (held.get(t) ?? []).reduce((s, r) => s + r.qty, 0);
  const emptiest = [...trays].sort((a, b) => pieces(a.id) - pieces(b.id) || a.position - b.position)[0];
  return lots.map((lot): TrayProposal => {
    let best: { tray: TrayId; score: number; why: TrayReason } | null = null;
    for (const [tray, there] of held) {
      let [score, most, why]: [number, number, TrayReason] = [0, 0, 'room'];
      for (const r of there) {
        const [like, reason] = likeness(lot.element, lot.grade, r.element, r.grade);
        score += like;
        if (like > most) [most, why] = [like, reason];
      }
      // What is most like decides; how much of it there is only between equals.
      const total = most * 1e6 + score;
      if (most > 0 && (!best || total > best.score)) best = { tray, score: total, why };
    }
    if (best) return { lot, tray: best.tray, why: best.why };
    return { lot, tray: emptiest?.id ?? null, why: 'room' };
  });
}

export interface PutAwayChoice {
  readonly lot: StockLot;
  readonly tray: TrayId;
}

/** Puts a build's lots (spares, or what a box gives) into trays in one step. `fresh` are trays made for it. */
export function putAway(
  workbench: Workbench,
  choices: readonly PutAwayChoice[],
  fresh: readonly Tray[],
  source: Source,
): Command {
  const movements = choices
    .filter((c) => c.lot.qty > 0)
    .map(({ lot, tray }): Movement => ({
      element: lot.element,
      grade: lot.grade,
      qty: lot.qty,
      from: lot.account,
      to: stockAccount(tray) as AccountKey,
      worth: null,
    }));
  if (movements.length === 0) return { label: 'put nothing away', diff: joinDiffs() };
  const n = movements.reduce((s, m) => s + m.qty, 0);
  const trays = new Set(choices.map((c) => c.tray)).size;
  return {
    label: `put ${n} ${n === 1 ? 'piece' : 'pieces'} away in ${trays} ${trays === 1 ? 'tray' : 'trays'}`,
    diff: joinDiffs(
      added('tray', ...fresh),
      added('entry', transferOf(workbench, movements, 'put away', source)),
    ),
  };
}
