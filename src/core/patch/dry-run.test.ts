import { describe, expect, it } from 'vitest';
import { briefOf, keepBrief } from '../brief';
import { BLANK_ENTRY, added, goneAccount, modelAccount, sparesAccount } from '../ledger';
import { grade } from '../places';
import { asId, type ColourId, type EntryId } from '../shared/ids';
import { ash, greened, kelp, rust, unroofed, wallAndRoof } from '../testing/wall-and-roof';
import { did, makeWorkbench, planned, testSource, zoneId } from '../testing/workbench';
import { addZone, type Workbench } from '../workbench';
import { dryRun, patchOf, reversePatch, type Patch, type PatchChoices } from './index';

const bench = (Wall: readonly string[] = ['20 brick 2x4 ash', '4 tile 2x2 bark']) =>
  wallAndRoof({
    Wall,
    Roof: ['6 brick 2x4 bark'],
    stock: ['3 brick 2x4 kelp'],
    prices: ['brick 2x4 kelp 12'],
  });
/** Eight grey bricks of the wall go green, two roof bricks go. */
const green = () => unroofed(greened(bench(), 8), 2);
const patch = (): Patch => patchOf(green(), { planned: true });
const run = (b: Workbench, p: Patch = patch(), choices: PatchChoices = {}) =>
  dryRun(b, p, choices, testSource('r'));
const states = (b: Workbench, p?: Patch, choices?: PatchChoices) =>
  run(b, p, choices).fitted.lines.map((l) => l.state);

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
