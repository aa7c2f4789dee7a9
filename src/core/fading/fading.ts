import {
  asThresholds,
  DEFAULT_THRESHOLDS,
  fadingGrade,
  splitDifference,
  type Colour,
  type DifferenceParts,
  type FadingGrade,
  type FadingThresholds,
  type LabD65,
} from '../colour';
import type { Command } from '../ledger';
import type { Workbench } from '../workbench';
import { batchOf, conditionOf, modelAccount, type AccountKey, type Grade } from '../places';
import { FADING_GRADES_ID, type Reading } from '../records';
import { freeOf, written } from '../ledger';
import { splitElementKey, type ElementKey } from '../parts';
import type { ColourId, ZoneId } from '../shared/ids';
import { BY_EYE, eyeLab, UNNOTED_DOUBT } from './by-eye';
import { spreadOf } from './match-by-age';

/** The colour a reading found. */
export const readingLab = (r: Reading): LabD65 => ({ l: r.l, a: r.a, b: r.b, white: 'D65' });

/** Thresholds that the workspace was set to. */
export const thresholdsOf = (workbench: Workbench): FadingThresholds =>
  asThresholds(workbench.records.fadingGrades.get(FADING_GRADES_ID)?.from) ?? DEFAULT_THRESHOLDS;

/** Sets where the grades of fading begin, for the whole workspace. */
export const setFadingGrades = (workbench: Workbench, from: FadingThresholds): Command => ({
  label: 'set the grades of fading',
  diff: written('fadingGrades', workbench.records.fadingGrades.get(FADING_GRADES_ID), {
    id: FADING_GRADES_ID,
    from,
  }),
});

/** Pieces of one element and grade at one place, with their colour where it is known. */
export interface AgedLot {
  readonly account: AccountKey;
  readonly element: ElementKey;
  readonly grade: Grade;
  readonly qty: number;
  readonly fresh: LabD65;
  /** As read; the fresh colour for new pieces; null where nobody read it, or the reading is not trusted. */
  readonly lab: LabD65 | null;
  readonly reading: Reading | null;
  /** How far off the colour may be, as a ΔE00, where it was only noted by eye; null where it was measured. */
  readonly rough: number | null;
}

/** Looks up colours of graded pieces: readings by batch, and the fresh colour for new ones. */
export class Ages {
  private readonly byBatch = new Map<string, Reading>();
  private readonly palette = new Map<string, Colour>();

  constructor(readonly workbench: Workbench) {
    for (const r of workbench.records.reading.values()) this.byBatch.set(r.batch, r);
    for (const c of workbench.palette) this.palette.set(c.id, c);
  }

  /**
   * The lots at a place. Where some pieces of a colour were noted by eye, those of which nothing was noted look like new, as
   * far as eyes tell: who picks out the yellowed ones has seen the others. Where pieces of it were measured, a condition
   * that was noted and nothing more is left out: it would be a guess among measurements.
   */
  at(account: AccountKey): AgedLot[] {
    const lots = this.workbench.built.balances
      .rows((a) => a === account)
      .flatMap(({ element, grade, qty }) => {
        const lot = this.lot(account, element, grade, qty);
        return lot && qty > 0 ? [lot] : [];
      });
    const colourOf = (l: AgedLot) => splitElementKey(l.element).colour;
    const byEye = new Set(lots.flatMap((l) => (l.rough === null ? [] : [colourOf(l)])));
    const measured = new Set(
      lots.flatMap((l) => (l.reading && l.lab && l.rough === null ? [colourOf(l)] : [])),
    );
    return lots.map((l) => {
      if (measured.has(colourOf(l)))
        return l.rough !== null && !l.reading ? { ...l, lab: null, rough: null } : l;
      const unnoted = l.lab === null && !l.reading && conditionOf(l.grade) === 'used';
      return unnoted && byEye.has(colourOf(l)) ? { ...l, lab: l.fresh, rough: UNNOTED_DOUBT } : l;
    });
  }

