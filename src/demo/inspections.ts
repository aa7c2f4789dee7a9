import { briefOf, keepBrief, makeException, RULES } from '../core/brief';
import fs from 'node:fs';
import path from 'node:path';
import type { LabD65 } from '../core/colour';
import {
  added,
  grade,
  modelAccount,
  stockAccount,
  type AccountKey,
  type Finding,
  type FindingKind,
  type Grade,
  type InspectionCard,
} from '../core/ledger';
import { elementKey, readPartName, type ElementKey } from '../core/parts';
import { asId, type BuildId, type ColourId, type FindingId } from '../core/shared/ids';
import { allThere, baseCopies, boxLots, countLot, type Count } from '@/core/inspection';
import { keepReading } from '@/core/fading';
import { learnColourRule, setScheme } from '@/core/mismatch';
import type { Handle } from '../data/database';
import { writeTruth } from '../data/hidden-truths';
import { storePhoto } from '../data/photos';
import { Stater } from './stater';
import { agedChalk, HULL_AGES, STOCK_AGES } from './ferry-ages';

/** Does one thing after another to a build, each through the same door as a person's own work. */
class Inspector extends Stater {
  count(zone: string, counts: Readonly<Record<string, Partial<Count>>>): void {
    const first = this.workbench();
    const copy = baseCopies(first)[0];
    const id = first.zones.find((z) => z.name === zone)?.id;
    if (!copy) throw new Error('an inspection needs a box');
    for (const { element } of boxLots(first, copy.id).filter((l) => l.zone === id)) {
      const workbench = this.workbench();
      const lot = boxLots(workbench, copy.id).find((l) => l.zone === id && l.element === element);
      if (!lot) throw new Error(`no lot ${element}`);
      const said = counts[element.split('|').slice(0, 2).join(' ')] ?? {};
      const done = countLot(workbench, lot, { ...allThere(lot), ...said }, true, this.source());
      if (!done.ok) throw new Error(JSON.stringify(done.reason));
      this.act(done.value);
    }
  }

  read(
    account: AccountKey,
    element: ElementKey,
    was: Grade,
    qty: number,
    lab: LabD65,
    more: { how?: 'meter' | 'photo'; made?: string; spread?: number; count?: number; doubt?: string } = {},
  ): void {
    const { how = 'meter', made = METER, spread = 0.17, count = 5, doubt = '' } = more;
    const measured = { account, element, grade: was, qty, lab, spread, count, how, made };
    const kept = keepReading(this.workbench(), { ...measured, trusted: !doubt, doubt }, this.source());
    if (!kept.ok) throw new Error(JSON.stringify(kept.reason));
    this.act(kept.value);
  }

  find(kind: FindingKind, zone: string, note: string, more: Partial<Finding> = {}): void {
    const workbench = this.workbench();
    const { newId, now } = this.source();
    const finding: Finding = {
      id: asId<FindingId>(newId()),
      build: this.build,
      kind,
      zone: workbench.zones.find((z) => z.name === zone)?.id ?? workbench.rootZone.id,
      lots: [],
      to: null,
      note,
      matters: 2,
      photo: null,
      modification: null,
      answer: null,
      how: '',
      dropped: false,
      at: now,
      ...more,
    };
    this.act({ label: `note: ${note}`.slice(0, 80), diff: added('finding', finding) });
  }
}

const METER = 'Tidepool M1, simulated, calibrated, D65';
const el = (part: string, colour: string, print = ''): ElementKey =>
  elementKey(readPartName(part).part.id, asId<ColourId>(colour), print);
const mean = (ages: readonly number[]): LabD65 => agedChalk(ages.reduce((a, b) => a + b, 0) / ages.length);

/**
 * The ferry, second-hand: two trays counted and two still to count, its hull yellowed and partly read, with two bad
 * readings among them, crazed stickers on the bridge, and things found with a photo.
 */
