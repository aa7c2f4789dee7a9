import { holding, jobState } from '../fit';
import { Prices } from '../mismatch';
import { placeholdersOf } from '../need';
import type { ElementKey } from '../parts';
import type { ZoneId } from '../shared/ids';
import type { Minor } from '../shared/money';
import { withAtHand } from '../stock';
import { stickersNow, waysOf } from '../stickers';
import type { Workbench } from '../workbench';

export const COMPROMISES = [
  'placeholder',
  'to be chosen',
  'mismatch',
  'weak place',
  'weak wall',
  'sticker',
  'not as sold',
] as const;
export type CompromiseKind = (typeof COMPROMISES)[number];

/** Something that is not as one would have it, and what would mend it. */
export interface Compromise {
  readonly kind: CompromiseKind;
  readonly key: string;
  readonly zone: ZoneId | null;
  /** Its own name, or a note of the person's. */
  readonly name: string;
  /** What is there now, where it is a part. */
  readonly is: ElementKey | null;
  /** What would mend it, where that is a part. */
  readonly wants: ElementKey | null;
  readonly qty: number;
  /** Of those: at hand now. */
  readonly atHand: number;
  /** What the others cost, each; null = no price is known, or it is no part. */
  readonly each: Minor | null;
  /** True where that is a guess from the same shape in other colours. */
  readonly estimated: boolean;
  /** True when it can be mended now, with what is at hand; null = that is not known. */
  readonly can: boolean | null;
}

const BLANK = { is: null, wants: null, qty: 1, atHand: 0, each: null, estimated: false, can: null } as const;

/**
 * All that is to be mended later: placeholders and near colours that stand for something, places that wait for a choice,
 * mismatches left, weak places and walls, worn stickers and prints without a match, parts that are not as they were sold.
 * What can be mended at once comes first.
 *
 * @example compromises(workbench).filter((c) => c.can)
 */
export function compromises(workbench: Workbench): Compromise[] {
  const found = [
    ...placeholders(workbench),
    ...awaited(workbench),
    ...leftMismatches(workbench),
    ...weak(workbench),
    ...stickers(workbench),
    ...notAsSold(workbench),
  ];
  const rank = (c: Compromise) => (c.can ? 0 : c.each !== null ? 1 : 2);
  return found.sort((a, b) => rank(a) - rank(b) || COMPROMISES.indexOf(a.kind) - COMPROMISES.indexOf(b.kind));
}

const priceOf = (prices: Prices, element: ElementKey): Pick<Compromise, 'each' | 'estimated'> => {
  const known = prices.of(element);
  return { each: known?.each ?? null, estimated: known?.estimated ?? false };
};

function placeholders(workbench: Workbench): Compromise[] {
  const prices = new Prices(workbench);
  return placeholdersOf(workbench).map((p): Compromise => {
    const atHand = Math.min(p.qty, p.here + p.roughly);
    return {
      ...BLANK,
      kind: 'placeholder',
      key: `placeholder ${p.element} ${p.standsFor}`,
      zone: null,
      name: '',
      is: p.element,
      wants: p.standsFor,
      qty: p.qty,
      atHand,
      ...priceOf(prices, p.standsFor),
      can: atHand > 0,
    };
  });
}

const awaited = (workbench: Workbench): Compromise[] =>
  [...workbench.records.awaitedPlace.values()]
    .filter((a) => a.build === workbench.build && !a.chosen)
    .map((a) => ({
      ...BLANK,
      kind: 'to be chosen',
      key: a.id,
      zone: a.zone,
      name: a.what,
      is: a.placeholder,
    }));

const leftMismatches = (workbench: Workbench): Compromise[] =>
  [...workbench.records.leftMismatch.values()]
    .filter((m) => m.build === workbench.build)
    .map((m) => ({ ...BLANK, kind: 'mismatch', key: m.id, zone: m.zone, name: m.reason, is: m.element }));

function weak(workbench: Workbench): Compromise[] {
  const places = [...workbench.records.connection.values()]
    .filter((c) => c.build === workbench.build && holding(c).because.length > 0)
    .map((c): Compromise => ({ ...BLANK, kind: 'weak place', key: c.id, zone: c.zone, name: c.name }));
  const walls = [...workbench.records.wallJob.values()]
    .filter(
      (j) =>
        j.build === workbench.build &&
        (j.planned?.joints.length ?? 0) > 0 &&
        jobState(workbench, j) !== 'gone',
    )
    .map((j): Compromise => ({
      ...BLANK,
      kind: 'weak wall',
      key: j.id,
      zone: j.zone,
      name: j.name,
      qty: j.planned!.joints.length,
    }));
  return [...places, ...walls];
}

const stickers = (workbench: Workbench): Compromise[] =>
  stickersNow(workbench)
    .filter(({ sticker: s, place }) => place === 'on' && s.condition !== 'good' && s.way !== 'keep')
    .map((of): Compromise => {
      const chosen = waysOf(workbench, of).find((w) => w.way === of.sticker.way);
      return {
        ...BLANK,
        kind: 'sticker',
        key: of.sticker.id,
        zone: of.zone,
        name: of.sticker.name,
        is: of.elements[0] ?? null,
        each: chosen?.typed.cost ?? null,
        can: chosen?.can ?? null,
      };
    });

/** Parts of another maker, printed, cut or painted: the same part as it was sold would mend it. */
function notAsSold(workbench: Workbench): Compromise[] {
  const prices = new Prices(workbench);
  return withAtHand(workbench, (atHand) =>
    [...workbench.records.partMark.values()].flatMap((p): Compromise[] => {
      const entry = workbench.records.entry.get(p.entry);
      const on = entry?.movements.find((m) => m.to.startsWith('model:'));
      if (!entry || !on) return [];
      const there = Math.min(on.qty, atHand.count(on.element));
      return [
        {
          ...BLANK,
          kind: 'not as sold',
          key: p.id,
          zone: entry.zone,
          name: p.mark,
          is: on.element,
          wants: on.element,
          qty: on.qty,
          atHand: there,
          ...priceOf(prices, on.element),
          can: there >= on.qty,
        },
      ];
    }),
  );
}
