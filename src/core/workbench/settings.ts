import { plainColour, type Colour } from '../colour';
import { written, type Command } from '../ledger';
import { applyColourNames } from '../parts';
import { SETTINGS_ID, type ColourAlias, type Settings } from '../records';
import { applyForms, DEFAULT_FORMS } from '../shared/forms';

/** A workspace that was never asked. */
export const DEFAULT_SETTINGS: Settings = {
  ...DEFAULT_FORMS,
  id: SETTINGS_ID,
  colourNames: 'invented',
  letterKeys: true,
  startPage: 'builds',
  surround: 'as the system',
  isDemo: false,
};

/** A change of how the workspace shows what it knows; `kept` is what is kept now, if anything is. */
export const changeSettings = (kept: Settings | undefined, to: Partial<Settings>): Command => ({
  label: 'change settings',
  diff: written('settings', kept, { ...(kept ?? DEFAULT_SETTINGS), ...to }),
});

/** Settings with what they need to be put to work: the palette, and what foreign lists call its colours. */
export interface Settled {
  readonly settings: Settings;
  readonly palette: readonly Colour[];
  readonly aliases: readonly ColourAlias[];
}

/**
 * Shows from now on as the settings say. The palette's own name always stands with another, so that two colours that a person calls
 * alike stay apart, and what is shown can be found and typed.
 */
export function applySettings({ settings, palette, aliases }: Settled): void {
  applyForms(settings);
  applyColourNames(namesOf(settings.colourNames, palette, aliases));
}

/**
 * @example namesOf('plain', PALETTE, []).get('slate') // 'dark grey (slate)'
 */
export function namesOf(
  how: Settings['colourNames'],
  palette: readonly Colour[],
  aliases: readonly ColourAlias[],
): ReadonlyMap<string, string> {
  if (how === 'invented') return new Map();
  const own = new Map(aliases.map((a) => [a.colour as string, a.id]));
  return new Map(
    palette.flatMap((c): [string, string][] => {
      const name = how === 'own' ? own.get(c.id) : plainColour(c);
      return name && name.toLowerCase() !== c.id ? [[c.id, `${name} (${c.id})`]] : [];
    }),
  );
}
