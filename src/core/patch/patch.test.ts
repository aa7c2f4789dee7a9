import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { briefOf, keepBrief } from '../brief';
import { makeModFile } from '../formats';
import { BLANK_ENTRY, added, goneAccount, modelAccount, OUTSIDE, sparesAccount } from '../ledger';
import { grade } from '../places';
import { asId, type ColourId, type EntryId } from '../shared/ids';
import { el } from '../testing/world';
import { did, makeWorkbench, planned, TEST_BUILD, testSource, zoneId } from '../testing/workbench';
import { addZone, type Workbench } from '../workbench';
import {
  dryRun,
  netOf,
  patchOf,
  readPatch,
  reversePatch,
  sizeOfPatch,
  type Patch,
  type PatchChoices,
} from './index';
import { mergeLines } from './merge-lines';
import type { PatchLine } from './patch';

const brick = (colour: string) => el('brick 2x4', colour);
const [ash, kelp, rust, bark] = [brick('ash'), brick('kelp'), brick('rust'), brick('bark')];
const bench = (lots: readonly string[] = ['20 brick 2x4 ash', '4 tile 2x2 bark']) =>
  makeWorkbench({
    zones: { Wall: lots, Roof: ['6 brick 2x4 bark'] },
    stock: ['3 brick 2x4 kelp'],
    prices: ['brick 2x4 kelp 12'],
  });
/** Eight grey bricks of the wall go green, two roof bricks go. */
const green = () => {
  const b = planned(bench(), testSource('a'), {
    kind: 'recolour',
    off: [{ element: ash, qty: 8 }],
    on: [{ element: kelp, qty: 8 }],
  });
  return planned(b, testSource('b'), {
    kind: 'remove',
    zone: zoneId('Roof'),
    off: [{ element: bark, qty: 2 }],
  });
};
const patch = (): Patch => patchOf(green(), { planned: true });
const run = (b: Workbench, p: Patch = patch(), choices: PatchChoices = {}) =>
  dryRun(b, p, choices, testSource('r'));
const states = (b: Workbench, p?: Patch, choices?: PatchChoices) =>
  run(b, p, choices).fitted.lines.map((l) => l.state);

describe('a patch', () => {
  it('tells what was done by zone and element, and holds no id', () => {
    const p = patch();
    expect(p).toMatchObject({
      schema: 'evarn-patch/1',
      sets: [{ name: 'Test', code: 'T' }],
      zones: [[], ['Wall'], ['Roof']],
      steps: [
        {
          title: 'Wall',
          lines: [{ zone: 1, from: 1, off: [{ element: ash, qty: 8 }], on: [{ element: kelp, qty: 8 }] }],
        },
        { lines: [{ zone: 2, from: 2, off: [{ element: bark, qty: 2 }], on: [] }] },
      ],
    });
    const text = JSON.stringify(p);
    for (const id of ['zone Wall', TEST_BUILD + '"', 'copy', 'tray']) expect(text).not.toContain(`"${id}`);
    expect(sizeOfPatch(p)).toEqual({ off: 10, on: 8, lines: 2 });
    expect(netOf(p).get(1)!.get(ash)).toBe(-8);
  });

  it('is as built or as planned, and of some modifications alone', () => {
    const b = green();
    expect(patchOf(b, { planned: false }).steps).toEqual([]);
    const [first] = b.modifications;
    expect(patchOf(b, { planned: true, only: new Set([first!.id]) }).steps).toHaveLength(1);
  });

  it('leaves out what is a matter of the copy', () => {
    const b = green();
    const before = JSON.stringify(patchOf(b, { planned: true }));
    const lost = (kind: 'missing' | 'renew' | 'regrade', movements: object[]) =>
      did(b, {
        label: '',
        diff: added('entry', {
          ...BLANK_ENTRY,
          ...{
            id: asId<EntryId>(kind),
            build: b.build,
            kind,
            no: 90,
            loggedAt: '2026',
            state: 'done' as const,
          },
          modification: b.modifications[0]!.id,
          movements: movements as never,
        }),
      });
    const piece = { element: ash, grade: grade('used'), qty: 1, worth: null };
    const wall = modelAccount(zoneId('Wall'));
    lost('missing', [{ ...piece, from: wall, to: goneAccount('missing') }]);
    lost('renew', [
      { ...piece, from: wall, to: sparesAccount(b.build) },
      { ...piece, from: OUTSIDE, to: wall, grade: grade('new') },
    ]);
    lost('regrade', [
      { ...piece, from: wall, to: OUTSIDE },
      { ...piece, from: OUTSIDE, to: wall, grade: grade('faded') },
    ]);
    expect(JSON.stringify(patchOf(b, { planned: true }))).toBe(before);
  });
});

