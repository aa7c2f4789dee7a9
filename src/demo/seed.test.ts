import { beforeAll, describe, expect, it } from 'vitest';
import { cameFrom, openPlaceholders, originName, sparesAccount } from '@/core/ledger';
import { partOf, splitElementKey } from '@/core/parts';
import { PALETTE } from '@/core/colour';
import { openDatabase, type Handle } from '@/data/database';
import { unbalanced } from '@/data/balances';
import { readRecords } from '@/data/records';
import { needOf, statesOf, totalsOf } from '@/core/need';
import { compareOptions, fadingByZone } from '@/core/fading';
import { asideNow, compromises, isAsideOver, letterState, rulesNow } from '@/core/brief';
import { cutProblemOf, stickersNow, takenOf } from '@/core/stickers';
import { CutSearch } from '@/core/stickers/cutting';
import {
  floorProblem,
  holding,
  interiorOf,
  onPlot,
  plotOf,
  reachOf,
  ringOf,
  seamHold,
  trackClearance,
  wallsProblem,
  whatSticksOut,
} from '@/core/fit';
import { faultOf, quickLaying } from '@/core/fit/lay';
import { completeness } from '@/core/inspection';
import { openWorkbench } from '@/server/snapshot';
import { DEMO_SETS, seedDemo } from './seed';
import { piecesIn } from './sets/set-text';
import { demoOwnParts } from './own-parts';

let handle: Handle;
beforeAll(() => {
  handle = openDatabase(':memory:', new Date());
  seedDemo(handle);
});

const workbench = (name: RegExp) => {
  const build = readRecords(handle.db, 'build').find((b) => name.test(b.name));
  if (!build) throw new Error(`no build ${name}`);
  return openWorkbench(handle, build.id)!;
};

