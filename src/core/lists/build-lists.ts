import { cameFromTable, inventoryTable, sparesTable, worklogTable, type FileContext } from '../formats';
import { fadingByZone } from '../fading';
import { batchOf, originName, type Books } from '../ledger';
import { findMismatches } from '../mismatch';
import { needOf, statesOf } from '../need';
import { ordersTable, pickTable } from '../orders';
import { splitElementKey, type ElementKey } from '../parts';
import { moneyAsDecimal } from '../shared/money';
import { byPlace, type Workbench } from '../workbench';
import type { List } from './list';
import { BUILD_LIST_TITLES, type BuildListName } from './titles';

const fileContext = (workbench: Workbench, books: Books): FileContext => {
  const { zones, modifications, palette, priceOf } = workbench;
  return { books, zones, modifications, palette, priceOf };
};

/** A kind as three cells. */
const kind = (element: ElementKey) => {
  const { part, colour, print } = splitElementKey(element);
  return [part, colour, print] as const;
};

function worklog(workbench: Workbench) {
  const order = new Map(workbench.modifications.map((m, i) => [m.id, i]));
  const sorted = workbench.entries
    .filter((e) => e.whatIf === null && e.modification)
    .sort((a, b) => (order.get(a.modification!) ?? 0) - (order.get(b.modification!) ?? 0) || byPlace(a, b));
  return worklogTable(
    fileContext(workbench, workbench.planned),
    sorted,
    statesOf(workbench, { of: 'build' }),
  );
}

/** What plans call for and nobody has: pieces, kinds, and the modifications that want them. */
function needed(workbench: Workbench) {
  const rows = needOf(workbench).lots.map((l) => {
    const mods = new Set(l.sources.flatMap((s) => s.modification ?? []));
    const names = [...mods].map((id) => workbench.records.modification.get(id)?.title ?? '').join(' + ');
    const price = workbench.priceOf(l.element, 'new' as never);
    return [
      l.qty,
      ...kind(l.element),
      l.hidden ? 'any, hidden' : '',
      price === null ? '' : moneyAsDecimal(price),
      price === null ? '' : moneyAsDecimal(price * l.qty),
      names,
    ];
  });
  return {
    heading: ['quantity', 'part', 'colour', 'print', 'colour matters', 'price', 'about', 'for'],
    rows,
  };
}

/** Every colour that reads as a mistake, what shows most first. */
function mismatches(workbench: Workbench) {
  const zone = (id: string) => workbench.records.zone.get(id)?.name ?? '';
  const rows = findMismatches(workbench).map((m) => [
    m.qty,
    ...kind(m.element),
    splitElementKey(m.to).colour,
    zone(m.zone),
    m.kind,
    m.seen,
    m.deltaE.toFixed(1),
    Math.round(m.shows),
    m.official ? 'yes' : '',
    m.left?.reason ?? '',
  ]);
  return {
    heading: [
      'quantity',
      'part',
      'colour',
      'print',
      'to be',
      'zone',
      'what',
      'seen',
      'off by dE',
      'shows',
      'in the official set',
      'left because',
    ],
    rows,
  };
}

/** The batches of every zone that was read: how far each is from new. */
function fading(workbench: Workbench) {
  const rows = fadingByZone(workbench).flatMap((z) =>
    z.batches.map((b) => [
      workbench.records.zone.get(z.zone)?.name ?? '',
      z.colour,
      b.qty,
      splitElementKey(b.element).part,
      batchOf(b.grade) || 'new',
      b.rough === null ? 'measured' : 'by eye',
      b.parts.deltaE.toFixed(1),
      b.parts.yellowing.toFixed(1),
      b.parts.lightness.toFixed(1),
      b.seen,
    ]),
  );
  return {
    heading: [
      'zone',
      'colour',
      'quantity',
      'part',
      'batch',
      'how read',
      'from new dE',
      'yellower db',
      'lightness dL',
      'seen as',
    ],
    rows,
  };
}

/** Every list of a build, by the name its files have. */
export const BUILD_LISTS: Readonly<Record<BuildListName, List<Workbench>>> = {
  worklog: {
    title: BUILD_LIST_TITLES.worklog,
    table: worklog,
    printed: [
      'entry',
      'modification',
      'kind',
      'off qty',
      'off part',
      'on qty',
      'on part',
      'why',
      'state',
      'note',
    ],
  },
  'inventory-as-built': {
    title: BUILD_LIST_TITLES['inventory-as-built'],
    table: (w) => inventoryTable(fileContext(w, w.built)),
    printed: ['quantity', 'part', 'colour', 'print', 'condition', 'zone'],
  },
  'inventory-as-planned': {
    title: BUILD_LIST_TITLES['inventory-as-planned'],
    table: (w) => inventoryTable(fileContext(w, w.planned)),
    printed: ['quantity', 'part', 'colour', 'print', 'condition', 'zone'],
  },
  needed: { title: BUILD_LIST_TITLES.needed, table: needed, ticked: true },
  'pick-list': { title: BUILD_LIST_TITLES['pick-list'], table: pickTable, ticked: true },
  orders: {
    title: BUILD_LIST_TITLES.orders,
    table: ordersTable,
    printed: [
      'seller',
      'placed',
      'due',
      'quantity',
      'part',
      'colour',
      'condition',
      'price',
      'awaited',
      'box',
    ],
    ticked: true,
  },
  spares: {
    title: BUILD_LIST_TITLES.spares,
    table: (w) => sparesTable(fileContext(w, w.built)),
    printed: ['quantity', 'part', 'colour', 'print', 'condition', 'price', 'worth'],
  },
  'came-from': {
    title: BUILD_LIST_TITLES['came-from'],
    table: (w) => cameFromTable(fileContext(w, w.built), (o) => originName(o, w.records.copy)),
  },
  mismatches: { title: BUILD_LIST_TITLES.mismatches, table: mismatches, ticked: true },
  fading: { title: BUILD_LIST_TITLES.fading, table: fading },
};
