import { addZone, changeSettings, setElsewhere } from '../core/workbench';
import { elementKey, inColour, readPartName, splitElementKey, type ElementKey } from '../core/parts';
import { asId, countingIds, type ActionId, type BuildId, type ColourId } from '../core/shared/ids';
import type { Handle } from '../data/database';
import { writeSet } from '../data/catalogue';
import { perform } from '../server/perform';
import { importBoxes, importPrices, importStock } from '../server/import-rows';
import type { ImportBoxes } from '../server/import-schemas';
import { demoPrice } from './prices';
import { harbourFerry } from './sets/harbour-ferry';
import { icebreaker } from './sets/icebreaker';
import { kitchenGarden } from './sets/kitchen-garden';
import { lightkeepersHouse } from './sets/lightkeepers-house';
import { nightTram } from './sets/night-tram';
import type { DemoSet } from './sets/set-text';
import { fillOwnParts } from './fill-own-parts';
import { fitGarden, fitGlasshouse, fitHouse, fitHouseInside } from './fits';
import {
  GARDEN_STORY,
  GARDEN_ZONES,
  GLASSHOUSE_STORY,
  ICEBREAKER_LATER,
  ICEBREAKER_STORY,
  LIGHTKEEPERS_STORY,
  TRAM_STORY,
} from './story';
import { demoOwnParts } from './own-parts';
import { must, Stater } from './stater';
import { tell, type Clock } from './tell';
import { promisesOfHouse, rowOfGarden } from './promises';
import { patchSecondHand, showHouse, streetOfHouse } from './show';
import { stickerFerry } from './stickers';
import { briefHouse, inspectFerry, inspectHouse } from './inspections';

export const DEMO_SETS: readonly DemoSet[] = [
  lightkeepersHouse,
  harbourFerry,
  icebreaker,
  nightTram,
  kitchenGarden,
];

/** Ways the demo's days pass: the story is dated, so that a fresh demo is the same every time. */
const FIRST_DAY = Date.UTC(2026, 9, 3, 18, 0, 0);

/** Fills an empty workspace with the demo. Everything goes through the same doors as a person's own work. */
export function seedDemo(handle: Handle): void {
  const newId = countingIds('demo');
  let minutes = 0;
  const clock = () => new Date(FIRST_DAY + (minutes += 7) * 60_000);
  const context = () => ({ handle, newId, now: clock() });
  const mark = { ...changeSettings(undefined, { isDemo: true }), id: asId<ActionId>('demo-mark') };
  must(perform(handle, { ...mark, scope: 'demo' }, new Date(FIRST_DAY)));
  const nothing = { made: [], matched: [] };
  for (const set of DEMO_SETS) writeSet(handle.db, set, set.lots);
  must(
    importPrices(
      {
        request: newId(),
        prices: pricedElements().map((element) => ({ element, ...demoPrice(element) })),
        colours: nothing,
        memory: null,
      },
      context(),
    ),
  );
  const stock = demoOwnParts().map((l) => ({ ...l, worth: null }));
  must(importStock({ request: newId(), tray: 'A1', lots: stock, colours: nothing, memory: null }, context()));
  const ferry = boxes(harbourFerry, 'Skerry, as unpacked', 'second-hand', 3200);
  const skerry = must(importBoxes({ ...ferry, request: newId() }, context()));
  inspectFerry(handle, skerry.build, newId, clock);
  const ship = must(
    importBoxes({ ...boxes(icebreaker, 'Northern Reach', 'new', 42900), request: newId() }, context()),
  );
  tell(handle, ship.build, ICEBREAKER_STORY, newId, clock);
  const trams = boxes(nightTram, 'Glasshouse from two night trams', 'second-hand', 1850);
  const glass = must(
    importBoxes(
      { ...trams, boxes: trams.boxes.map((b) => ({ ...b, copies: 2 })), request: newId() },
      context(),
    ),
  );
  tell(handle, glass.build, GLASSHOUSE_STORY, newId, clock);
  fitGlasshouse(handle, glass.build, newId, clock);
  const found = must(importBoxes({ ...secondHandHouse(), request: newId() }, context()));
  const house = must(importBoxes({ ...agedHouse(), request: newId() }, context()));
  buys(handle, house.build, newId, clock);
  tell(handle, house.build, LIGHTKEEPERS_STORY, newId, clock);
  inspectHouse(handle, house.build, newId, clock);
  fitHouse(handle, house.build, newId, clock);
  fitHouseInside(handle, house.build, newId, clock);
  briefHouse(handle, house.build, newId, clock);
  const green = garden(handle, newId, clock);
  const tram = boxes(nightTram, 'Night tram, from the tub', 'second-hand', 0);
  const loose = { ...tram, boxes: tram.boxes.map((b) => ({ ...b, price: null })) };
  const night = must(importBoxes({ ...loose, request: newId() }, context()));
  tell(handle, night.build, TRAM_STORY, newId, clock);
  tell(handle, ship.build, ICEBREAKER_LATER, newId, clock);
  fillOwnParts(handle, glass.build, newId, clock);
  stickerFerry(handle, skerry.build, newId, clock);
  promisesOfHouse(handle, house.build, newId, clock);
  rowOfGarden(handle, green, newId, clock);
  showHouse(handle, house.build, newId, clock);
  streetOfHouse(handle, house.build, [green, found.build], newId, clock);
  patchSecondHand(handle, house.build, found.build, newId, clock);
}