export function inspectFerry(
  handle: Handle,
  build: BuildId | undefined,
  newId: () => string,
  clock: () => Date,
): void {
  if (!build) throw new Error('an inspection needs a build');
  const s = new Inspector(handle, build, newId, clock);
  const card: InspectionCard = {
    id: build,
    build,
    display: 'hung',
    away: [],
    gear: [],
    found: { length: 48, width: 16, height: 14 },
    built: null,
  };
  s.act({ label: 'say how it will be shown', diff: added('inspectionCard', card) });
  s.count('Hull', {
    'brick 2x4 chalk': { there: 16, broken: 1, faded: 13 },
    'brick 1x4 chalk': { there: 19, faded: 19 },
    'slope 45 2x2 chalk': { faded: 12 },
    'wedge plate 3x6 harbour': { there: 5 },
  });
  s.count('Bridge', {
    'wheel 2x2 soot': { there: 2 },
    'tile 1x4 chalk': { there: 2, bare: 1 },
    'flag 2x2 brick-red': { there: 1 },
    'figure sailor deep': { there: 2 },
    'panel 1x4x2 clear-smoke': { there: 5, broken: 1 },
  });
  const workbench = s.workbench();
  const hull = modelAccount(workbench.zones.find((z) => z.name === 'Hull')?.id ?? workbench.rootZone.id);
  for (const [part, ages] of HULL_AGES) writeTruth(handle.db, hull, el(part, 'chalk'), ages.map(agedChalk));
  const trays = new Map([...workbench.records.tray.values()].map((t) => [t.name, stockAccount(t.id)]));
  for (const [tray, part, ages] of STOCK_AGES) {
    const account = trays.get(tray);
    if (!account) throw new Error(`no tray ${tray}`);
    writeTruth(handle.db, account, el(part, 'chalk'), ages.map(agedChalk));
    s.read(account, el(part, 'chalk'), grade('used'), ages.length, mean(ages));
  }
  readHull(s, hull);
  storePhoto(handle.db, {
    id: 'demo-photo-hull',
    build,
    width: 640,
    height: 480,
    bytes: fs.readFileSync(path.join(process.cwd(), 'public/demo/finding-hull.webp')),
  });
  s.find('faded', 'Hull', 'Starboard side stood in a window: three new bricks shine out of it', {
    matters: 3,
    photo: 'demo-photo-hull',
    lots: [{ element: el('brick 1x4', 'chalk'), qty: 5 }],
  });
  s.find('gap', 'Car deck', 'A stud-wide gap behind the ramp', {
    lots: [{ element: el('plate 1x4', 'ash'), qty: 2 }],
  });
  s.find('weak', 'Bridge', 'Funnel wobbles on two studs', {
    lots: [{ element: el('round plate 2x2', 'soot'), qty: 1 }],
    matters: 1,
  });
  s.find('wish', 'Saloon', 'Benches along the windows', {
    lots: [{ element: el('tile 1x4', 'bark'), qty: 6 }],
    matters: 1,
  });
  s.find('function', 'Car deck', 'The ramp folds down and holds a car');
  s.find('keep', 'Bridge', 'The harbour chart on the bridge, in the old print');
}