describe('what was put on and taken off again', () => {
  const line = (off: [string, number][], on: [string, number][], zone = 1): PatchLine => {
    const lots = (l: [string, number][]) => l.map(([c, qty]) => ({ element: el('brick 2x4', c), qty }));
    return { zone, from: zone, off: lots(off), on: lots(on), moves: false, hidden: false };
  };
  const merged = (...lines: PatchLine[]) => mergeLines(lines.map((l, i) => ({ of: i, line: l })));

  it('is one line: a placeholder and what took its place', () => {
    const one = merged(line([['ash', 4]], [['kelp', 4]]), line([['kelp', 4]], [['rust', 4]]));
    expect(one).toEqual([{ of: 0, line: line([['ash', 4]], [['rust', 4]]) }]);
    expect(merged(line([['ash', 4]], [['kelp', 4]]), line([['kelp', 4]], [['ash', 4]]))).toEqual([]);
    expect(merged(line([], [['kelp', 4]]), line([['kelp', 1]], []))).toEqual([
      { of: 0, line: line([], [['kelp', 3]]) },
    ]);
    const other = merged(line([], [['kelp', 4]]), line([['kelp', 4]], [], 2));
    expect(other).toHaveLength(2);
  });

  it('changes nothing of what a patch comes to', () => {
    const colour = fc.constantFrom('ash', 'kelp', 'rust');
    const lots = fc.uniqueArray(fc.tuple(colour, fc.integer({ min: 1, max: 5 })), {
      maxLength: 2,
      selector: (x) => x[0],
    });
    const lines = fc.array(
      fc.record({ off: lots, on: lots, zone: fc.integer({ min: 1, max: 2 }), moves: fc.boolean() }),
      { maxLength: 8 },
    );
    fc.assert(
      fc.property(lines, (list) => {
        const all = list.map(({ off, on, zone, moves }) =>
          moves ? { ...line(off, [], zone), from: 3 - zone, moves } : line(off, on, zone),
        );
        const net = (ls: readonly PatchLine[]) =>
          [...netOf({ steps: [{ title: 'x', why: '', lines: [...ls] }] })]
            .flatMap(([z, m]) => [...m].map(([e, n]) => `${z} ${e} ${n}`))
            .sort();
        const after = merged(...all).map((m) => m.line);
        expect(net(after)).toEqual(net(all));
        expect(after.every((l) => l.off.length + l.on.length > 0)).toBe(true);
      }),
      { numRuns: 300 },
    );
  });
});