  /** The lots at a place that are free to be put elsewhere: what is kept together is not. */
  freeAt(account: AccountKey): AgedLot[] {
    const { built, kept } = this.workbench;
    return this.at(account).flatMap((l) => {
      const qty = freeOf(built.balances, account, l.element, l.grade, kept);
      return qty > 0 ? [{ ...l, qty }] : [];
    });
  }

  /** Undefined for a colour that is not in the palette. */
  lot(account: AccountKey, element: ElementKey, grade: Grade, qty: number): AgedLot | undefined {
    const fresh = this.palette.get(splitElementKey(element).colour)?.lab;
    if (!fresh) return undefined;
    const reading = this.byBatch.get(batchOf(grade)) ?? null;
    const condition = conditionOf(grade);
    const lot = { account, element, grade, qty, fresh, reading };
    if (reading) {
      const rough = reading.trusted && reading.how === 'eye' ? reading.spread : null;
      return { ...lot, lab: reading.trusted ? readingLab(reading) : null, rough };
    }
    if (condition === 'yellowed' || condition === 'faded')
      return { ...lot, lab: eyeLab(fresh, condition, 'clearly'), rough: BY_EYE.clearly.doubt };
    return { ...lot, lab: condition === 'new' ? fresh : null, rough: null };
  }
}

/** One batch of a zone against the fresh colour. */
export interface FadedBatch extends AgedLot {
  readonly lab: LabD65;
  readonly parts: DifferenceParts;
  readonly seen: FadingGrade;
}

/** The pieces of one colour in a zone: how far from new, and how far from one another. */
export interface ZoneFading {
  readonly zone: ZoneId;
  readonly colour: ColourId;
  readonly pieces: number;
  /** Pieces whose colour is known. */
  readonly known: number;
  /** Of those: pieces that were only noted by eye. */
  readonly byEye: number;
  readonly batches: readonly FadedBatch[];
  readonly largest: number;
  readonly typical: number;
  /** Mean ΔE00 from the fresh colour, by pieces. */
  readonly fromNew: number;
}

/** Fading zone by zone and colour by colour, worst spread first. Zones without any known colour are left out. */
export function fadingByZone(workbench: Workbench, ages = new Ages(workbench)): ZoneFading[] {
  const thresholds = thresholdsOf(workbench);
  return workbench.zones
    .flatMap((zone) => {
      const groups = new Map<ColourId, AgedLot[]>();
      for (const lot of ages.at(modelAccount(zone.id))) {
        const { colour } = splitElementKey(lot.element);
        groups.set(colour, [...(groups.get(colour) ?? []), lot]);
      }
      return [...groups].flatMap(([colour, lots]) => {
        const found = zoneFading(zone.id, colour, lots, thresholds);
        return found.batches.some((b) => b.reading ?? b.rough !== null) ? [found] : [];
      });
    })
    .sort((x, y) => y.largest - x.largest);
}

function zoneFading(
  zone: ZoneId,
  colour: ColourId,
  lots: readonly AgedLot[],
  thresholds: FadingThresholds,
): ZoneFading {
  const batches = lots.flatMap((lot): FadedBatch[] => {
    if (!lot.lab) return [];
    const parts = splitDifference(lot.fresh, lot.lab);
    return [{ ...lot, lab: lot.lab, parts, seen: fadingGrade(parts.deltaE, thresholds) }];
  });
  const known = batches.reduce((s, b) => s + b.qty, 0);
  return {
    zone,
    colour,
    pieces: lots.reduce((s, l) => s + l.qty, 0),
    known,
    byEye: batches.reduce((s, b) => s + (b.rough === null ? 0 : b.qty), 0),
    batches: [...batches].sort((x, y) => x.parts.deltaE - y.parts.deltaE),
    ...spreadOf(batches),
    fromNew: known > 0 ? batches.reduce((s, b) => s + b.parts.deltaE * b.qty, 0) / known : 0,
  };
}
