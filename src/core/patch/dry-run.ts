import { splitElementKey, inColour, type ElementKey } from '../parts';
import { modelAccount } from '../places';
import type { ColourId, ZoneId } from '../shared/ids';
import type { Workbench } from '../workbench';
import { alreadyDone, type AskedLine, type Place } from './already-done';
import { firstPieces, piecesIn } from './lots';
import { coloursOf, joinsOf, type Patch, type PatchLine, type PatchLot } from './patch';
import { loggedNet, pathKey, sameShape, zonePaths } from './patch-of';

/** What a person decided of what does not fit by itself. */
export interface PatchChoices {
  /** Zones of the patch, by their place in its list: which zone of the build each is, or that it is made. */
  readonly zones?: Readonly<Record<number, ZoneId | 'new'>>;
  /** Colours of the patch by what is used instead, on what is put in. */
  readonly colours?: Readonly<Record<string, ColourId>>;
  /** Lines by their number: left out, with what is there, or as far as it goes. */
  readonly lines?: Readonly<Record<number, LineChoice>>;
}

export const LINE_CHOICES = ['leave out', 'use what is there', 'as far as it goes'] as const;
export type LineChoice = (typeof LINE_CHOICES)[number];

export const LINE_STATES = ['fits', 'done already', 'left out', 'conflict'] as const;
export type LineState = (typeof LINE_STATES)[number];

/** Pieces and the zone that they are taken from. */
export interface Taken extends PatchLot {
  readonly zone: ZoneId;
}

/** Why a line does not fit, and what is there instead. */
export type PatchConflict =
  | { readonly conflict: 'zone unknown'; readonly path: readonly string[] }
  | { readonly conflict: 'colour unknown'; readonly colour: string }
  | {
      readonly conflict: 'other colour' | 'elsewhere' | 'not there';
      readonly lot: PatchLot;
      readonly there: number;
      /** The same shape in other colours in the zone, or the same in other zones. */
      readonly instead: readonly Taken[];
    };

/** A line of a patch held against a build. */
export interface FittedLine {
  readonly no: number;
  readonly step: number;
  readonly line: PatchLine;
  readonly state: LineState;
  readonly conflict: PatchConflict | null;
  /** What it would take off and put on, where it is carried out. */
  readonly off: readonly Taken[];
  readonly on: readonly PatchLot[];
  /** Where its pieces go: a zone of the build, or a new one by its place in the patch's list. */
  readonly zone: Place;
}

export interface FittedZone {
  readonly at: number;
  readonly path: readonly string[];
  /** The zone of the build that it is; 'new' where it is to be made; null where nobody has said. */
  readonly is: ZoneId | 'new' | null;
}

export interface Fitted {
  readonly lines: readonly FittedLine[];
  /** Zones that the lines name. */
  readonly zones: readonly FittedZone[];
  /** Colours that the build does not know, and that nobody has said what to use for. */
  readonly unknownColours: readonly string[];
  readonly count: Readonly<Record<LineState, number>>;
}

/**
 * Holds a patch against a build as it is planned, line by line, each on top of those before it that fit: what fits, what has been
 * done already, and what does not, and why. Nothing is changed.
 *
 * @example fitPatch(workbench, patch).count // { fits: 12, 'done already': 3, 'left out': 0, conflict: 1 }
 */
export function fitPatch(workbench: Workbench, patch: Patch, choices: PatchChoices = {}): Fitted {
  return new Fitting(workbench, patch, choices).run();
}

class Fitting {
  /** Pieces of the model by zone: as planned, and as the lines so far leave it. */
  private readonly model = new Map<Place, Map<ElementKey, number>>();
  private readonly zones: FittedZone[];
  private readonly parentOf: ReadonlyMap<ZoneId, ZoneId | null>;
  private readonly known: ReadonlySet<string>;
  private readonly done: ReadonlySet<number>;

