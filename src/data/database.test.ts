import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterEach, describe, expect, it } from 'vitest';
import {
  added,
  changed,
  grade,
  joinDiffs,
  modelAccount,
  stockAccount,
  RECORD_TYPES,
  removed,
  type Diff,
  type RecordType,
} from '@/core/ledger';
import {
  asId,
  type AssemblyId,
  type BoxOfferId,
  type BuildId,
  type ColourId,
  type ColourRuleId,
  type CountLineId,
  type ExposureId,
  type FindingId,
  type KeptAssemblyId,
  type ParcelClaimId,
  type PartId,
  type ConnectionId,
  type FloorJobId,
  type RingId,
  type RuleExceptionId,
  type SeamId,
  type EntryId,
  type PatternId,
  type StageId,
  type StickerId,
  type StoreyId,
  type StreetId,
  type StickerSheetId,
  type StripJobId,
  type LetterId,
  type AttemptId,
  type AwaitedPlaceId,
  type SpentTimeId,
  type PutAsideId,
  type TrackId,
  type ModificationId,
  type PoolModelId,
  type WallJobId,
  type ReadingId,
  type WaitingId,
  type WhiteningId,
  type WhatIfId,
  type ZoneId,
} from '@/core/shared/ids';
import {
  COPIES,
  COPY,
  el,
  entry,
  MODIFICATIONS,
  ORDER,
  ORDERS,
  PRICES,
  randomLog,
  ZONES,
  TRAYS,
  BUILD,
} from '@/core/testing/world';
import { readCatalogue, readSetLots, writeSet } from './catalogue';
import { inTransaction, openDatabase, stampOf, type Handle } from './database';
import { numbersIn, readRecord, readRecords, writeDiff } from './records';

const NOW = new Date('2026-11-24T10:00:00Z');
const memory = () => openDatabase(':memory:', NOW);
const folders: string[] = [];
afterEach(() => folders.splice(0).forEach((f) => fs.rmSync(f, { recursive: true, force: true })));

