import { describe, expect, it } from 'vitest';
import { BLANK_ENTRY, added, changed, type Entry } from '../ledger';
import { grade, modelAccount, sparesAccount } from '../places';
import { markParts } from '../brief';
import { sayIdeal } from '../pool';
import { asId, type EntryId } from '../shared/ids';
import { addStorey, deleteStorey, shiftStorey, storeysOf } from '../together';
import { allDone, ash, greened, kelp, rust, wallAndRoof } from '../testing/wall-and-roof';
import { modAtRandom, randomSet } from '../testing/mods';
import { did, doneAndBack, planned, testSource, withBox, zoneId } from '../testing/workbench';
import {
  bothStanding,
  keepTold,
  leaveOff,
  leftGroups,
  leftOverOf,
  needsMet,
  notGenuine,
  originShares,
  partsForOthers,
  stageAt,
  toldOf,
  inStoreys,
  tourOf,
} from './index';

const [bench, done] = [wallAndRoof, allDone];
const green = (qty = 4) => greened(bench(), qty);

describe('from which', () => {
  it('shares pieces and money out among boxes, own parts and what was bought', () => {
    const b = done(
      planned(
        withBox(bench(), 'Tram', { [rust]: 9 }),
        testSource('a'),
        { on: [{ element: kelp, qty: 5 }] },
        { on: [{ element: rust, qty: 2 }], source: 'donor' },
        { on: [{ element: rust, qty: 1 }], source: 'own', ownFrom: 'old pier, 1994' },
      ),
    );
    const shares = originShares(b, b.built);
    expect(shares.map((s) => [s.origin.from, s.pieces])).toEqual([
      ['box', 26],
      ['own parts', 3],
      ['own', 2],
      ['box', 2],
      ['own', 1],
    ]);
    expect(shares.reduce((n, s) => n + s.share, 0)).toBeCloseTo(1);
    expect(shares[4]!.origin).toEqual({ from: 'own', name: 'old pier, 1994' });
    expect(shares[1]!.worth).toBe(3 * 8);
  });

  it('lists what is not genuine', () => {
    const b = done(planned(bench(), testSource('a'), { on: [{ element: kelp, qty: 2 }] }));
    expect(notGenuine(b, b.built)).toEqual([]);
    const entry = b.entries.at(-1) as Entry;
    did(b, markParts(b, entry, 'printed'));
    expect(notGenuine(b, b.built)).toEqual([{ mark: 'printed', element: kelp, qty: 2, entries: [entry.id] }]);
  });
});

describe('the original and the mod both standing', () => {
  it('says what lacks a double, what would come from where, and what to leave off', () => {
    const b = done(green());
    const both = bothStanding(b);
    // The mod keeps what it has: the original takes the four that came off, five own ones, and lacks the rest.
    expect(both.doubles.find((d) => d.element === ash)).toMatchObject({
      ...{ wants: 20, fromBox: 4, fromOwn: 5, lacks: 11, each: 10 },
      zones: [{ zone: zoneId('Wall'), qty: 20 }],
    });
    expect(both).toMatchObject({
      wants: 26,
      fromBox: 4,
      fromOwn: 5,
      lacks: 17,
      cost: 11 * 10 + 6 * 8,
      unpriced: 0,
    });
    expect(leaveOff(b, both)).toEqual([
      { zone: zoneId('Wall'), lots: [{ element: ash, qty: 11 }] },
      { zone: zoneId('Roof'), lots: [{ element: rust, qty: 6 }] },
    ]);
    expect(both.wants).toBe(both.fromBox + both.fromOwn + both.lacks);
    // It looks, and takes nothing.
    expect(bothStanding(b)).toEqual(both);
  });
});

describe('a tour', () => {
  it('goes zone by zone, with what came and went', () => {
    const b = done(green());
    const stops = tourOf(b, b.built);
    expect(stops.map((s) => s.name)).toEqual(['Wall', 'Roof']);
    expect(stops[0]).toMatchObject({
      before: 20,
      standing: { onModel: 20, kept: 16, changed: 4 },
      came: [{ element: kelp, qty: 4 }],
      went: [{ element: ash, qty: 4 }],
    });
    doneAndBack(b, keepTold(b, { ...toldOf(b, zoneId('Wall')), was: 'grey', is: 'green' }));
    expect(tourOf(b, b.built)[0]!.told).toMatchObject({ was: 'grey', is: 'green' });
  });
});

