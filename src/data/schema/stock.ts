import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { ofBuild } from './belonging';

/* The stores, prices, colours, and what is watched, kept whole or planned from a pool. */

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

export const watches = sqliteTable('watches', {
  id: text().primaryKey(),
  element: text().notNull(),
  qty: integer().notNull(),
  note: text().notNull(),
  at: text().notNull(),
});

export const poolModels = sqliteTable(
  'pool_models',
  {
    id: text().primaryKey(),
    build: ofBuild(),
    name: text().notNull(),
    musts: text({ mode: 'json' }).notNull(),
    colours: text({ mode: 'json' }).notNull(),
    shares: integer({ mode: 'boolean' }).notNull(),
  },
  (t) => [index('pool_models_build').on(t.build)],
);
