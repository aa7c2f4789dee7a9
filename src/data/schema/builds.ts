import {
  index,
  integer,
  real,
  sqliteTable,
  text,
  uniqueIndex,
  type AnySQLiteColumn,
} from 'drizzle-orm/sqlite-core';

/* Builds and what belongs to one. Fields are those of the types in src/core/ledger/records.ts, by the same names. */

export const builds = sqliteTable('builds', {
  id: text().primaryKey(),
  name: text().notNull(),
  note: text().notNull(),
  createdAt: text().notNull(),
  archived: integer({ mode: 'boolean' }).notNull(),
});

export const copies = sqliteTable(
  'copies',
  {
    id: text().primaryKey(),
    build: text()
      .notNull()
      .references(() => builds.id),
    setName: text().notNull(),
    setCode: text().notNull(),
    condition: text().notNull(),
    role: text().notNull(),
    price: integer().notNull(),
  },
  (t) => [index('copies_build').on(t.build)],
);

export const zones = sqliteTable(
  'zones',
  {
    id: text().primaryKey(),
    build: text()
      .notNull()
      .references(() => builds.id),
    parent: text().references((): AnySQLiteColumn => zones.id),
    name: text().notNull(),
    position: real().notNull(),
  },
  (t) => [index('zones_build').on(t.build), index('zones_parent').on(t.parent)],
);

export const phases = sqliteTable(
  'phases',
  {
    id: text().primaryKey(),
    build: text()
      .notNull()
      .references(() => builds.id),
    name: text().notNull(),
    position: real().notNull(),
  },
  (t) => [index('phases_build').on(t.build)],
);

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
    purpose: text(),
  },
  (t) => [
    uniqueIndex('modifications_no').on(t.build, t.no),
    index('modifications_zone').on(t.zone),
    index('modifications_phase').on(t.phase),
  ],
);

export const whatIfs = sqliteTable(
  'what_ifs',
  {
    id: text().primaryKey(),
    build: text()
      .notNull()
      .references(() => builds.id),
    name: text().notNull(),
    note: text().notNull(),
  },
  (t) => [index('what_ifs_build').on(t.build)],
);

export const assemblies = sqliteTable(
  'assemblies',
  {
    id: text().primaryKey(),
    build: text()
      .notNull()
      .references(() => builds.id),
    name: text().notNull(),
    lots: text({ mode: 'json' }).notNull(),
  },
  (t) => [index('assemblies_build').on(t.build)],
);

export const orders = sqliteTable(
  'orders',
  {
    id: text().primaryKey(),
    build: text()
      .notNull()
      .references(() => builds.id),
    seller: text().notNull(),
    postage: integer().notNull(),
    due: text().notNull(),
    placedAt: text().notNull(),
  },
  (t) => [index('orders_build').on(t.build)],
);