describe('a tour by storeys', () => {
  it('goes from the ground up, and ends with what is in no storey', () => {
    const b = done(green());
    const zone = { Wall: zoneId('Wall'), Roof: zoneId('Roof') };
    expect(inStoreys(b, tourOf(b, b.built)).map((s) => s.storey)).toEqual([null]);
    did(b, addStorey(b, { name: 'Attic', zone: zone.Roof }, testSource('t')));
    const names = () =>
      inStoreys(b, tourOf(b, b.built)).map((s) => [s.storey?.name ?? 'none', ...s.stops.map((z) => z.name)]);
    expect(names()).toEqual([
      ['Attic', 'Roof'],
      ['none', 'Wall'],
    ]);
    did(b, addStorey(b, { name: 'Ground', zone: zone.Wall }, testSource('u')));
    did(b, shiftStorey(b, storeysOf(b)[1]!, -1)!);
    expect(names()).toEqual([
      ['Ground', 'Wall'],
      ['Attic', 'Roof'],
    ]);
    // Zones in the zone of a storey are in it.
    const roof = b.records.zone.get(zone.Roof)!;
    did(b, { label: '', diff: changed('zone', roof, { parent: zone.Wall }) });
    did(b, deleteStorey(storeysOf(b)[1]!));
    expect(names()).toEqual([['Ground', 'Wall', 'Roof']]);
  });
});

describe('what is left over', () => {
  it('comes the rarest first, in groups that add up', () => {
    const b = done(green());
    did(b, {
      label: '',
      diff: added('entry', {
        ...BLANK_ENTRY,
        ...{
          id: asId<EntryId>('x'),
          build: b.build,
          kind: 'unpack',
          no: 0,
          loggedAt: '2026',
          state: 'done' as const,
        },
        movements: [
          {
            element: rust,
            grade: grade('new'),
            qty: 2,
            from: 'shipped:copy' as never,
            to: sparesAccount(b.build),
            worth: null,
          },
        ],
      }),
    });
    const rare = [{ element: rust, qty: 2, colours: 1, boxes: 1 }];
    const lots = leftOverOf(b, b.built, rare);
    expect(lots.map((l) => [l.element, l.qty, l.box, l.rarity?.boxes ?? null])).toEqual([
      [rust, 2, 'Test', 1],
      [ash, 4, 'Test', null],
    ]);
    expect(leftGroups(lots, 'colour').map((g) => [g.name, g.pieces])).toEqual([
      ['ash', 4],
      ['rust', 2],
    ]);
    for (const by of ['box', 'colour', 'family'] as const)
      expect(leftGroups(lots, by).reduce((n, g) => n + g.pieces, 0)).toBe(6);
  });

  it('meets the needs of other builds, each piece once', () => {
    const need = (name: string, ...lots: [typeof ash, number][]) => ({
      build: asId<never>(name),
      name,
      missing: lots.reduce((n, l) => n + l[1], 0),
      lots: lots.map(([element, qty]) => ({ element, qty })),
    });
    const lots = [{ element: ash, qty: 4 }];
    const met = needsMet(
      lots,
      [need('own', [ash, 9]), need('pier', [ash, 3], [ash, 3], [kelp, 2]), need('mill', [kelp, 1])],
      asId<never>('own'),
    );
    expect(met).toEqual([
      { build: 'pier', name: 'pier', lacks: 8, meets: 4, lots: [{ element: ash, qty: 4 }] },
    ]);
  });
});

describe('parts for others', () => {
  const choice = { for: 'all bought', planned: false, ideal: false, modification: null } as const;
  it('are all of the model, or what the set lacks', () => {
    const b = done(green());
    const rows = (more: object) => partsForOthers(b, { ...choice, ...more }).map((r) => [r.element, r.qty]);
    expect(rows({})).toEqual([
      [ash, 16],
      [kelp, 4],
      [rust, 6],
    ]);
    expect(rows({ for: 'set owned' })).toEqual([[kelp, 4]]);
    const [m] = b.modifications;
    expect(rows({ modification: m!.id })).toEqual([[kelp, 4]]);
    did(b, sayIdeal(b, [b.entries.at(-1)!], rust));
    expect(rows({ for: 'set owned', ideal: true })).toEqual([[rust, 4]]);
    expect(partsForOthers(b, choice)[0]!.each).toBe(10);
  });

  it('and what the set has, less what went, is the model', () => {
    for (let seed = 1; seed <= 15; seed++) {
      const b = modAtRandom(randomSet(seed), seed);
      const all = partsForOthers(b, { ...choice, planned: true });
      expect(all.reduce((n, r) => n + r.qty, 0)).toBe(b.planned.figures({ of: 'build' }).onModel);
      const lacks = new Map(
        partsForOthers(b, { ...choice, planned: true, for: 'set owned' }).map((r) => [r.element, r.qty]),
      );
      const shipped = stageAt(b, 0).books;
      for (const r of all) {
        const had = b.zones.reduce((n, z) => n + shipped.balances.at(modelAccount(z.id), r.element), 0);
        expect(lacks.get(r.element) ?? 0).toBe(Math.max(0, r.qty - had));
      }
    }
  });
});
