import { Lexicon, understandLine } from '../../src/core/log-line';
import { PALETTE } from '../../src/core/colour';
import { guessColumns, readDelimited, readRows } from '../../src/core/formats';
import {
  Books,
  grade,
  modelAccount,
  OUTSIDE,
  shippedAccount,
  sparesAccount,
  takeTally,
  type Entry,
} from '../../src/core/ledger';
import { elementKey, readPartName, type ElementKey } from '../../src/core/parts';
import { asId, type ColourId, type ModificationId } from '../../src/core/shared/ids';
import { between, pick, seededRandom } from '../../src/core/shared/random';
import { BUILD, CONTEXT, COPY, entry, MODIFICATIONS, ZONES } from '../../src/core/testing/world';
import { say, summary, timed } from './measure';

const random = seededRandom(1);
const FAMILIES = [
  'brick',
  'plate',
  'tile',
  'slope 45',
  'round brick',
  'round plate',
  'arch',
  'panel',
  'bracket',
  'wedge',
];

/** Elements in plenty: families, sizes and colours in turn. */
function elements(count: number): ElementKey[] {
  const made: ElementKey[] = [];
  for (let n = 0; made.length < count; n++) {
    const size = `${1 + (n % 6)}x${1 + (Math.floor(n / 6) % 16)}${n >= 960 ? `x${2 + Math.floor(n / 960)}` : ''}`;
    const part = readPartName(`${FAMILIES[n % FAMILIES.length]} ${size}`).part.id;
    for (const colour of PALETTE.slice(0, 12)) made.push(elementKey(part, asId<ColourId>(colour.id)));
  }
  return made.slice(0, count);
}

function bigLog(lots: readonly ElementKey[], count: number): Entry[] {
  const zone = modelAccount(ZONES[0]!.id);
  const used = grade('used');
  const unpack = entry(
    'u',
    'unpack',
    lots.map((element) => ({
      element,
      grade: used,
      qty: 100,
      from: shippedAccount(COPY),
      to: zone,
      worth: 5,
    })),
  );
  const log = Array.from({ length: count }, (_, n) => {
    const [element, other] = [pick(random, lots), pick(random, lots)];
    const qty = between(random, 1, 3);
    const off = { element, grade: used, qty, from: zone, to: sparesAccount(BUILD), worth: 5 };
    const on = {
      element: other,
      grade: used,
      qty,
      from: n % 3 ? sparesAccount(BUILD) : OUTSIDE,
      to: zone,
      worth: 7,
    };
    const modification = asId<ModificationId>(MODIFICATIONS[n % MODIFICATIONS.length]!.id);
    return entry(`e${n}`, n % 2 ? 'recolour' : 'swap', [off, on], { modification, no: n, position: n });
  });
  return [unpack, ...log];
}

/** All figures that need no screen. */
export function measureCore(): void {
  measureTally();
  measureLine();
  measureRows();
}

export function measureTally(): void {
  const lots = elements(1500);
  const log = bigLog(lots, 20_000);
  const price = () => 5;
  const tally = timed(15, () =>
    takeTally(new Books(CONTEXT, log, { kind: 'built' }), { of: 'build' }, price),
  );
  say('tally of 20,000 entries over 1,500 lots, from nothing', 'under 50 ms', summary(tally));
  const books = new Books(CONTEXT, log, { kind: 'built' });
  const more = bigLog(lots, 60)
    .slice(1)
    .map((e, i) => ({ ...e, id: asId<Entry['id']>(`more-${i}`) }));
  const one = timed(50, (i) => {
    books.post(more[i]!);
    takeTally(books, { of: 'build' }, price);
  });
  say('the same with one more entry', 'under 2 ms', summary(one));
}

function measureLine(): void {
  const known = elements(10_000);
  const set = new Set(known);
  const lexicon = new Lexicon(known, PALETTE);
  const has = (e: ElementKey) => set.has(e);
  const context = { lexicon, zones: ZONES, assemblies: [], onModel: has, atHand: has, placeholders: [] };
  const lines = [
    '-2 plate 2x3 chalk, +2 brick 1x2 ash @porch #mismatch',
    '-2 pl 1x3 cha',
    '~6 arch 1x4 ash > oys',
    '+4 rou 2x',
    '-2 slope 2x2 s, +2 ti',
  ];
  const times = timed(200, (i) => understandLine(lines[i % lines.length]!, context));
  say('log line understood, 10,000 elements known', 'under 8 ms', summary(times));
}

function measureRows(): void {
  const list = elements(10_000);
  const text = `part,colour,qty\n${Array.from({ length: 12_000 }, (_, n) => `"${list[n % list.length]!.replace('|', '",')},${1 + (n % 9)}`).join('\n')}`;
  const times = timed(8, () => {
    const read = readDelimited(text);
    if (!read.ok) throw new Error('the table of the benchmark is sound');
    const roles = guessColumns(read.value, 'set', PALETTE);
    readRows(read.value, { purpose: 'set', roles, palette: PALETTE, aliases: new Map() });
  });
  say('inventory of 12,000 rows read and matched, without the screen', 'under 2 s', summary(times));
}