describe('the demo', () => {
  it('has sets of the sizes on their boxes, of parts that are read and colours that there are', () => {
    expect(DEMO_SETS.map((s) => [s.name, piecesIn(s)])).toEqual([
      ["Lightkeeper's House", 412],
      ['Harbour Ferry Skerry', 261],
      ['Icebreaker Northern Reach', 7812],
      ['Night Tram Nine', 179],
      ['Kitchen Garden', 297],
    ]);
    expect(DEMO_SETS[2]!.lots.length).toBeGreaterThan(1090);
    const known = new Set<string>(PALETTE.map((c) => c.id));
    for (const { element } of [...DEMO_SETS.flatMap((s) => s.lots), ...demoOwnParts()]) {
      const { part, colour } = splitElementKey(element);
      expect([element, partOf(part).read, known.has(colour)]).toEqual([element, true, true]);
    }
  });

  it('has own parts of 3,000 pieces in trays, and a price for every part in a box', () => {
    expect(demoOwnParts().reduce((s, l) => s + l.qty, 0)).toBe(3000);
    expect(readRecords(handle.db, 'tray').length).toBeGreaterThan(8);
    const priced = new Set(readRecords(handle.db, 'price').map((p) => p.element));
    expect(DEMO_SETS.flatMap((s) => s.lots).filter((l) => !priced.has(l.element))).toEqual([]);
  });

  it('has walls and a terrace to be laid, which close, and a street that the house stands in', () => {
    for (const [name, count] of [
      [/Lightkeeper's House/, 1],
      [/Lightkeeper's garden/, 1],
    ] as const) {
      const bench = workbench(name);
      const jobs = [...bench.records.wallJob.values()];
      expect(jobs).toHaveLength(count);
      const stated = wallsProblem(bench, jobs[0]!, 'firm');
      if (!stated.ok) throw new Error(JSON.stringify(stated.reason));
      expect(faultOf(stated.value.problem)).toBeNull();
      expect(quickLaying(stated.value.problem).score.unfilled).toBe(0);
    }
    const garden = workbench(/Lightkeeper's garden/);
    const [terrace] = garden.records.floorJob.values();
    const stated = floorProblem(garden, terrace!, 'firm');
    expect(stated.ok && quickLaying(stated.value.problem).score.unfilled).toBe(0);
    const house = workbench(/Lightkeeper's House/);
    const plot = plotOf(house);
    expect(plot.neighbours).toHaveLength(3);
    const { built } = house.records.inspectionCard.get(house.build)!;
    expect(onPlot(plot, built)).toMatchObject({ width: -2, against: ['left', 'right'], fits: false });
    expect(whatSticksOut(house, plot)).toMatchObject([{ name: 'House front', right: 2 }]);
  });

  it('has rooms of which one is shut, a tram past its quay, a seam too tight, a sign on two studs, and a ring', () => {
    const house = workbench(/Lightkeeper's House/);
    const shut = reachOf(interiorOf(house), null).filter((r) => r.by === null);
    expect(shut.map((r) => r.room.name)).toEqual(['net store']);
    const [track] = house.records.track.values();
    const passes = trackClearance(house, track!)!;
    expect(passes.courses).toHaveLength(6);
    expect(new Set(passes.courses.map((c) => c.back))).toEqual(new Set([0, 1]));
    const [seam] = house.records.seam.values();
    expect(seamHold(house, seam!).state).toBe('too tight');
    const [sign] = house.records.connection.values();
    expect(holding(sign!).because).toEqual(['two studs']);
    const [ring] = workbench(/Glasshouse/).records.ring.values();
    expect(ringOf(ring!.panels, ring!.length, ring!.thick)).toMatchObject({ turn: 30 });
  });

  it('has a house with a brief of eight rules, two of them broken with their reasons', () => {
    const rules = rulesNow(workbench(/Lightkeeper's House/));
    expect(rules).toHaveLength(8);
    const broken = rules.filter((r) => r.state.holds === false);
    expect(broken.map((r) => [r.rule.id, r.exception !== null])).toEqual([
      ['within the plot', true],
      ['strong enough', true],
    ]);
    expect(rules.filter((r) => r.state.holds === true)).toHaveLength(6);
  });

  it('has a ferry whose stickers are worn, with sheets to cut from, and a printer who has not answered', () => {
    const ferry = workbench(/Skerry/);
    const stickers = stickersNow(ferry);
    expect(stickers.filter((s) => s.sticker.condition !== 'good')).toHaveLength(4);
    const sheets = [...ferry.records.stickerSheet.values()];
    expect(sheets.filter((s) => s.kind === 'reprint')).toHaveLength(2);
    const used = sheets.filter((s) => s.kind !== 'reprint' && s.fields.some((f) => takenOf(f) > 0));
    expect(used).toHaveLength(3);
    const [job] = ferry.records.stripJob.values();
    const search = new CutSearch(cutProblemOf(ferry, job!), 1);
    while (search.solveNext(() => false));
    const plan = search.plan(0);
    expect([plan.proven, plan.placed.length, plan.unmet.length]).toEqual([true, 10, 2]);
    const [letter] = ferry.records.letter.values();
    expect(letterState(letter!, '2026-11-20')).toEqual({ unanswered: 2, isDue: true });
  });

  it('has a house that was put aside until a day that has come, with what was tried and dropped', () => {
    const house = workbench(/Lightkeeper's House/);
    expect(isAsideOver(asideNow(house)!, '2026-11-24')).toBe(true);
    expect([...house.records.attempt.values()].filter((a) => a.state === 'dropped')).toHaveLength(2);
    expect(compromises(house).map((c) => c.kind)).toEqual(
      expect.arrayContaining(['placeholder', 'to be chosen', 'weak place']),
    );
  });

  it('has a house worked on for a while, its figures out of the ledger', () => {
    const house = workbench(/Lightkeeper's House/);
    const f = house.built.figures({ of: 'build' });
    expect(house.modifications.length).toBeGreaterThanOrEqual(6);
    expect(f.shipped).toBe(412);
    expect(f.onModel).toBe(412 + f.in - f.out - f.missing + f.missingReplaced);
    expect(f.sparesLeft).toBe(house.built.balances.total(sparesAccount(house.build)));
    for (const figure of [
      'out',
      'in',
      'recoloured',
      'renewed',
      'missing',
      'missingReplaced',
      'moved',
      'usedAgain',
      'fromStock',
      'bought',
      'outOfPocket',
      'sharedCost',
    ] as const)
      expect([figure, f[figure] > 0]).toEqual([figure, true]);
    expect(openPlaceholders(house.built.entries).length).toBeGreaterThan(0);
    expect(house.records.whatIf.size).toBe(2);
    expect(house.records.assembly.size).toBe(1);
    expect(new Set(house.entries.map((e) => e.state))).toEqual(new Set(['done', 'planned']));
    expect(f.unpriced).toBe(0);
    expect(unbalanced(handle.db)).toEqual([]);
  });

  it('is the same every time', () => {
    const again = openDatabase(':memory:', new Date());
    seedDemo(again);
    const all = (h: Handle) =>
      JSON.stringify(['build', 'entry', 'modification', 'price'].map((t) => readRecords(h.db, t as never)));
    expect(all(again)).toBe(all(handle));
  });

  it('has a ferry half inspected: parts missing, a yellowed hull, bare stickers and two bad readings', () => {
    const ferry = workbench(/Skerry/);
    const report = completeness(ferry);
    expect(report.missing.length).toBeGreaterThan(5);
    expect(report.counted).toBeGreaterThan(10);
    expect(report.counted).toBeLessThan(report.lots);
    const readings = readRecords(handle.db, 'reading');
    expect(readings.filter((r) => !r.trusted).map((r) => r.doubt)).toHaveLength(2);
    const rows = ferry.built.balances.rows();
    expect(rows.some((r) => r.grade === 'bare')).toBe(true);
    const [hull] = fadingByZone(ferry);
    expect(hull!.largest).toBeGreaterThan(8);
    const options = compareOptions(ferry, hull!.zone, hull!.colour)!;
    expect(options.recommended).toBe('match by age');
    expect([...ferry.records.finding.values()].some((f) => f.photo)).toBe(true);
  });

  it('has a garden with a need of about 60 lots, and a glasshouse bound to its two trams', () => {
    const garden = workbench(/Lightkeeper's garden/);
    expect(garden.records.copy.size).toBe(0);
    const need = needOf(garden);
    expect(need.lots.length).toBeGreaterThanOrEqual(50);
    expect(need.lots.some((l) => l.hidden)).toBe(true);
    const glass = workbench(/Glasshouse/);
    expect([...glass.records.copy.values()].map((c) => c.setName)).toEqual([
      'Night Tram Nine',
      'Night Tram Nine',
    ]);
    expect(glass.planned.figures({ of: 'build' }).net).toBeLessThan(0);
  });

  it('has a tram by somebody who counts nothing: had, bought and to buy add up, and nothing is paid by accident', () => {
    const tram = workbench(/from the tub/);
    const f = tram.built.figures({ of: 'build' });
    expect(f).toMatchObject({ outOfPocket: 44, bought: 4, boughtUnpriced: 0 });
    expect(f.fromOwn).toBeGreaterThan(10);
    const totals = totalsOf(statesOf(tram, { of: 'build' }));
    expect(totals.bought.pieces).toBe(4);
    expect(totals['to buy'].pieces).toBe(2);
    const from = cameFrom(tram.built).map((c) => originName(c.origin, tram.records.copy));
    expect(from).toEqual(expect.arrayContaining(['pier railway, 1996', 'a friend', 'Night Tram Nine']));
    expect([...tram.records.copy.values()].map((c) => c.price)).toEqual([null]);
  });
});
