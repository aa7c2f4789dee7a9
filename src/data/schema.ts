import { sql } from 'drizzle-orm';
import {
  blob,
  check,
  index,
  integer,
  primaryKey,
  real,
  sqliteTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/sqlite-core';

/**
 * Tables. Those of records carry the fields of their type in src/core/ledger/records.ts by the same names; an entry's
 * movements have a table of their own, since balances are summed from it.
 */
export const builds = sqliteTable('builds', {
  id: text().primaryKey(),
  name: text().notNull(),
  note: text().notNull(),
  createdAt: text().notNull(),
  archived: integer({ mode: 'boolean' }).notNull(),
});

export const copies = sqliteTable('copies', {
  id: text().primaryKey(),
  build: text()
    .notNull()
    .references(() => builds.id),
  setName: text().notNull(),
  setCode: text().notNull(),
  condition: text().notNull(),
  role: text().notNull(),
  price: integer().notNull(),
});

export const zones = sqliteTable('zones', {
  id: text().primaryKey(),
  build: text()
    .notNull()
    .references(() => builds.id),
  parent: text(),
  name: text().notNull(),
  position: real().notNull(),
});

export const phases = sqliteTable('phases', {
  id: text().primaryKey(),
  build: text()
    .notNull()
    .references(() => builds.id),
  name: text().notNull(),
  position: real().notNull(),
});

export const modifications = sqliteTable(
  'modifications',
  {
    id: text().primaryKey(),
    build: text()
      .notNull()
      .references(() => builds.id),
    no: integer().notNull(),
    title: text().notNull(),
    zone: text()
      .notNull()
      .references(() => zones.id),
    phase: text().references(() => phases.id),
    why: text().notNull(),
    note: text().notNull(),
    position: real().notNull(),
  },
  (t) => [uniqueIndex('modifications_no').on(t.build, t.no)],
);

export const whatIfs = sqliteTable('what_ifs', {
  id: text().primaryKey(),
  build: text()
    .notNull()
    .references(() => builds.id),
  name: text().notNull(),
  note: text().notNull(),
});

export const assemblies = sqliteTable('assemblies', {
  id: text().primaryKey(),
  build: text()
    .notNull()
    .references(() => builds.id),
  name: text().notNull(),
  lots: text({ mode: 'json' }).notNull(),
});

export const orders = sqliteTable('orders', {
  id: text().primaryKey(),
  build: text()
    .notNull()
    .references(() => builds.id),
  seller: text().notNull(),
  postage: integer().notNull(),
  due: text().notNull(),
  placedAt: text().notNull(),
});

export const trays = sqliteTable('trays', {
  id: text().primaryKey(),
  name: text().notNull(),
  place: text().notNull(),
  position: real().notNull(),
});

export const prices = sqliteTable('prices', {
  id: text().primaryKey(),
  element: text().notNull(),
  newPrice: integer(),
  usedPrice: integer(),
});

export const customColours = sqliteTable('custom_colours', {
  id: text().primaryKey(),
  name: text().notNull(),
  hex: text().notNull(),
  family: text().notNull(),
  finish: text().notNull(),
});

export const colourAliases = sqliteTable('colour_aliases', {
  id: text().primaryKey(),
  colour: text().notNull(),
});

export const columnMemories = sqliteTable('column_memories', {
  id: text().primaryKey(),
  roles: text({ mode: 'json' }).notNull(),
});

const ofBuild = () =>
  text()
    .notNull()
    .references(() => builds.id);

const ofZone = () =>
  text()
    .notNull()
    .references(() => zones.id);

export const surveyCards = sqliteTable('survey_cards', {
  id: text().primaryKey(),
  build: ofBuild(),
  display: text().notNull(),
  away: text({ mode: 'json' }).notNull(),
  found: text({ mode: 'json' }),
  built: text({ mode: 'json' }),
});

export const countLines = sqliteTable(
  'count_lines',
  {
    id: text().primaryKey(),
    build: ofBuild(),
    copy: text()
      .notNull()
      .references(() => copies.id),
    zone: ofZone(),
    element: text().notNull(),
    expected: integer().notNull(),
    there: integer().notNull(),
    broken: integer().notNull(),
    faded: integer().notNull(),
    bare: integer().notNull(),
    wanted: integer({ mode: 'boolean' }).notNull(),
    at: text().notNull(),
  },
  (t) => [
    uniqueIndex('count_lines_lot').on(t.copy, t.zone, t.element),
    check(
      'count_lines_sum',
      sql`${t.there} >= 0 and ${t.broken} >= 0 and ${t.there} + ${t.broken} <= ${t.expected}`,
    ),
  ],
);

export const findings = sqliteTable('findings', {
  id: text().primaryKey(),
  build: ofBuild(),
  kind: text().notNull(),
  zone: ofZone(),
  lots: text({ mode: 'json' }).notNull(),
  to: text('belongs'),
  note: text().notNull(),
  matters: integer().notNull(),
  photo: text(),
  modification: text().references(() => modifications.id),
  answer: text(),
  dropped: integer({ mode: 'boolean' }).notNull(),
  at: text().notNull(),
});

export const readings = sqliteTable('readings', {
  id: text().primaryKey(),
  account: text().notNull(),
  element: text().notNull(),
  batch: text().notNull().unique(),
  qty: integer().notNull(),
  l: real().notNull(),
  a: real().notNull(),
  b: real().notNull(),
  white: text().notNull(),
  spread: real().notNull(),
  count: integer().notNull(),
  how: text().notNull(),
  made: text().notNull(),
  measure: text().notNull(),
  trusted: integer({ mode: 'boolean' }).notNull(),
  doubt: text().notNull(),
  at: text().notNull(),
});

export const exposures = sqliteTable('exposures', {
  id: text().primaryKey(),
  build: ofBuild(),
  zone: ofZone(),
  element: text().notNull(),
  seen: text().notNull(),
  hidden: integer().notNull(),
});

export const schemes = sqliteTable('schemes', {
  id: text().primaryKey(),
  build: ofBuild(),
  zone: ofZone(),
  colours: text({ mode: 'json' }).notNull(),
});

export const leftSlips = sqliteTable('left_slips', {
  id: text().primaryKey(),
  build: ofBuild(),
  zone: ofZone(),
  element: text().notNull(),
  reason: text().notNull(),
});

export const whitenings = sqliteTable('whitenings', {
  id: text().primaryKey(),
  build: ofBuild(),
  account: text().notNull(),
  element: text().notNull(),
  qty: integer().notNull(),
  before: text().notNull(),
  after: text(),
  startedAt: text().notNull(),
  endedAt: text(),
  note: text().notNull(),
});

export const madeIns = sqliteTable('made_ins', {
  id: text().primaryKey(),
  element: text().notNull(),
  from: integer('from_year'),
  to: integer('to_year'),
});

export const settings = sqliteTable('settings', {
  id: text().primaryKey(),
  values: text({ mode: 'json' }).notNull(),
});

export const watches = sqliteTable('watches', {
  id: text().primaryKey(),
  element: text().notNull(),
  qty: integer().notNull(),
  note: text().notNull(),
  at: text().notNull(),
});

export const keptAssemblies = sqliteTable('kept_assemblies', {
  id: text().primaryKey(),
  name: text().notNull(),
  account: text().notNull(),
  lots: text({ mode: 'json' }).notNull(),
});

export const poolModels = sqliteTable('pool_models', {
  id: text().primaryKey(),
  build: ofBuild(),
  name: text().notNull(),
  musts: text({ mode: 'json' }).notNull(),
  colours: text({ mode: 'json' }).notNull(),
  shares: integer({ mode: 'boolean' }).notNull(),
});

/** Photos beside findings, re-encoded; not records, since a picture is too large for an undo list. */
export const photos = sqliteTable('photos', {
  id: text().primaryKey(),
  build: ofBuild(),
  width: integer().notNull(),
  height: integer().notNull(),
  bytes: blob({ mode: 'buffer' }).notNull(),
});

/** What the simulated colour meter reads: the hidden truth of the demo, one colour for each piece of a lot. */
export const hiddenTruths = sqliteTable(
  'hidden_truths',
  {
    account: text().notNull(),
    element: text().notNull(),
    labs: text({ mode: 'json' }).notNull(),
  },
  (t) => [primaryKey({ columns: [t.account, t.element] })],
);

export const entries = sqliteTable(
  'entries',
  {
    id: text().primaryKey(),
    build: text().references(() => builds.id),
    modification: text().references(() => modifications.id),
    kind: text().notNull(),
    state: text().notNull(),
    no: integer().notNull(),
    position: real().notNull(),
    why: text(),
    note: text().notNull(),
    hidden: integer({ mode: 'boolean' }).notNull(),
    standsFor: text(),
    whatIf: text().references(() => whatIfs.id),
    assembly: text().references(() => assemblies.id),
    order: text('order_id').references(() => orders.id),
    line: text(),
    loggedAt: text().notNull(),
  },
  (t) => [
    index('entries_build').on(t.build, t.no),
    check('entries_state', sql`${t.state} in ('planned', 'done')`),
    check('entries_what_if_is_planned', sql`${t.whatIf} is null or ${t.state} = 'planned'`),
  ],
);

/** The conservation law in the database: both ends are always there, they differ, and something moves. */
export const movements = sqliteTable(
  'movements',
  {
    entry: text()
      .notNull()
      .references(() => entries.id, { onDelete: 'cascade' }),
    place: integer().notNull(),
    element: text().notNull(),
    grade: text().notNull(),
    qty: integer().notNull(),
    from: text('from_account').notNull(),
    to: text('to_account').notNull(),
    worth: integer(),
  },
  (t) => [
    primaryKey({ columns: [t.entry, t.place] }),
    index('movements_from').on(t.from, t.element),
    index('movements_to').on(t.to, t.element),
    check('movements_qty', sql`${t.qty} > 0`),
    check('movements_two_ends', sql`${t.from} <> ${t.to}`),
    check('movements_worth', sql`${t.worth} is null or ${t.worth} >= 0`),
  ],
);

/** The demo catalogue: official sets and what is in their boxes. */
export const sets = sqliteTable('sets', {
  code: text().primaryKey(),
  name: text().notNull(),
  maker: text().notNull(),
  year: integer().notNull(),
});

export const setLots = sqliteTable(
  'set_lots',
  {
    set: text()
      .notNull()
      .references(() => sets.code),
    place: integer().notNull(),
    element: text().notNull(),
    qty: integer().notNull(),
    extra: integer({ mode: 'boolean' }).notNull(),
    zone: text().notNull(),
  },
  (t) => [primaryKey({ columns: [t.set, t.place] })],
);

/** Everything anyone did. `position` orders the undo list of a scope; it is the revision of the last do, undo or redo. */
export const actions = sqliteTable(
  'actions',
  {
    id: text().primaryKey(),
    scope: text().notNull(),
    label: text().notNull(),
    diff: text({ mode: 'json' }).notNull(),
    state: text().notNull(),
    position: integer().notNull(),
    at: text().notNull(),
  },
  (t) => [index('actions_scope').on(t.scope, t.state, t.position)],
);

/** One row for each do, undo and redo, in order: what another window has to catch up with. */
export const changes = sqliteTable('changes', {
  revision: integer().primaryKey({ autoIncrement: true }),
  request: text().notNull().unique(),
  action: text()
    .notNull()
    .references(() => actions.id),
  direction: text().notNull(),
});
