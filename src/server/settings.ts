import { SETTINGS_ID } from '@/core/records';
import { applySettings, DEFAULT_SETTINGS, type Settled } from '@/core/workbench';
import type { Database } from '@/data/database';
import { readRecord, readRecords } from '@/data/records';
import { paletteIn } from './palette';

/** The settings of a workspace, with the colours that they name. */
export function readSettled(db: Database): Settled {
  return {
    settings: readRecord(db, 'settings', SETTINGS_ID) ?? DEFAULT_SETTINGS,
    palette: paletteIn(db),
    aliases: readRecords(db, 'colourAlias'),
  };
}

/** Writes from now on as the workspace that is open wants it. */
export const settle = (db: Database): void => applySettings(readSettled(db));