const ELEMENT = el('plate 2x3', 'chalk');
const OF_LOT = { build: BUILD, zone: ZONES[1]!.id, element: ELEMENT };
/** What is seen and measured when a set is inspected: one record of each type. */
const INSPECTED: Diff = joinDiffs(
  added('inspectionCard', {
    id: BUILD,
    build: BUILD,
    display: 'one side',
    away: [ZONES[2]!.id],
    gear: [{ zone: ZONES[1]!.id, element: null }],
    found: { length: 20, width: 10, height: 4.5 },
    built: null,
  }),
  added('countLine', {
    ...OF_LOT,
    id: asId<CountLineId>('cl1'),
    copy: COPY,
    expected: 9,
    there: 6,
    broken: 1,
    faded: 2,
    bare: 1,
    wanted: false,
    at: '2026',
  }),
  added('finding', {
    id: asId<FindingId>('f1'),
    build: BUILD,
    kind: 'mismatch',
    zone: ZONES[1]!.id,
    lots: [{ element: ELEMENT, qty: 2 }],
    to: el('plate 2x3', 'ash'),
    note: 'n',
    matters: 3,
    photo: 'p1',
    modification: MODIFICATIONS[0]!.id,
    answer: 'lost',
    how: '',
    dropped: true,
    at: '2026',
  }),
  added('reading', {
    id: asId<ReadingId>('r1'),
    account: modelAccount(ZONES[1]!.id),
    element: ELEMENT,
    batch: 'R1',
    qty: 4,
    l: 90.25,
    a: -1.5,
    b: 12.75,
    white: 'D65',
    spread: 0.25,
    count: 6,
    how: 'meter',
    made: 'm',
    measure: 'CIEDE2000',
    trusted: false,
    doubt: 'd',
    at: '2026',
  }),
  added('exposure', { ...OF_LOT, id: asId<ExposureId>('e1'), seen: 'top', hidden: 3 }),
  added('scheme', { id: ZONES[1]!.id, build: BUILD, zone: ZONES[1]!.id, colours: [asId<ColourId>('ash')] }),
  added('parcelClaim', {
    id: asId<ParcelClaimId>('pc1'),
    build: BUILD,
    order: ORDER,
    element: ELEMENT,
    grade: grade('new'),
    qty: 2,
    kind: 'wrong',
    foundAt: '2026-11-20',
    askedAt: '2026-11-21',
    answer: 'they will look',
    end: 'refunded',
    refund: 40,
  }),
  added('whiteningCost', { id: 'whitening', perBath: 300, pieces: 10, hours: 12.5 }),
  added('boxOffer', {
    id: asId<BoxOfferId>('bo1'),
    code: 'T-1',
    setName: 'Tram',
    condition: 'second-hand',
    price: 1450,
    copies: 2,
    seller: 'the market hall',
    days: 3,
  }),
  added('roughlyKnown', { id: 'Bricks|ash', family: 'Bricks', colour: asId('ash'), amount: 'plenty' }),
  added('colourRule', {
    id: asId<ColourRuleId>('c1'),
    build: BUILD,
    zone: ZONES[1]!.id,
    family: 'window',
    colour: null,
    to: asId<ColourId>('ash'),
  }),
  added('leftMismatch', { ...OF_LOT, id: 'l1', reason: 'liked' }),
  added('whitening', {
    id: asId<WhiteningId>('w1'),
    build: BUILD,
    account: modelAccount(ZONES[1]!.id),
    element: ELEMENT,
    qty: 2,
    before: 'R1',
    after: null,
    startedAt: '2026',
    endedAt: null,
    note: 'n',
  }),
  added('madeIn', { id: ELEMENT, element: ELEMENT, from: 1999, to: null }),
  added('fadingGrades', { id: 'fading', from: [1, 2, 3, 4] }),
  added('settings', {
    ...{ id: 'settings', currency: 'EUR', decimal: 'comma', dates: '29.11.2026', units: 'inches' },
    ...{ colourNames: 'plain', letterKeys: false, startPage: 'own parts', surround: 'dark', isDemo: true },
  }),
  added('simulatedClock', { id: 'clock', daysAhead: 12 }),
  added('buildSources', { id: BUILD, build: BUILD, boxesOnly: true, elsewhere: null }),
  added('claimRank', { id: BUILD, rank: 2 }),
  added('waiting', {
    id: asId<WaitingId>('w'),
    element: ELEMENT,
    qty: 3,
    note: 'for the roof',
    at: '2026-11-25',
  }),
  added('keptAssembly', {
    id: asId<KeptAssemblyId>('k'),
    name: 'Lamp table',
    account: stockAccount(TRAYS[0]!),
    lots: [{ element: ELEMENT, qty: 2 }],
  }),
  added('poolModel', {
    id: asId<PoolModelId>('p'),
    build: BUILD,
    name: 'Hut',
    musts: [{ part: asId<PartId>('brick 1x2'), colour: null, qty: 4 }],
    colours: [asId<ColourId>('ash')],
    shares: true,
    place: 2,
    colour: asId<ColourId>('ash'),
    sectionOf: asId<PoolModelId>('whole'),
    isBuilt: true,
  }),
  added('wallJob', {
    id: asId<WallJobId>('wj'),
    build: BUILD,
    zone: ZONES[1]!.id,
    name: 'Quay wall',
    walls: [{ id: 'w1', name: 'Quay', length: 18, left: 'free', right: 'toothed in' }],
    meet: 'apart',
    thick: 1,
    anyInside: true,
    courses: [{ colour: asId<ColourId>('ash'), family: 'brick' }],
    corners: null,
    openings: [{ wall: 'w1', name: 'door', from: null, width: 4, bottom: 0, courses: 1, count: 1 }],
    panels: [],
    faces: [{ family: 'masonry brick', share: 20 }],
    plates: true,
    planned: {
      modification: asId<ModificationId>('m1'),
      pieces: [
        { element: ELEMENT, plates: false, wall: 'w1', course: 0, at: 4, along: 2, row: 0, bought: true },
      ],
      joints: [{ wall: 'w1', course: 0, border: 4 }],
      empty: [{ wall: 'w1', course: 0, at: 9 }],
    },
  }),
  added('plot', {
    id: BUILD,
    build: BUILD,
    width: 32,
    depth: 32,
    front: 6,
    above: 120,
    touches: ['left'],
    storeys: [2, 32],
    kerb: 1,
    cornices: [58],
    doors: [{ name: 'front', at: 4, sill: 5 }],
    changed: { left: 2, right: 0, front: -1, back: 0 },
    neighbours: [
      {
        name: 'Bakery',
        width: 16,
        depth: 32,
        storeys: [2, 30],
        kerb: null,
        cornices: [],
        doors: [],
        shares: true,
      },
    ],
    place: 1,
  }),
  added('zonePlace', {
    id: ZONES[1]!.id,
    build: BUILD,
    zone: ZONES[1]!.id,
    x: -2,
    y: 4,
    width: 20,
    depth: 12,
    bottom: 0,
    height: 30,
  }),
  added('interior', {
    id: BUILD,
    build: BUILD,
    rooms: [
      {
        id: 'hall',
        name: 'Hall',
        width: 10,
        depth: 8,
        height: 24,
        furniture: [{ name: 'stove', width: 2, depth: 3 }],
      },
    ],
    ways: [{ from: 'street', to: 'hall', kind: 'door', width: 4, height: 15 }],
    passers: [{ name: 'cart', width: 4, height: 9, climbs: false }],
    points: [{ name: 'sill', plates: 7 }],
  }),
  added('track', {
    id: asId<TrackId>('tr'),
    build: BUILD,
    name: 'Tram',
    length: 240.5,
    pivots: 144,
    width: 48,
    from: 3.2,
    to: 96,
    radius: null,
    room: 4,
    wall: asId<WallJobId>('wj'),
    side: 'inside',
    distance: 5,
    tried: [{ length: 220, cutBack: 1, note: 'by hand' }],
  }),
  added('ring', { id: asId<RingId>('ri'), build: BUILD, name: 'Glass', panels: 8, length: 4.5, thick: 1 }),
  added('seam', {
    id: asId<SeamId>('se'),
    build: BUILD,
    name: 'Roof',
    what: 'roof',
    zones: [ZONES[1]!.id],
    width: 16,
    depth: 12,
    height: 18,
    studs: 4,
    grip: 'under the eaves',
    tried: 'held',
  }),
  added('connection', {
    id: asId<ConnectionId>('cn'),
    build: BUILD,
    zone: ZONES[1]!.id,
    name: 'Balcony',
    holds: 'studs',
    wide: 2,
    rows: 1,
    lever: 3.5,
    grams: 12.5,
    stress: 'bent',
    note: 'n',
    modification: asId<ModificationId>('m1'),
  }),
  added('brief', {
    id: BUILD,
    build: BUILD,
    purpose: 'A harbour one can live in',
    wishes: [{ what: 'a boathouse', done: false }],
    ideas: [{ what: 'the slipway', whose: 'a friend', where: 'a club evening' }],
    rules: [{ rule: 'net at most', limit: 100, text: '' }],
  }),
  added('ruleException', {
    id: asId<RuleExceptionId>('re'),
    build: BUILD,
    rule: 'net at most',
    reason: 'the quay wall was worth it',
    at: '2026-01-02',
  }),
  added('stickerSheet', {
    id: asId<StickerSheetId>('ss'),
    name: 'Funnel bands',
    fromSet: 'Ferry, first edition',
    kind: 'from its set',
    printer: '',
    material: 'paper',
    cost: null,
    water: 'no',
    heat: 'not known',
    note: 'a corner is torn',
    photo: null,
    fields: [
      {
        id: 'f',
        name: 'lower left',
        w: 64,
        h: 22.5,
        colour: asId<ColourId>('chalk'),
        lab: { l: 90, a: 0.5, b: 4 },
        motif: '',
        rests: [{ x: 0, y: 3.4, w: 64, h: 19.1 }],
      },
    ],
  }),
  added('sticker', {
    id: asId<StickerId>('st'),
    build: BUILD,
    name: 'funnel band',
    zone: ZONES[1]!.id,
    elements: [el('round brick 2x2', 'chalk')],
    w: 3.2,
    l: 50,
    colour: asId<ColourId>('kelp'),
    sheet: asId<StickerSheetId>('ss'),
    cameOn: 'on the part',
    condition: 'crazed',
    finding: null,
    note: '',
    way: 'from sheets',
    ways: [{ way: 'reprint', cost: 450, minutes: 30, looks: 5 }],
  }),
  added('stickerAct', {
    id: asId<EntryId>('e'),
    entry: asId<EntryId>('e'),
    build: BUILD,
    sticker: asId<StickerId>('st'),
    act: 'moved',
    zone: ZONES[1]!.id,
    elements: [],
  }),
  added('stripJob', {
    id: asId<StripJobId>('sj'),
    build: BUILD,
    zone: ZONES[1]!.id,
    name: 'Hull stripes',
    kerf: 0.2,
    margin: 0.5,
    tolerance: 3,
    strips: [
      {
        id: 'a',
        name: 'port',
        colour: asId<ColourId>('chalk'),
        w: 3.2,
        l: 64,
        count: 2,
        elements: [el('tile 1x8', 'kelp')],
        across: true,
      },
    ],
  }),
  added('letter', {
    id: asId<LetterId>('le'),
    build: BUILD,
    who: 'a printer',
    about: 'funnel bands',
    lines: [{ on: '2026-01-02', side: 'asked', what: 'Could you print two?' }],
    next: 'remind',
    nextOn: '2026-02-01',
  }),
  added('attempt', {
    id: asId<AttemptId>('at'),
    build: BUILD,
    zone: ZONES[1]!.id,
    modification: null,
    what: 'a turning lamp',
    state: 'dropped',
    end: 'does not move',
    note: 'the axle binds',
    photo: null,
    at: '2026-01-02',
  }),
  added('awaitedPlace', {
    id: asId<AwaitedPlaceId>('aw'),
    build: BUILD,
    zone: ZONES[1]!.id,
    what: 'a weather vane',
    placeholder: el('bar 1x4', 'soot'),
    chosen: false,
    at: '2026-01-02',
  }),
  added('spentTime', {
    id: asId<SpentTimeId>('sp'),
    build: BUILD,
    modification: null,
    minutes: 90,
    on: '2026-01-02',
    note: 'sorting',
  }),
  added('putAside', {
    id: asId<PutAsideId>('pa'),
    build: BUILD,
    since: '2026-01-02',
    until: '2026-02-02',
    why: 'the roof line',
    lookedOn: '',
    answers: [{ question: 'lines', answer: 'too many' }],
    photo: null,
  }),
  added('looks', {
    id: BUILD,
    build: BUILD,
    symmetry: 'mirrored',
    spread: 'random on purpose',
    row: 'harbour street',
    note: '',
  }),
  added('stage', {
    ...{ id: asId<StageId>('st'), build: BUILD, name: 'Fully dressed', no: 41, at: '2026-11-28' },
    ...{ note: 'lamps lit', size: { length: 22, width: 10.5, height: 5 }, photo: 'p1', position: 1.5 },
    marks: [
      { x: 0.25, y: 0.5 },
      { x: 0.75, y: 0.5 },
    ],
  }),
  added('zoneTold', {
    ...{ id: ZONES[1]!.id, build: BUILD, zone: ZONES[1]!.id, was: 'bare', is: 'a porch', photo: null },
  }),
  added('modSheet', {
    ...{ id: BUILD, build: BUILD, title: 'Test house', author: 'Wren', lead: '', thanks: 'to all' },
    ...{ parts: ['tally', 'changes'], tells: ['prices'], paper: 'A4' },
  }),
  added('pattern', {
    ...{
      id: asId<PatternId>('pt'),
      build: BUILD,
      name: 'Pier house',
      author: 'Ash',
      kind: 'list',
      revision: 2,
    },
    ...{ at: '2026-11-28', zones: ['', 'Porch / Steps'], lots: [{ zone: 1, element: ELEMENT, qty: 3 }] },
    faults: [{ step: 'Steps, 3', says: 'one tile too few', at: '2026-11-28' }],
  }),
  added('street', {
    ...{ id: asId<StreetId>('sr'), name: 'Quay', width: 96, depth: 48, note: '' },
    places: [{ build: BUILD, x: 0, y: 2.5, turned: true }],
  }),
  added('storey', {
    ...{ id: asId<StoreyId>('sy'), build: BUILD, name: 'Roof', zone: ZONES[1]!.id, from: null },
    ...{ rule: 'on top', state: 'stands', note: '', position: 2 },
  }),
  added('idealPart', {
    id: asId<EntryId>('e'),
    entry: asId<EntryId>('e'),
    build: BUILD,
    element: ELEMENT,
  }),
  added('partMark', { id: asId<EntryId>('e'), entry: asId<EntryId>('e'), build: BUILD, mark: 'cut' }),
  added('weighed', { id: asId<PartId>('brick 1x2'), pieces: 10, grams: 8.5, reads: 0.1 }),
  added('floorJob', {
    id: asId<FloorJobId>('fj'),
    build: BUILD,
    zone: ZONES[1]!.id,
    name: 'Terrace',
    width: 10,
    depth: 24,
    family: 'tile',
    layers: 1,
    colours: [{ colour: asId<ColourId>('ash'), share: 3 }],
    pattern: 'no crosses',
    slab: { w: 2, d: 2 },
    kerb: { colour: asId<ColourId>('slate'), width: 1 },
    keepOut: [{ name: 'mooring post', x: 3, y: 4, w: 1, d: 1 }],
    planned: null,
  }),
);

