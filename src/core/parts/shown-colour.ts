/** On globalThis, like the forms of money: what one bundle calls a colour the others must call alike. */
const held = globalThis as { evarnColourNames?: ReadonlyMap<string, string> };

/** Calls colours by these names from now on; one that has none keeps its palette's. */
export const applyColourNames = (names: ReadonlyMap<string, string>): void => {
  held.evarnColourNames = names;
};

/** The name that a colour is shown by. Where names are read or kept, its id stands, never this. */
export const shownColour = (colour: string): string => held.evarnColourNames?.get(colour) ?? colour;