describe('a dry run', () => {
  it('fits a like copy, and says what has to be bought for it beyond its own parts', () => {
    const b = bench();
    const r = run(b);
    expect(r.fitted.count).toEqual({ fits: 2, 'done already': 0, 'left out': 0, conflict: 0 });
    expect(r.toGet).toEqual([{ element: kelp, qty: 5, went: [] }]);
    expect([r.cost, r.unpriced]).toEqual([60, 0]);
    did(b, r.command);
    expect(b.modifications.map((m) => m.title)).toEqual(['Wall', 'Wall']);
    expect(b.planned.balances.at(modelAccount(zoneId('Wall')), kelp)).toBe(8);
    expect(states(b)).toEqual(['done already', 'done already']);
  });

  it('says which part is not there, and what would do instead', () => {
    const few = bench(['5 brick 2x4 ash', '9 brick 2x4 rust']);
    const [first] = run(few).fitted.lines;
    expect(first).toMatchObject({
      state: 'conflict',
      conflict: {
        conflict: 'other colour',
        there: 5,
        lot: { element: ash, qty: 8 },
        instead: [{ element: rust, qty: 9 }],
      },
    });
    expect(run(few).entries).toHaveLength(1);
    const instead = run(few, patch(), { lines: { 0: 'use what is there' } });
    expect(instead.fitted.lines[0]).toMatchObject({
      state: 'fits',
      off: [
        { element: ash, qty: 5 },
        { element: rust, qty: 3 },
      ],
    });
    const far = run(few, patch(), { lines: { 0: 'as far as it goes' } }).fitted.lines[0];
    expect(far).toMatchObject({ state: 'fits', off: [{ qty: 5 }], on: [{ element: kelp, qty: 5 }] });
    expect(states(few, patch(), { lines: { 0: 'leave out' } })).toEqual(['left out', 'fits']);
    // On a wall that has none of them and no like of them there is nothing to go as far as.
    const none = bench(['4 tile 2x2 bark']);
    expect(run(none).fitted.lines[0]!.conflict).toMatchObject({ conflict: 'not there', there: 0 });
    expect(states(none, patch(), { lines: { 0: 'as far as it goes' } })[0]).toBe('left out');
  });

  it('says where the part is when it is not in its zone', () => {
    const b = bench(['4 tile 2x2 bark']);
    const roof = addLot(b, 'Roof', ash, 8);
    const [line] = run(roof).fitted.lines;
    expect(line!.conflict).toMatchObject({
      conflict: 'elsewhere',
      instead: [{ zone: zoneId('Roof'), qty: 8 }],
    });
    const from = run(roof, patch(), { lines: { 0: 'use what is there' } });
    did(roof, from.command);
    expect(roof.planned.balances.at(modelAccount(zoneId('Roof')), ash)).toBe(0);
    expect(roof.planned.balances.at(modelAccount(zoneId('Wall')), kelp)).toBe(8);
  });

  it('knows what was logged, whatever the copy lacks of the same parts', () => {
    const whole = makeWorkbench({ zones: { Wall: ['6 brick 2x4 rust'], Roof: [] } });
    const mod = patchOf(planned(whole, testSource('a'), { on: [{ element: rust, qty: 6 }] }), {
      planned: true,
    });
    const poor = makeWorkbench({ zones: { Wall: ['4 brick 2x4 rust'], Roof: [] } });
    expect(states(poor, mod)).toEqual(['fits']);
    did(poor, run(poor, mod).command);
    expect(states(poor, mod)).toEqual(['done already']);
  });

  it('asks what a zone is that is not there: another, or a new one', () => {
    const b = did(bench(), addZone(bench(), 'Loft', zoneId('root'), testSource('z')));
    const p: Patch = { ...patch(), zones: [[], ['Wall'], ['House', 'Attic']] };
    const unknown = run(b, p);
    expect(unknown.fitted.zones).toMatchObject([{ is: zoneId('Wall') }, { at: 2, is: null }]);
    expect(unknown.fitted.lines[1]!.conflict).toEqual({ conflict: 'zone unknown', path: ['House', 'Attic'] });
    expect(states(b, p, { zones: { 2: zoneId('Roof') } })).toEqual(['fits', 'fits']);
    const added = planned(bench(), testSource('c'), {
      zone: zoneId('Roof'),
      on: [{ element: rust, qty: 2 }],
    });
    const adding: Patch = { ...patchOf(added, { planned: true }), zones: p.zones };
    const made = run(b, adding, { zones: { 2: 'new' } });
    did(b, made.command);
    const attic = b.zones.find((z) => z.name === 'Attic');
    expect(b.zones.find((z) => z.id === attic!.parent)!.name).toBe('House');
    expect(b.planned.balances.at(modelAccount(attic!.id), rust)).toBe(2);
  });

  it('asks for a colour that nobody knows, and uses another where that is said', () => {
    const p = JSON.parse(JSON.stringify(patch()).replaceAll('|kelp', '|moss-own')) as Patch;
    expect(run(bench(), p).fitted.unknownColours).toEqual(['moss-own']);
    expect(run(bench(), p).fitted.lines[0]!.conflict).toEqual({
      conflict: 'colour unknown',
      colour: 'moss-own',
    });
    const instead = run(bench(), p, { colours: { 'moss-own': asId<ColourId>('rust') } });
    expect(instead.fitted.lines[0]).toMatchObject({ state: 'fits', on: [{ element: rust, qty: 8 }] });
  });

  it('says which house rule it would break', () => {
    const b = bench();
    did(
      b,
      keepBrief(b, { ...briefOf(b), rules: [{ rule: 'none of these colours', limit: 0, text: 'kelp' }] }),
    );
    expect(run(b).breaks.map((r) => r.id)).toEqual(['none of these colours']);
  });

  it('brings a mod back, and says what has gone meanwhile', () => {
    const b = green();
    const back = reversePatch(patchOf(b, { planned: true }));
    expect(back.name).toBe('Back: Test');
    expect(reversePatch(back).name).toBe('Test');
    const r = run(b, back);
    expect([r.fitted.count.fits, r.toGet]).toEqual([2, []]);
    // Five of the grey bricks were binned: they have to be found again.
    const gone = did(b, {
      label: '',
      diff: added('entry', {
        ...BLANK_ENTRY,
        ...{
          id: asId<EntryId>('bin'),
          build: b.build,
          kind: 'transfer',
          no: 99,
          loggedAt: '2026',
          state: 'done' as const,
        },
        movements: [
          {
            element: ash,
            grade: grade('used'),
            qty: 5,
            from: sparesAccount(b.build),
            to: goneAccount('binned'),
            worth: null,
          },
        ],
      }),
    });
    expect(run(gone, back).toGet).toEqual([{ element: ash, qty: 5, went: [{ how: 'binned', qty: 5 }] }]);
  });
});

