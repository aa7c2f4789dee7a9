import { colourWords, everydayColours, matchColour } from '../../colour';
import type { Entry } from '../../ledger';
import { splitElementKey } from '../../parts';
import { placeOf } from '../../places';
import type { ColourId } from '../../shared/ids';
import type { Workbench } from '../../workbench';
import { unbroken, unknown, type Rule } from '../rule';

/** The colours that a word means: one by its name, all of an everyday word. */
function coloursNamed(workbench: Workbench, text: string): ColourId[] {
  const words = colourWords(text);
  const alias = workbench.aliases().get(words.join(' '));
  if (alias) return [alias];
  const match = matchColour(text, workbench.palette);
  if (match.how === 'exact' || match.how === 'loose') return [match.colour.id];
  return everydayColours(words, workbench.palette).map((c) => c.id);
}

/** The colours that a text names; undefined where one of them is none. */
function coloursOf(workbench: Workbench, text: string): ReadonlySet<ColourId> | undefined {
  const named = text
    .split(/[,;]/)
    .map((t) => t.trim())
    .filter(Boolean)
    .map((t) => coloursNamed(workbench, t));
  return named.some((n) => n.length === 0) ? undefined : new Set(named.flat());
}

/** Whether an entry brings a colour onto the model: what only moves there was there before. */
const brings = (entry: Entry, colours: ReadonlySet<ColourId>): boolean =>
  entry.movements.some(
    (m) =>
      placeOf(m.to) === 'model' &&
      placeOf(m.from) !== 'model' &&
      colours.has(splitElementKey(m.element).colour),
  );

/** No piece of some colours on the model as planned: the entries that put them there break it. */
export const noneOfTheseColours: Rule = {
  id: 'none of these colours',
  name: 'Nothing of these colours',
  asks: 'colours',
  ofBooks: (workbench, { text }) => {
    const colours = coloursOf(workbench, text);
    if (!colours) return unknown('a colour by that name');
    if (colours.size === 0) return unknown('the colours');
    const there = new Set<ColourId>();
    for (const r of workbench.planned.balances.rows((a) => placeOf(a) === 'model')) {
      const { colour } = splitElementKey(r.element);
      if (r.qty > 0 && colours.has(colour)) there.add(colour);
    }
    const breaks = workbench.entries.filter(
      (e) => e.whatIf === null && e.kind !== 'unpack' && brings(e, there),
    );
    return unbroken(
      [...there],
      breaks.map((e) => e.id),
    );
  },
  brokenBy: (entry, workbench, { text }) => brings(entry, coloursOf(workbench, text) ?? new Set()),
};