/** One record of every type, parents first. */
const EVERYTHING: Diff = joinDiffs(
  added('build', { id: BUILD, name: 'House', note: 'n', createdAt: '2026', archived: false }),
  added('copy', ...COPIES.values()),
  added('zone', ...ZONES),
  added('phase', { id: MODIFICATIONS[3]!.phase!, build: BUILD, name: 'Later', position: 1.5 }),
  added('modification', ...MODIFICATIONS),
  added('whatIf', { id: asId<WhatIfId>('w1'), build: BUILD, name: 'What if', note: '' }),
  added('assembly', {
    id: asId<AssemblyId>('a1'),
    build: BUILD,
    name: 'Cart',
    lots: [{ element: el('plate 2x3', 'chalk'), qty: 2 }],
  }),
  added('order', ...ORDERS.values()),
  added('tray', ...TRAYS.map((id, i) => ({ id, name: id, place: 'rack', position: i }))),
  added('price', ...PRICES),
  added('customColour', {
    id: asId<ColourId>('fog'),
    name: 'Fog',
    hex: '#aabbcc',
    family: 'grey',
    finish: 'solid',
  }),
  added('colourAlias', { id: 'old fog', colour: asId<ColourId>('fog') }),
  added('columnMemory', { id: 'a b', roles: ['name', 'qty'] }),
  INSPECTED,
  added('entry', ...randomLog(4, 60).entries),
);