/** Pieces that came with the box and lie in a zone. */
function addLot(b: Workbench, zone: string, element: typeof ash, qty: number): Workbench {
  const [unpacked] = b.entries;
  const movements = [
    ...unpacked!.movements,
    { ...unpacked!.movements[0]!, element, qty, to: modelAccount(zoneId(zone)) },
  ];
  const record = { ...BLANK_ENTRY, ...unpacked!, id: asId<EntryId>('more'), movements: movements.slice(-1) };
  return did(b, { label: '', diff: added('entry', record) });
}

describe('reading a patch', () => {
  const fault = (text: string) => {
    const read = readPatch(text);
    return read.ok ? null : read.reason;
  };
  const changed = (to: object) => JSON.stringify({ ...patch(), ...to });

  it('reads its own, and what earlier programs wrote of a build', () => {
    expect(readPatch(JSON.stringify(patch()))).toEqual({ ok: true, value: patch() });
    const b = green();
    const file = makeModFile(b.records, b.build, b.planned);
    const read = readPatch(JSON.stringify(file));
    expect(read.ok && read.value.steps).toEqual(patch().steps);
  });

  it('says what is wrong, and where', () => {
    expect(fault('{')).toEqual({ fault: 'not json' });
    expect(fault('[]')).toEqual({ fault: 'not a patch' });
    expect(fault('{"schema":"evarn-patch/9"}')).toEqual({ fault: 'newer version', version: 'evarn-patch/9' });
    expect(fault('{"schema":"evarn-mod/9"}')).toMatchObject({
      fault: 'mod file',
      of: { fault: 'newer version' },
    });
    expect(fault(changed({ zones: [] }))).toMatchObject({ fault: 'shape', where: 'zones' });
    expect(fault(changed({ extra: 1 }))).toMatchObject({ fault: 'shape' });
    expect(fault(changed({ zones: [[]] }))).toEqual({ fault: 'zone', where: 'steps.0.lines.0' });
    expect(fault(changed({ zones: [['Wall'], [], []] }))).toEqual({ fault: 'zone', where: 'zones.0' });
    const deep = '['.repeat(5000) + ']'.repeat(5000);
    expect(fault(`{"schema":"evarn-patch/1","name":${deep}}`)).toMatchObject({ fault: 'shape' });
    expect(fault(changed({ steps: [{ title: 'x', why: '', lines: [{ qty: -1 }] }] }))).toMatchObject({
      fault: 'shape',
      where: 'steps.0.lines.0.zone',
    });
  });
});
