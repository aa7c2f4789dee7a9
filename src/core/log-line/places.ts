import { DESTINATIONS, SOURCES, type DestinationChoice, type SourceChoice } from '../ledger';

type Place = SourceChoice | DestinationChoice;

interface PlaceWords {
  /** How the line is printed. */
  readonly written: string;
  /** First words that are understood for it, so that lines of earlier programs are read on. */
  readonly also: readonly string[];
}

const WORDS: Readonly<Record<Place, PlaceWords>> = {
  spares: { written: 'spares', also: [] },
  stock: { written: 'own parts', also: ['stock', 'stores'] },
  donor: { written: 'donor', also: [] },
  order: { written: 'order', also: [] },
  outside: { written: 'outside', also: [] },
  // Its short word is `own`; after from, `own` begins `own parts`, which are counted.
  own: { written: 'uncounted', also: [] },
  bin: { written: 'bin', also: [] },
};

/** A place as the line writes it: placeText('stock') = "own parts". */
export const placeText = (place: Place): string => WORDS[place].written;

/** The places a line may name after "from" or "to" that a word begins, likeliest first. */
export function placesBegun(after: 'from' | 'to', typed: string): Place[] {
  const word = typed.toLowerCase();
  const list: readonly Place[] = after === 'from' ? SOURCES : DESTINATIONS;
  const begins = (p: Place) => [WORDS[p].written, ...WORDS[p].also].some((w) => w.startsWith(word));
  return word === '' ? [] : list.filter(begins);
}

/**
 * The one place that a word names, by its whole or by how it begins: placeNamed('from', 'st') = 'stock'. Undefined when
 * none does.
 */
export function placeNamed(after: 'from' | 'to', typed: string): Place | undefined {
  const begun = placesBegun(after, typed);
  return begun.find((p) => WORDS[p].written === typed || WORDS[p].also.includes(typed)) ?? begun[0];
}

/** True when this word only ends the name of the place: the "parts" of "own parts". */
export const endsPlace = (place: Place, typed: string, next: string): boolean => {
  const [first, second] = WORDS[place].written.split(' ');
  return (
    second !== undefined &&
    first!.startsWith(typed) &&
    next.length > 1 &&
    second.startsWith(next.toLowerCase())
  );
};
