import { everydayColours, type Colour } from '../colour';
import { CONDITIONS, type Condition } from '../ledger';
import { readPartName } from '../parts';
import type { ColourId, PartId } from '../shared/ids';
import { fail, ok, type Result } from '../shared/result';

/** A lot as a person types it: "12 brick 1x2 ash used". */
export interface TypedLot {
  readonly qty: number;
  readonly part: PartId;
  readonly colour: ColourId | null;
  readonly condition: Condition | null;
}

export type TypedLotProblem =
  | { readonly reason: 'no quantity' }
  | { readonly reason: 'no part'; readonly text: string }
  | { readonly reason: 'no colour'; readonly text: string }
  | { readonly reason: 'which colour'; readonly text: string; readonly choices: readonly ColourId[] };

/**
 * Reads "12 brick 1x2 ash used": a quantity, a part, its colour (by name or the start of it), and a condition if one is
 * given. Without `colourNeeded` the colour may be left out. Bad text gives the reason, for the screen to word.
 */
export function readTypedLot(
  text: string,
  palette: readonly Colour[],
  colourNeeded = true,
): Result<TypedLot, TypedLotProblem> {
  const words = text
    .normalize('NFKC')
    .toLowerCase()
    .split(/[\s,]+/)
    .filter(Boolean);
  const qty = Number(words[0]);
  if (!/^\d{1,6}$/.test(words[0] ?? '') || qty === 0) return fail({ reason: 'no quantity' });
  let rest = words.slice(1);
  const said = rest.at(-1) as Condition;
  const condition = CONDITIONS.includes(said) ? said : null;
  if (condition) rest = rest.slice(0, -1);
  const asPart = (upTo: number) => readPartName(rest.slice(0, upTo).join(' ')).part;
  // The longest run of last words that names a colour is the colour.
  for (let from = 1; from < rest.length; from++) {
    const named = rest.slice(from).join('-');
    const exact = palette.filter((c) => c.id === named);
    const begun = exact.length > 0 ? exact : palette.filter((c) => c.id.startsWith(named));
    const found = begun.length > 0 ? begun : everydayColours(rest.slice(from), palette).slice(0, 1);
    if (found.length === 0 || !asPart(from).read) continue;
    if (found.length > 1)
      return fail({ reason: 'which colour', text: named, choices: found.map((c) => c.id).slice(0, 6) });
    return ok({ qty, part: asPart(from).id, colour: found[0]!.id, condition });
  }
  const part = asPart(rest.length);
  if (rest.length === 0 || !part.read) return fail({ reason: 'no part', text: rest.join(' ') });
  if (colourNeeded) return fail({ reason: 'no colour', text: rest.join(' ') });
  return ok({ qty, part: part.id, colour: null, condition });
}
