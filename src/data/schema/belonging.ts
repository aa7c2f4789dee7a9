import { text } from 'drizzle-orm/sqlite-core';
import { builds, zones } from './builds';

/** The columns of what belongs to a build, or to a zone of one. */
export const ofBuild = () =>
  text()
    .notNull()
    .references(() => builds.id);

export const ofZone = () =>
  text()
    .notNull()
    .references(() => zones.id);
