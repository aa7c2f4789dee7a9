import { BLANK_INTENT, changed, modelAccount, type Intent } from '../ledger';
import { inColour, splitElementKey, type ElementKey } from '../parts';
import type { ColourId, ZoneId } from '../shared/ids';
import { between, pick, seededRandom, type Random } from '../shared/random';
import { planWork, type Workbench } from '../workbench';
import { did, makeWorkbench, testSource, zoneId } from './workbench';

export const MOD_ZONES = ['Porch', 'Lamp room', 'Gallery'] as const;
const PARTS = ['plate 2x3', 'brick 1x2', 'slope 45 2x1', 'tile 2x2', 'arch 1x4'];
const COLOURS = ['ash', 'bark', 'chalk', 'slate'];
/** Colours that are put in, and that no set has. */
const NEW_COLOURS = ['amber', 'kelp', 'rust'];

/** A set in zones, the same for the same seed; `sorted` false = all of it lies in no zone. */
export function randomSet(seed: number, sorted = true): Workbench {
  const random = seededRandom(seed);
  const zones: Record<string, string[]> = Object.fromEntries(MOD_ZONES.map((z) => [z, [] as string[]]));
  const all: string[] = [];
  for (const zone of MOD_ZONES)
    for (const part of PARTS)
      for (const colour of COLOURS)
        if (random() < 0.5) {
          const lot = `${between(random, 2, 12)} ${part} ${colour}`;
          zones[zone]!.push(lot);
          all.push(lot);
        }
  const stock = ['6 tile 2x2 amber', '9 brick 1x2 kelp'];
  if (sorted) return makeWorkbench({ zones, stock });
  const heap = makeWorkbench({ zones: { Porch: all, 'Lamp room': [], Gallery: [] }, stock });
  const [entry] = heap.entries;
  const root = modelAccount(heap.rootZone.id);
  const movements = entry!.movements.map((m) => ({ ...m, to: root }));
  return did(heap, { label: '', diff: changed('entry', entry!, { movements }) });
}

/** What is on the model as planned, by zone name and element, sorted: what two builds are compared by. */
export function modelOf(workbench: Workbench): string[] {
  return workbench.zones
    .flatMap((z) =>
      workbench.planned.balances
        .elements(modelAccount(z.id))
        .flatMap(([e, n]) => (n === 0 ? [] : [`${z.parent === null ? '' : z.name} ${e} ${n}`])),
    )
    .sort();
}

/** The same without zones. */
export function piecesOf(workbench: Workbench): string[] {
  const sums = new Map<ElementKey, number>();
  for (const z of workbench.zones)
    for (const [e, n] of workbench.planned.balances.elements(modelAccount(z.id)))
      sums.set(e, (sums.get(e) ?? 0) + n);
  return [...sums].flatMap(([e, n]) => (n === 0 ? [] : [`${e} ${n}`])).sort();
}

/** Plans some modifications at random: what is taken off is there, colours may be kept to. Gives the bench back. */
export function modAtRandom(
  workbench: Workbench,
  seed: number,
  colours: readonly string[] = NEW_COLOURS,
): Workbench {
  const random = seededRandom(seed);
  const source = testSource(`mod${seed}`);
  for (let m = 0; m < 3; m++) {
    const zone = zoneId(pick(random, MOD_ZONES));
    const intents = Array.from({ length: between(random, 1, 4) }, () => wish(workbench, random, colours));
    for (const [i, make] of intents.entries()) {
      const intent = make();
      if (!intent) continue;
      const plan = { title: `Work ${m + 1}`, zone, intents: [intent] };
      did(workbench, planWork(workbench, [plan], `plan ${i}`, source));
    }
  }
  return workbench;
}

/** One wish, made when its turn comes. */
function wish(workbench: Workbench, random: Random, colours: readonly string[]): () => Intent | null {
  const kind = pick(random, [
    'remove',
    'add',
    'recolour',
    'recolour',
    'swap',
    'move',
    'placeholder',
  ] as const);
  const zone = zoneId(pick(random, MOD_ZONES));
  return () => {
    const lot = somethingIn(workbench, zone, random);
    const colour = pick(random, colours) as ColourId;
    const base = { ...BLANK_INTENT, planned: true, zone };
    const fresh = {
      element: inColour(lot?.element ?? ('tile 2x2|ash' as ElementKey), colour),
      qty: between(random, 1, 4),
    };
    if (kind === 'add') return { ...base, kind, on: [fresh] };
    if (kind === 'placeholder')
      return {
        ...base,
        kind,
        on: [fresh],
        standsFor: inColour(fresh.element, pick(random, colours) as ColourId),
      };
    if (!lot) return null;
    const qty = between(random, 1, lot.qty);
    const off = [{ element: lot.element, qty }];
    if (kind === 'remove') return { ...base, kind, off };
    if (kind === 'move') {
      const to = zoneId(pick(random, MOD_ZONES));
      return to === zone ? null : { ...base, kind, off, toZone: to };
    }
    const on = [
      { element: inColour(lot.element, colour), qty: kind === 'recolour' ? qty : between(random, 1, 5) },
    ];
    return splitElementKey(lot.element).colour === colour ? null : { ...base, kind, off, on };
  };
}

function somethingIn(workbench: Workbench, zone: ZoneId, random: Random) {
  const there = workbench.planned.balances.elements(modelAccount(zone)).filter(([, n]) => n > 0);
  if (there.length === 0) return null;
  const [element, qty] = pick(random, there);
  return { element, qty };
}
