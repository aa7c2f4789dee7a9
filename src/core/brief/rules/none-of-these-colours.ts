import { colourWords, everydayColours, matchColour } from '../../colour';
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

/** No piece of some colours on the model as planned: the entries that put them there break it. */
export const noneOfTheseColours: Rule = {
  id: 'none of these colours',
  name: 'Nothing of these colours',
  asks: 'colours',
  ofBooks: (workbench, { text }) => {
    const named = text
      .split(/[,;]/)
      .map((t) => t.trim())
      .filter(Boolean)
      .map((t) => coloursNamed(workbench, t));
    if (named.length === 0) return unknown('the colours');
    if (named.some((n) => n.length === 0)) return unknown('a colour by that name');
    const colours = new Set(named.flat());
    const there = new Set<string>();
    for (const r of workbench.planned.balances.rows((a) => placeOf(a) === 'model')) {
      const { colour } = splitElementKey(r.element);
      if (r.qty > 0 && colours.has(colour)) there.add(colour);
    }
    const breaks = workbench.entries.filter(
      (e) =>
        e.whatIf === null &&
        e.kind !== 'unpack' &&
        e.movements.some(
          (m) =>
            placeOf(m.to) === 'model' &&
            placeOf(m.from) !== 'model' &&
            there.has(splitElementKey(m.element).colour),
        ),
    );
    return unbroken(
      [...there],
      breaks.map((e) => e.id),
    );
  },
};