  constructor(
    private readonly workbench: Workbench,
    private readonly patch: Patch,
    private readonly choices: PatchChoices,
  ) {
    this.parentOf = new Map(workbench.zones.map((z) => [z.id, z.parent]));
    for (const z of workbench.zones) {
      const there = new Map<ElementKey, number>();
      for (const [element, n] of workbench.planned.balances.elements(modelAccount(z.id)))
        if (n > 0) there.set(element, n);
      this.model.set(z.id, there);
    }
    const { byPath } = zonePaths(workbench);
    this.zones = patch.zones.map((path, at) => ({
      ...{ at, path },
      is: choices.zones?.[at] ?? (at === 0 ? workbench.rootZone.id : (byPath.get(pathKey(path)) ?? null)),
    }));
    this.known = new Set(workbench.palette.map((c) => c.id));
    const asked = patch.steps.flatMap((s) => s.lines).map((line, no) => this.asked(line, no));
    this.done = alreadyDone(patch, asked, (at) => this.zoneAt(at), this.model, loggedNet(workbench));
  }

  run(): Fitted {
    const lines: FittedLine[] = [];
    this.patch.steps.forEach((step, at) => {
      for (const line of step.lines) lines.push(this.fit(line, lines.length, at));
    });
    const named = new Set(lines.flatMap(({ line }) => [line.zone, line.from]));
    const count = { fits: 0, 'done already': 0, 'left out': 0, conflict: 0 };
    for (const l of lines) count[l.state]++;
    return {
      ...{ lines, count },
      zones: this.zones.filter((z) => z.at > 0 && named.has(z.at)),
      unknownColours: [...coloursOf(this.patch)].filter((c) => !this.isKnown(c)),
    };
  }

  private isKnown(colour: string): boolean {
    return this.known.has(colour) || this.choices.colours?.[colour] !== undefined;
  }

  /** The zone of the build; a zone to be made is named by its place in the list; null = nobody has said. */
  private zoneAt(at: number): Place | null {
    const is = this.zones[at]?.is ?? null;
    return is === 'new' ? at : is;
  }

  private fit(line: PatchLine, no: number, step: number): FittedLine {
    const choice = this.choices.lines?.[no];
    const base = {
      no,
      step,
      line,
      conflict: null,
      off: [],
      on: [],
      zone: this.zoneAt(line.zone) ?? line.zone,
    };
    if (choice === 'leave out') return { ...base, state: 'left out' };
    const unknown = this.unknownIn(line);
    if (unknown) return { ...base, state: 'conflict', conflict: unknown };
    const [from, zone] = [this.zoneAt(line.from)!, this.zoneAt(line.zone)!];
    const on = this.onOf(line);
    if (this.done.has(no)) return { ...base, state: 'done already' };
    const taking = this.takeOff(line, from, choice);
    if (taking.conflict && choice !== 'as far as it goes')
      return { ...base, state: 'conflict', conflict: taking.conflict };
    if (taking.conflict && taking.off.length === 0) return { ...base, state: 'left out' };
    const put = taking.conflict ? asFar(line, taking.off, on) : on;
    this.carry(line, taking.off, put, zone);
    return { ...base, state: 'fits', off: taking.off, on: put, zone };
  }

  private unknownIn(line: PatchLine): PatchConflict | null {
    for (const at of [line.from, line.zone])
      if (this.zoneAt(at) === null) return { conflict: 'zone unknown', path: this.patch.zones[at] ?? [] };
    const colour = [...line.off, ...line.on]
      .map((p) => splitElementKey(p.element).colour as string)
      .find((c) => !this.isKnown(c));
    return colour === undefined ? null : { conflict: 'colour unknown', colour };
  }

  /** A line as it would be done here; null where that is not known, or it is left out. */
  private asked(line: PatchLine, no: number): AskedLine | null {
    const [from, zone] = [this.zoneAt(line.from), this.zoneAt(line.zone)];
    if (from === null || zone === null || this.choices.lines?.[no] === 'leave out' || this.unknownIn(line))
      return null;
    return { from, zone, off: line.off, on: line.moves ? line.off : this.onOf(line) };
  }

  private onOf = (line: PatchLine): PatchLot[] =>
    line.on.map((p) => ({ ...p, element: this.colouredAs(p.element) }));

