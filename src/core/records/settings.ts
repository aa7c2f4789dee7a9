import { DATE_FORMS, DECIMALS, LENGTH_UNITS } from '../shared/forms';
import { defineRecord, type RecordOf } from './define';
import { choice, flag, matching } from './fields';

/** The id of the one record of settings. */
export const SETTINGS_ID = 'settings';

export const START_PAGES = ['builds', 'last build', 'own parts'] as const;
export const SURROUNDS = ['light', 'dark', 'as the system'] as const;
/** How colours are called: by the palette's names alone, with a plain word before them, or as one's own lists call them. */
export const COLOUR_NAMES = ['invented', 'plain', 'own'] as const;

/** How a workspace shows what it knows, and whether it is the demo. There is one, or none. */
export const settings = defineRecord({
  type: 'settings',
  table: 'workspace_settings',
  fields: {
    id: choice([SETTINGS_ID]),
    /** ISO 4217. */
    currency: matching(/^[A-Z]{3}$/, 3),
    decimal: choice(DECIMALS),
    dates: choice(DATE_FORMS),
    units: choice(LENGTH_UNITS),
    colourNames: choice(COLOUR_NAMES),
    /** False = a single letter is never a command: for those who dictate, or rest a hand on the keys. */
    letterKeys: flag(),
    startPage: choice(START_PAGES),
    surround: choice(SURROUNDS),
    /** True = what is here came with the program. */
    isDemo: flag(),
  },
});
export type Settings = RecordOf<typeof settings>;
