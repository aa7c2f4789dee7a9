import { BLANK_INTENT, type Intent } from '@/core/ledger';
import { dryRun, fitPatch, patchOf, type Patch } from '@/core/patch';
import { inColour } from '@/core/parts';
import type { ColourId } from '@/core/shared/ids';
import { between, pick, seededRandom } from '@/core/shared/random';
import { el } from '@/core/testing/world';
import { did, makeWorkbench, testSource, zoneId } from '@/core/testing/workbench';
import { planWork, type Workbench } from '@/core/workbench';
import { say, summary, timed } from './measure';

const ZONES = Array.from({ length: 12 }, (_, i) => `Room ${i + 1}`);
const PARTS = [
  'plate 2x3',
  'brick 1x2',
  'slope 45 2x1',
  'tile 2x2',
  'arch 1x4',
  'plate 1x2',
  'brick 2x4',
  'tile 1x4',
];
const COLOURS = ['ash', 'bark', 'chalk', 'slate', 'dove', 'soot', 'leek', 'lagoon'];

/** A set of about 8,000 pieces in twelve zones, the same each time. */
function largeSet(): Workbench {
  const random = seededRandom(5);
  const zones = Object.fromEntries(
    ZONES.map((z) => [z, PARTS.flatMap((p) => COLOURS.map((c) => `${between(random, 4, 17)} ${p} ${c}`))]),
  );
  return makeWorkbench({ zones });
}

/** A mod of it with so many lines. */
function modWith(lines: number): Workbench {
  const random = seededRandom(6);
  const b = largeSet();
  const intents = Array.from({ length: lines }, (): Intent => {
    const zone = zoneId(pick(random, ZONES));
    const element = el(pick(random, PARTS), pick(random, COLOURS));
    const off = [{ element, qty: 1 }];
    const on = [{ element: inColour(element, pick(random, ['amber', 'kelp', 'rust']) as ColourId), qty: 1 }];
    return { ...BLANK_INTENT, kind: 'recolour', planned: true, zone, off, on };
  });
  const plans = ZONES.map((title, i) => ({
    title,
    zone: zoneId(title),
    intents: intents.slice((i * lines) / ZONES.length, ((i + 1) * lines) / ZONES.length),
  }));
  return did(b, planWork(b, plans, 'mod', testSource('m')));
}

/** A dry run beside planning as many lines with nothing held against anything. */
export function measurePatch(): void {
  const mod = modWith(2000);
  const patch: Patch = patchOf(mod, { planned: true });
  const copy = largeSet();
  const pieces = copy.zones.reduce((n, z) => n + copy.planned.balances.total(`model:${z.id}` as never), 0);
  const lines = patch.steps.reduce((n, s) => n + s.lines.length, 0);
  console.log(`\na patch of ${lines} lines on a set of ${pieces} pieces`);
  const took = (what: string, aim: string, work: () => void) => say(what, aim, summary(timed(7, work)));
  took('its lines held against the set', '', () => fitPatch(copy, patch));
  took('the dry run, with what it would plan', '300 ms', () => dryRun(copy, patch, {}, testSource('r')));
  took('the patch of the mod, from its log', '', () => patchOf(mod, { planned: true }));
  took('its peer: planning as many lines, held against nothing', '', () => modWith(2000));
}
