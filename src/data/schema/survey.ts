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
import { ofAccount } from './account-column';
import { ofBuild, ofZone } from './belonging';
import { copies, modifications } from './builds';

/* What was seen, counted and measured. */

export const surveyCards = sqliteTable(
  'survey_cards',
  {
    id: text().primaryKey(),
    build: ofBuild(),
    display: text().notNull(),
    away: text({ mode: 'json' }).notNull(),
    found: text({ mode: 'json' }),
    built: text({ mode: 'json' }),
  },
  (t) => [index('survey_cards_build').on(t.build)],
);

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
    index('count_lines_build').on(t.build),
    index('count_lines_zone').on(t.zone),
    check(
      'count_lines_sum',
      sql`${t.there} >= 0 and ${t.broken} >= 0 and ${t.there} + ${t.broken} <= ${t.expected}`,
    ),
  ],
);

export const findings = sqliteTable(
  'findings',
  {
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
  },
  (t) => [
    index('findings_build').on(t.build),
    index('findings_zone').on(t.zone),
    index('findings_modification').on(t.modification),
  ],
);

export const readings = sqliteTable(
  'readings',
  {
    id: text().primaryKey(),
    account: ofAccount(),
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
  },
  (t) => [index('readings_account').on(t.account)],
);

export const exposures = sqliteTable(
  'exposures',
  {
    id: text().primaryKey(),
    build: ofBuild(),
    zone: ofZone(),
    element: text().notNull(),
    seen: text().notNull(),
    hidden: integer().notNull(),
  },
  (t) => [index('exposures_build').on(t.build), index('exposures_zone').on(t.zone)],
);

export const schemes = sqliteTable(
  'schemes',
  {
    id: text().primaryKey(),
    build: ofBuild(),
    zone: ofZone(),
    colours: text({ mode: 'json' }).notNull(),
  },
  (t) => [index('schemes_build').on(t.build), index('schemes_zone').on(t.zone)],
);

export const leftSlips = sqliteTable(
  'left_slips',
  {
    id: text().primaryKey(),
    build: ofBuild(),
    zone: ofZone(),
    element: text().notNull(),
    reason: text().notNull(),
  },
  (t) => [index('left_slips_build').on(t.build), index('left_slips_zone').on(t.zone)],
);

export const whitenings = sqliteTable(
  'whitenings',
  {
    id: text().primaryKey(),
    build: ofBuild(),
    account: ofAccount(),
    element: text().notNull(),
    qty: integer().notNull(),
    before: text().notNull(),
    after: text(),
    startedAt: text().notNull(),
    endedAt: text(),
    note: text().notNull(),
  },
  (t) => [index('whitenings_build').on(t.build), index('whitenings_account').on(t.account)],
);

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

/** Photos beside findings, re-encoded; not records, since a picture is too large for an undo list. */
export const photos = sqliteTable(
  'photos',
  {
    id: text().primaryKey(),
    build: ofBuild(),
    width: integer().notNull(),
    height: integer().notNull(),
    bytes: blob({ mode: 'buffer' }).notNull(),
  },
  (t) => [index('photos_build').on(t.build)],
);

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
