import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { makeModFile } from '../formats';
import { BLANK_ENTRY, added, goneAccount, modelAccount, OUTSIDE, sparesAccount } from '../ledger';
import { grade } from '../places';
import { asId, type EntryId } from '../shared/ids';
import { ash, bark, greened, kelp, unroofed, wallAndRoof } from '../testing/wall-and-roof';
import { el } from '../testing/world';
import { did, TEST_BUILD, zoneId } from '../testing/workbench';
import { netOf, patchOf, readPatch, sizeOfPatch, type Patch } from './index';
import { mergeLines } from './merge-lines';
import type { PatchLine } from './patch';

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
