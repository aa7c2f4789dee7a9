import { deltaE00, type LabD65 } from '../colour';
import type { Workbench } from '../workbench';
import { gradeRank, modelAccount, sparesAccount, stockAccount, type AccountKey, type Grade } from '../places';
import { splitElementKey, type ElementKey } from '../parts';
import type { ColourId, ZoneId } from '../shared/ids';
import type { Ages, AgedLot } from './fading';
import { hiddenOf } from './hidden';

/** Pieces that come to be seen in a zone, and where they come from. */
export interface ComesIn {
  readonly account: AccountKey;
  readonly element: ElementKey;
  readonly grade: Grade;
  readonly qty: number;
  readonly lab: LabD65;
}

/** The pieces of one colour in a zone, and those that could take their places. */
export interface FadedStock {
  readonly fresh: LabD65;
  readonly account: AccountKey;
  /** In seen places now, in hidden ones, and at hand elsewhere. */
  readonly now: readonly ComesIn[];
  readonly hidden: readonly ComesIn[];
  readonly atHand: readonly ComesIn[];
  readonly unread: number;
  readonly byEye: number;
}

/** Gathers what is seen, what is hidden and what is at hand of a colour in a zone, as it has aged. */
export function gatherFaded(workbench: Workbench, zone: ZoneId, colour: ColourId, ages: Ages): FadedStock {
  const account = modelAccount(zone);
  const ofColour = (lots: readonly AgedLot[]) =>
    lots.filter((l) => splitElementKey(l.element).colour === colour && !splitElementKey(l.element).print);
  const here = ofColour(ages.at(account));
  const elements = new Set(here.map((l) => l.element));
  const [now, hidden]: [ComesIn[], ComesIn[]] = [[], []];
  let unread = 0;
  const byEye = here.reduce((s, l) => s + (l.rough === null ? 0 : l.qty), 0);
  for (const element of elements) {
    const lots = here.filter((l) => l.element === element);
    const known = lots.filter((l) => l.lab).sort((x, y) => aged(x) - aged(y));
    let inside = Math.min(
      hiddenOf(workbench, zone, element),
      known.reduce((s, l) => s + l.qty, 0),
    );
    unread += lots.filter((l) => !l.lab).reduce((s, l) => s + l.qty, 0);
    for (const l of known) {
      const away = Math.min(inside, l.qty);
      inside -= away;
      if (away > 0) hidden.push({ ...asComing(l), qty: away });
      if (l.qty > away) now.push({ ...asComing(l), qty: l.qty - away });
    }
  }
  const places = [
    sparesAccount(workbench.build),
    ...[...workbench.records.tray.values()].map((t) => stockAccount(t.id)),
  ];
  const atHand = places.flatMap((p) =>
    ofColour(ages.freeAt(p))
      .filter((l) => l.lab && elements.has(l.element) && gradeRank(l.grade) < 3)
      .map(asComing),
  );
  const fresh = workbench.colour(colour)?.lab ?? { l: 50, a: 0, b: 0, white: 'D65' as const };
  return { fresh, account, now, hidden, atHand, unread, byEye };
}

const aged = (l: Pick<AgedLot, 'fresh' | 'lab'>): number => (l.lab ? deltaE00(l.fresh, l.lab) : 0);
const asComing = ({ account, element, grade, qty, lab, fresh }: AgedLot): ComesIn => ({
  account,
  element,
  grade,
  qty,
  lab: lab ?? fresh,
});
/** The same for pieces that need not be told apart. */
export const keyOf = (p: ComesIn): string => `${p.account}|${p.element}|${p.grade}`;