const write = (handle: Handle, diff: Diff) => inTransaction(handle, () => writeDiff(handle.db, diff));
const all = (handle: Handle, type: RecordType) =>
  (readRecords(handle.db, type) as { id: string }[]).sort((a, b) => (a.id < b.id ? -1 : 1));

describe('records', () => {
  it.each(RECORD_TYPES.map((t) => [t]))('%s: what is written is what is read', (type) => {
    const handle = memory();
    write(handle, EVERYTHING);
    const wanted = EVERYTHING.added.filter((r) => r.type === type).map((r) => r.record as { id: string });
    expect(wanted.length).toBeGreaterThan(0);
    expect(all(handle, type)).toEqual(wanted.sort((a, b) => (a.id < b.id ? -1 : 1)));
    expect(readRecord(handle.db, type, wanted[0]!.id)).toEqual(wanted[0]);
    expect(readRecord(handle.db, type, 'none')).toBeUndefined();
  });

  it('are all taken out again, children first', () => {
    const handle = memory();
    write(handle, EVERYTHING);
    write(handle, { added: [], changed: [], removed: EVERYTHING.added });
    for (const type of RECORD_TYPES) expect(readRecords(handle.db, type)).toEqual([]);
    expect(handle.sqlite.prepare('select count(*) as n from movements').get()).toEqual({ n: 0 });
  });

  it('of a build are those of that build only', () => {
    const handle = memory();
    write(handle, EVERYTHING);
    const other = asId<typeof BUILD>('b2');
    write(
      handle,
      joinDiffs(
        added('build', { id: other, name: 'B', note: '', createdAt: '', archived: true }),
        added('zone', { ...ZONES[0]!, id: asId<ZoneId>('zz'), build: other }),
      ),
    );
    expect(readRecords(handle.db, 'zone', other).map((z) => z.id)).toEqual(['zz']);
    expect(readRecords(handle.db, 'build', other)).toHaveLength(1);
    expect(readRecords(handle.db, 'tray', other)).toHaveLength(TRAYS.length);
    expect([
      numbersIn(handle.db, 'modification', BUILD).top,
      numbersIn(handle.db, 'modification', other).top,
    ]).toEqual([4, 0]);
  });

  it('a change writes all fields of a record, movements too', () => {
    const handle = memory();
    write(handle, EVERYTHING);
    const old = readRecords(handle.db, 'entry', BUILD).find((e) => e.movements.length > 1)!;
    const movements = old.movements.slice(0, 1).map((m) => ({ ...m, qty: m.qty + 1, worth: null }));
    write(handle, changed('entry', old, { note: 'changed', movements }));
    expect(readRecord(handle.db, 'entry', old.id)).toEqual({ ...old, note: 'changed', movements });
  });

  it('take texts of any kind as they are', () => {
    const handle = memory();
    const name = `Robert'); DROP TABLE builds;-- \u202E 🧱 ${'x'.repeat(150)}`;
    write(handle, added('build', { id: BUILD, name, note: '\0\n"', createdAt: '', archived: false }));
    expect(readRecord(handle.db, 'build', BUILD)?.name).toBe(name);
  });
});

