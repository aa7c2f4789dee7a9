import { originName, worthOf } from '@/core/ledger';
import type { SheetBlock } from '@/core/mod-sheet';
import { leftGroups, leftOverOf, originShares, partsForOthers } from '@/core/show';
import { count, money, piecesOfKinds, priced } from '@/ui/numbers';
import { drawn, heading, table, text, type Composing } from './blocks';

/** What others lack who own just the set, and where these pieces came from. */
export function partsToGet({ workbench, planned, tells }: Composing): SheetBlock[] {
  const rows = partsForOthers(workbench, { for: 'set owned', planned, ideal: true, modification: null });
  const books = planned ? workbench.planned : workbench.built;
  const n = rows.reduce((s, r) => s + r.qty, 0);
  const shares = originShares(workbench, books);
  const cost = rows.reduce((s, r) => s + (r.each ?? 0) * r.qty, 0);
  const unpriced = rows.reduce((s, r) => s + (r.each === null ? r.qty : 0), 0);
  return [
    heading('Parts to get'),
    text(
      n === 0
        ? 'Who owns the set lacks nothing.'
        : `Who owns just the set lacks ${piecesOfKinds(n, rows.length)}${tells('prices') ? `, about ${priced(cost, unpriced)} new` : ''}:`,
    ),
    ...drawn(rows.map(({ element, qty }) => ({ element, qty }))),
    ...(shares.length > 0
      ? [
          heading('Where ours came from', 3),
          table(
            ['From', 'pieces', 'share', ...(tells('prices') ? ['worth'] : [])],
            shares.map((s) => [
              s.origin.from === 'own' && !tells('names')
                ? 'own, uncounted'
                : originName(s.origin, workbench.records.copy),
              count(s.pieces),
              `${Math.round(100 * s.share)} %`,
              ...(tells('prices') ? [priced(s.worth, s.unpriced)] : []),
            ]),
          ),
        ]
      : []),
    ...(tells('sellers') ? sellersOf({ workbench, tells }) : []),
  ];
}

/** Of whom parts were ordered, with what came of it. */
function sellersOf({ workbench, tells }: Pick<Composing, 'workbench' | 'tells'>): SheetBlock[] {
  const orders = [...workbench.records.order.values()].filter((o) => o.build === workbench.build);
  if (orders.length === 0) return [];
  const withPrices = tells('prices');
  const rows = orders.map((o) => {
    const lots = workbench.entries
      .filter((e) => e.kind === 'order' && e.order === o.id)
      .flatMap((e) => e.movements);
    const { worth, unpriced } = worthOf(lots, (m) => m.worth);
    const n = lots.reduce((s, m) => s + m.qty, 0);
    return [o.seller, count(n), ...(withPrices ? [priced(worth, unpriced), money(o.postage + o.fees)] : [])];
  });
  return [
    heading('Of whom they were ordered', 3),
    table(['Seller', 'pieces', ...(withPrices ? ['parts', 'postage and fees'] : [])], rows),
  ];
}

export function leftOverPart({ workbench, planned }: Composing): SheetBlock[] {
  const lots = leftOverOf(workbench, planned ? workbench.planned : workbench.built, []);
  const n = lots.reduce((s, l) => s + l.qty, 0);
  if (n === 0) return [heading('Left over'), text('Nothing is left over.')];
  return [
    heading('Left over'),
    text(
      `${piecesOfKinds(n, lots.length)}: ${leftGroups(lots, 'colour')
        .slice(0, 8)
        .map((g) => `${count(g.pieces)} ${g.name}`)
        .join(', ')}.`,
    ),
    ...drawn(lots.slice(0, 200).map(({ element, qty }) => ({ element, qty }))),
  ];
}
