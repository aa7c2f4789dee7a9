import { integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';

/* Builds and what belongs to one. Fields are those of the types in src/core/ledger/records.ts, by the same names. */

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