function boxes(
  set: DemoSet,
  name: string,
  condition: 'new' | 'second-hand',
  price: number,
): Omit<ImportBoxes, 'request'> {
  const lots = set.lots.map((l) => ({ ...l, condition: null }));
  const box = {
    setName: set.name,
    setCode: set.code,
    copies: 1,
    condition,
    role: 'base' as const,
    price,
    lots,
  };
  return { build: { name }, boxes: [box], colours: { made: [], matched: [] }, memory: null };
}

/** The second-hand house: nine of the tower's chalk bricks have stood in the sun. */
function agedHouse(): Omit<ImportBoxes, 'request'> {
  const whole = boxes(lightkeepersHouse, "Lightkeeper's House", 'second-hand', 4650);
  const aged = elementKey('brick 1x1' as never, 'chalk' as never);
  const lots = (whole.boxes[0]?.lots ?? []).flatMap((l) =>
    l.element === aged && l.zone === 'Tower'
      ? [
          { ...l, qty: l.qty - 9 },
          { ...l, qty: 9, condition: 'yellowed' as const },
        ]
      : [l],
  );
  return { ...whole, boxes: whole.boxes.map((b) => ({ ...b, lots })) };
}

/** The same house once more, from a market stall: every sixth kind lacks some, and two kinds are gone. */
function secondHandHouse(): Omit<ImportBoxes, 'request'> {
  const whole = boxes(lightkeepersHouse, 'Lamp house from a market stall', 'second-hand', 1200);
  const lots = (whole.boxes[0]?.lots ?? []).flatMap((l, i) => {
    if (i % 19 === 11) return [];
    return [i % 6 === 2 && l.qty > 3 ? { ...l, qty: l.qty - Math.ceil(l.qty / 3) } : l];
  });
  return { ...whole, boxes: whole.boxes.map((b) => ({ ...b, setName: 'HW 4120, without its box', lots })) };
}

/** What the price book knows: all that is in the sets and own parts, and the house's parts in the colours it is worked in. */
function pricedElements(): ElementKey[] {
  const known = new Set<ElementKey>([
    ...DEMO_SETS.flatMap((s) => s.lots.map((l) => l.element)),
    ...demoOwnParts().map((l) => l.element),
  ]);
  for (const { element } of [...lightkeepersHouse.lots, ...harbourFerry.lots]) {
    if (splitElementKey(element).print) continue;
    for (const colour of ['chalk', 'ash', 'slate', 'bark', 'dune', 'kelp', 'amber', 'soot', 'brick-red'])
      known.add(inColour(element, asId<ColourId>(colour)));
  }
  for (const element of gardenElements()) known.add(element);
  return [...known];
}

/** Elements that the garden is planned from: the price book knows them too. */
function gardenElements(): ElementKey[] {
  const lines = GARDEN_STORY.flatMap((s) => (s.do === 'modification' ? s.lines : []));
  return lines.flatMap((line) =>
    [...line.matchAll(/\+\d+ (.+?) ([a-z-]+)(?=,| plan)/g)].map(([, part = '', colour = '']) =>
      elementKey(readPartName(part).part.id, asId<ColourId>(colour)),
    ),
  );
}

/** The garden has no box: it begins empty, with its zones. */
function garden(handle: Handle, newId: () => string, clock: Clock): BuildId | undefined {
  const begun = must(
    importBoxes(
      {
        build: { name: "Lightkeeper's garden" },
        boxes: [],
        colours: { made: [], matched: [] },
        memory: null,
        request: newId(),
      },
      { handle, newId, now: clock() },
    ),
  );
  const { build } = begun;
  if (!build) throw new Error('the garden has been begun');
  const stater = new Stater(handle, build, newId, clock);
  for (const name of GARDEN_ZONES) {
    const workbench = stater.workbench();
    stater.act(addZone(workbench, name, workbench.rootZone.id, stater.source()));
  }
  tell(handle, build, GARDEN_STORY, newId, clock);
  fitGarden(handle, build, newId, clock);
  return build;
}

/** The house's owner counts what is in the trays, and buys the rest. */
function buys(handle: Handle, build: BuildId | undefined, newId: () => string, clock: Clock): void {
  if (!build) throw new Error('a build that buys is there');
  const stater = new Stater(handle, build, newId, clock);
  stater.act(setElsewhere(stater.workbench(), 'bought'));
}