function readHull(s: Inspector, hull: AccountKey): void {
  const [long, short, slope] = [
    el('brick 2x4', 'chalk'),
    el('brick 1x4', 'chalk'),
    el('slope 45 2x2', 'chalk'),
  ];
  const [yellow, used] = [grade('yellowed'), grade('used')];
  const ages = new Map(HULL_AGES);
  const of = (part: string, from: number, to: number) => mean((ages.get(part) ?? []).slice(from, to));
  // The first try, with a meter that nobody had calibrated, and a photo with the lamp mirrored in the brick.
  s.read(
    hull,
    long,
    yellow,
    9,
    { ...of('brick 2x4', 0, 9), b: of('brick 2x4', 0, 9).b + 4 },
    {
      made: 'Tidepool M1, simulated, not calibrated, D65',
      spread: 0.31,
      doubt: 'the meter was not calibrated',
    },
  );
  s.read(
    hull,
    slope,
    yellow,
    4,
    { ...of('slope 45 2x2', 8, 12), l: 97.2 },
    {
      how: 'photo',
      made: 'photo with a card, light 2980 K',
      spread: 2.4,
      count: 61,
      doubt: 'mostly glare or shadow',
    },
  );
  s.read(hull, long, yellow, 9, of('brick 2x4', 0, 9));
  s.read(hull, long, yellow, 4, of('brick 2x4', 9, 13), { spread: 0.22 });
  s.read(hull, long, used, 3, of('brick 2x4', 13, 16), { spread: 0.12 });
  s.read(hull, short, yellow, 14, of('brick 1x4', 0, 14));
  s.read(hull, short, yellow, 5, of('brick 1x4', 14, 19), { spread: 0.26 });
}

/** The house: what its owners like about it and must stay, and what they would still like. */
export function inspectHouse(
  handle: Handle,
  build: BuildId | undefined,
  newId: () => string,
  clock: () => Date,
): void {
  if (!build) throw new Error('an inspection needs a build');
  const s = new Inspector(handle, build, newId, clock);
  s.find('keep', 'Tower', 'The red and white bands of the tower');
  s.find('function', 'Lamp room', 'The lamp room lifts off whole');
  s.find('function', 'House front', 'The door opens and closes');
  s.find('mismatch', 'Gallery', 'Amber lamps along the gallery jump out of the wood', {
    lots: [{ element: el('round plate 1x1', 'amber'), qty: 8 }],
    to: el('round plate 1x1', 'soot'),
  });
  // The owner has looked at the tower and says what its colours are, and that floors and windows have their own.
  const tower = s.workbench().zones.find((z) => z.name === 'Tower');
  if (!tower) throw new Error('the house has a tower');
  const colours = ['chalk', 'brick-red', 'ash'].map((c) => asId<ColourId>(c));
  s.act(setScheme(s.workbench(), tower.id, colours));
  const windows = { zone: null, family: 'window', colour: null };
  s.act(learnColourRule(s.workbench(), windows, asId<ColourId>('chalk'), s.source()));
}

/** The house: what it is to become, whose ideas it takes, and eight rules of which two are broken with their reasons. */
export function briefHouse(
  handle: Handle,
  build: BuildId | undefined,
  newId: () => string,
  clock: () => Date,
): void {
  if (!build) throw new Error('a brief needs a build');
  const s = new Inspector(handle, build, newId, clock);
  s.act(
    keepBrief(s.workbench(), {
      ...briefOf(s.workbench()),
      purpose: 'A lightkeeper’s house one can live in, with a boathouse, in its street by the harbour',
      wishes: [
        { what: 'A boathouse under the stair', done: false },
        { what: 'Rooms that can be reached', done: false },
        { what: 'Brighter lamps', done: true },
      ],
      ideas: [{ what: 'The slipway beside the quay wall', whose: 'a friend', where: 'a club evening' }],
      rules: [
        { rule: 'pieces at most', limit: 520, text: '' },
        { rule: 'net at most', limit: 110, text: '' },
        { rule: 'budget', limit: 4000, text: '' },
        { rule: 'parcels at most', limit: 3, text: '' },
        { rule: 'within the plot', limit: 0, text: '' },
        { rule: 'strong enough', limit: 0, text: '' },
        { rule: 'width at most', limit: 36, text: '' },
        { rule: 'none of these colours', limit: 0, text: 'heather, petal' },
      ],
    }),
  );
  const reasons = {
    'within the plot': 'the neighbour on the right is moved by two studs',
    'strong enough': 'the sign hangs where nobody plays',
  };
  for (const rule of RULES) {
    const reason = reasons[rule.id as keyof typeof reasons];
    if (reason) s.act(makeException(s.workbench(), rule, reason, s.source()));
  }
}
