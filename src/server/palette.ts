import { paletteOf } from '@/core/workbench';
import type { Database } from '@/data/database';
import { readRecords } from '@/data/records';

/** The workspace's colours, its own ones among them. */
export const paletteIn = (db: Database) =>
  paletteOf({ customColour: new Map(readRecords(db, 'customColour').map((c) => [c.id, c])) });