describe('a transaction', () => {
  it('keeps all of it or none', () => {
    const handle = memory();
    expect(() =>
      inTransaction(handle, () => {
        writeDiff(handle.db, EVERYTHING);
        throw new Error('no');
      }),
    ).toThrow('no');
    expect(readRecords(handle.db, 'build')).toEqual([]);
  });

  it('ends in an error when something is left without its parent', () => {
    const handle = memory();
    write(handle, EVERYTHING);
    expect(() =>
      write(handle, removed('modification', readRecord(handle.db, 'modification', 'm1')!)),
    ).toThrow(/FOREIGN KEY/);
    expect(() =>
      write(handle, added('entry', entry('lost', 'add', [], { build: asId<BuildId>('nowhere') }))),
    ).toThrow(/FOREIGN KEY/);
  });
});

describe('the file', () => {
  it('is kept in WAL with full sync, and opened again with what was in it', () => {
    const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'evarn-db-'));
    folders.push(folder);
    const first = openDatabase(folder, NOW);
    expect(first.sqlite.pragma('journal_mode', { simple: true })).toBe('wal');
    expect(first.sqlite.pragma('synchronous', { simple: true })).toBe(2);
    expect(first.sqlite.pragma('foreign_keys', { simple: true })).toBe(1);
    write(first, EVERYTHING);
    first.sqlite.close();
    const again = openDatabase(folder, NOW);
    expect(readRecords(again.db, 'zone')).toHaveLength(ZONES.length);
    expect(fs.readdirSync(path.join(folder, 'backups'))).toEqual([]);
    again.sqlite.close();
  });

  it('stamps names that sort by time', () => expect(stampOf(NOW)).toBe('20261124-100000-000'));
});

describe('the catalogue', () => {
  it('keeps sets with their lots, and a set of the same code takes the place of the old', () => {
    const handle = memory();
    const lot = { element: el('plate 2x3', 'chalk'), qty: 4, extra: false, zone: 'Deck' };
    const set = { code: 'T 1', name: 'Test', maker: 'Nobody', year: 2020 };
    writeSet(handle.db, set, [lot, { ...lot, qty: 1, extra: true, zone: '' }]);
    expect(readCatalogue(handle.db)).toEqual([{ ...set, pieces: 4, extras: 1 }]);
    writeSet(handle.db, { ...set, name: 'Test again' }, [lot]);
    expect(readCatalogue(handle.db)).toEqual([{ ...set, name: 'Test again', pieces: 4, extras: 0 }]);
    expect(readSetLots(handle.db, 'T 1')).toEqual([lot]);
    expect(readSetLots(handle.db, 'none')).toEqual([]);
  });
});