  private colouredAs(element: ElementKey): ElementKey {
    const to = this.choices.colours?.[splitElementKey(element).colour];
    return to ? inColour(element, to) : element;
  }

  /** What a line takes off: from its zone, what is nested in it, then what lies in no zone. */
  private takeOff(line: PatchLine, from: Place, choice: LineChoice | undefined) {
    const off: Taken[] = [];
    let conflict: PatchConflict | null = null;
    const takes = new Map<string, number>();
    const free = (zone: Place, e: ElementKey) =>
      (this.model.get(zone)?.get(e) ?? 0) - (takes.get(`${zone} ${e}`) ?? 0);
    const take = (zone: Place, element: ElementKey, most: number): number => {
      const n = Math.min(most, free(zone, element));
      if (n <= 0 || typeof zone === 'number') return 0;
      takes.set(`${zone} ${element}`, (takes.get(`${zone} ${element}`) ?? 0) + n);
      off.push({ zone, element, qty: n });
      return n;
    };
    const near = this.zonesNear(from);
    for (const lot of line.off) {
      const element = this.colouredAs(lot.element);
      let left = lot.qty;
      for (const e of new Set([lot.element, element])) for (const zone of near) left -= take(zone, e, left);
      if (left === 0) continue;
      const instead = this.insteadOf(lot, near, free);
      if (choice === 'use what is there') for (const i of instead) left -= take(i.zone, i.element, left);
      if (left > 0) conflict ??= conflictOf(lot, lot.qty - left, instead);
    }
    return { off, conflict };
  }

  private zonesNear(from: Place): readonly Place[] {
    if (typeof from === 'number') return [this.workbench.rootZone.id];
    const nested = this.workbench.zones.flatMap((z) =>
      z.id !== from && this.isIn(z.id, from) ? [z.id] : [],
    );
    const root = this.workbench.rootZone.id;
    return [...new Set([from, ...nested, root])];
  }

  private isIn(zone: ZoneId, outer: ZoneId): boolean {
    for (let z: ZoneId | null = zone; z; z = this.parentOf.get(z) ?? null) if (z === outer) return true;
    return false;
  }

  /** The same shape in other colours near by, most first; then the same part in other zones. */
  private insteadOf(
    { element }: PatchLot,
    near: readonly Place[],
    free: (zone: Place, e: ElementKey) => number,
  ): Taken[] {
    const found: Taken[] = [];
    for (const [zone, lots] of this.model) {
      if (typeof zone === 'number') continue;
      const isNear = near.includes(zone);
      if (!isNear) {
        const qty = free(zone, element);
        if (qty > 0) found.push({ zone, element, qty });
        continue;
      }
      for (const e of lots.keys()) {
        const qty = e !== element && sameShape(e, element) ? free(zone, e) : 0;
        if (qty > 0) found.push({ zone, element: e, qty });
      }
    }
    const rank = (t: Taken) => (t.element === element ? 1 : 0);
    return found.sort((a, b) => rank(a) - rank(b) || b.qty - a.qty);
  }

  private carry(line: PatchLine, off: readonly Taken[], on: readonly PatchLot[], zone: Place): void {
    for (const { zone: z, element, qty } of off) this.add(z, element, -qty);
    for (const { element, qty } of line.moves ? off : on) this.add(zone, element, qty);
  }

  private add(zone: Place, element: ElementKey, n: number): void {
    const lots = this.model.get(zone) ?? new Map<ElementKey, number>();
    this.model.set(zone, lots.set(element, (lots.get(element) ?? 0) + n));
  }
}

function conflictOf(lot: PatchLot, there: number, instead: readonly Taken[]): PatchConflict {
  const first = instead[0];
  const conflict = !first ? 'not there' : first.element === lot.element ? 'elsewhere' : 'other colour';
  return { conflict, lot, there, instead };
}

/** What goes on for what could be taken off: one for one where the line is, else all of it. */
function asFar(line: PatchLine, off: readonly Taken[], on: readonly PatchLot[]): PatchLot[] {
  return piecesIn(line.off) === piecesIn(joinsOf(line)) ? firstPieces(on, piecesIn(off)).taken : [...on];
}
