import type { PoolModel } from '../records';
import { splitElementKey, type ElementKey } from '../parts';
import type { ColourId, PoolModelId } from '../shared/ids';
import { mustsIn } from './cover';
import { poolHolds, type PoolBox, type PoolWant } from './pool';

/** The kind that decides how often a model can be built: of all it needs, the one of which there is least for the need. */
export interface Decides {
  readonly element: ElementKey;
  readonly has: number;
  readonly wants: number;
}

/** What a model, or a section of one, takes from the boxes when its turn comes. Pieces. */
export interface ModelShare {
  readonly model: PoolModel;
  /** The main colour it has, its own or that of the model that it is a section of; null = none is chosen. */
  readonly colour: ColourId | null;
  /** Needed in colours that are known. */
  readonly wants: readonly PoolWant[];
  /** Needed in a main colour that nobody has chosen. */
  readonly undecided: number;
  readonly got: number;
  readonly short: readonly PoolWant[];
  /** How many such could be built of what the earlier ones leave; null = nothing is needed. */
  readonly times: number | null;
  readonly decides: Decides | null;
  /** Kinds that it takes and that those after it then lack: what it leaves them, and what they need. */
  readonly tight: readonly Decides[];
  /** Pieces of all kinds that are left for those after it. */
  readonly left: number;
  /** Of a model that takes a main colour: how often each colour that the boxes have would do, the best first. */
  readonly colours: readonly {
    readonly colour: ColourId;
    readonly times: number;
    readonly decides: Decides | null;
  }[];
}

/**
 * Lets models and their sections take what they need from the boxes one after another, and says of each what it gets, what
 * decides how often it could be built, and what is left for the rest before it is begun.
 *
 * @example shareInOrder(boxes, [front, sides])[1].short // what the front leaves the sides without
 */
export function shareInOrder(boxes: readonly PoolBox[], models: readonly PoolModel[]): ModelShare[] {
  const left = poolHolds(boxes);
  const wantsOf = models.map((m) => mustsIn(m, colourOf(m, models)));
  return models.map((model, i): ModelShare => {
    const wants = wantsOf[i]!;
    const { times, decides } = limitOf(wants, left);
    const colours = coloursFor(model, left);
    const short: PoolWant[] = [];
    let got = 0;
    for (const { element, qty } of wants) {
      const has = left.get(element) ?? 0;
      const taken = Math.min(has, qty);
      got += taken;
      left.set(element, has - taken);
      if (taken < qty) short.push({ element, qty: qty - taken });
    }
    const colour = colourOf(model, models);
    const undecided = colour ? 0 : model.musts.reduce((n, m) => n + (m.colour === null ? m.qty : 0), 0);
    return {
      ...{ model, colour, wants, undecided, got, short, times, decides, colours },
      tight: tightAfter(wants, wantsOf.slice(i + 1).flat(), left),
      left: [...left.values()].reduce((a, b) => a + b, 0),
    };
  });
}

/** A section has its model's main colour. */
function colourOf(model: PoolModel, models: readonly PoolModel[]): ColourId | null {
  const whole = model.sectionOf && models.find((m) => m.id === model.sectionOf);
  return whole ? whole.colour : model.colour;
}

function limitOf(
  wants: readonly PoolWant[],
  left: ReadonlyMap<ElementKey, number>,
): { readonly times: number | null; readonly decides: Decides | null } {
  let decides: Decides | null = null;
  for (const { element, qty } of wants) {
    const has = left.get(element) ?? 0;
    if (!decides || has / qty < decides.has / decides.wants) decides = { element, has, wants: qty };
  }
  return { times: decides && Math.floor(decides.has / decides.wants), decides };
}

/** Kinds of which one takes some and the rest need more than is left. */
function tightAfter(
  taken: readonly PoolWant[],
  rest: readonly PoolWant[],
  left: ReadonlyMap<ElementKey, number>,
): Decides[] {
  const needs = new Map<ElementKey, number>();
  for (const { element, qty } of rest) needs.set(element, (needs.get(element) ?? 0) + qty);
  return taken.flatMap(({ element }) => {
    const [has, wants] = [left.get(element) ?? 0, needs.get(element) ?? 0];
    return wants > has ? [{ element, has, wants }] : [];
  });
}

function coloursFor(model: PoolModel, left: ReadonlyMap<ElementKey, number>): ModelShare['colours'] {
  const parts = new Set(model.musts.filter((m) => m.colour === null).map((m) => m.part));
  if (parts.size === 0 || model.sectionOf) return [];
  const found = new Set<ColourId>();
  for (const [element, n] of left) {
    const { part, colour, print } = splitElementKey(element);
    if (n > 0 && !print && parts.has(part)) found.add(colour);
  }
  return [...found]
    .filter((c) => model.colours.length === 0 || model.colours.includes(c))
    .map((colour) => {
      const { times, decides } = limitOf(mustsIn(model, colour), left);
      return { colour, times: times ?? 0, decides };
    })
    .sort((a, b) => shareOf(b.decides) - shareOf(a.decides) || (a.colour < b.colour ? -1 : 1));
}

const shareOf = (d: Decides | null): number => (d ? d.has / d.wants : 0);

/** Pieces of all models, and of those that are built. */
export function builtOf(shares: readonly ModelShare[]): { readonly built: number; readonly all: number } {
  const pieces = (s: ModelShare) => s.model.musts.reduce((n, m) => n + m.qty, 0);
  return {
    built: shares.reduce((n, s) => n + (s.model.isBuilt ? pieces(s) : 0), 0),
    all: shares.reduce((n, s) => n + pieces(s), 0),
  };
}

/**
 * Models as a cover sees them: the musts of a model's sections are its own. A section of a model that is gone is a model.
 */
export function withSections(models: readonly PoolModel[]): PoolModel[] {
  const ids = new Set<PoolModelId>(models.map((m) => m.id));
  const isSection = (m: PoolModel) => m.sectionOf !== null && ids.has(m.sectionOf);
  return models
    .filter((m) => !isSection(m))
    .map((m) => ({
      ...m,
      musts: [
        ...m.musts,
        ...models.filter((s) => s.sectionOf === m.id && isSection(s)).flatMap((s) => s.musts),
      ],
    }));
}
