import sharp from 'sharp';
import { beforeEach, describe, expect, it } from 'vitest';
import { deltaE00, averageReadings, type LabD65 } from '@/core/colour';
import { makeModFile, modFileDiff, readModFile } from '@/core/formats';
import { added, modelAccount } from '@/core/ledger';
import { elementKey } from '@/core/parts';
import { seededRandom } from '@/core/shared/random';
import { asId, countingIds, type ActionId, type ColourId, type PartId } from '@/core/shared/ids';
import { allThere, baseCopies, boxLots, completeness, countLot } from '@/core/inspection';
import { keepReading } from '@/core/fading';
import { el } from '@/core/testing/world';
import { writeTruth } from '@/data/hidden-truths';
import { readPhotoBytes } from '@/data/photos';
import { readRecords } from '@/data/records';
import { unbalanced } from '@/data/balances';
import { simulatedMeter, type MeterFault } from '@/simulated/colour-meter';
import { simulatedRegister } from '@/simulated/register';
import { askMeter, truthOf } from './meter';
import { perform } from './perform';
import { openWorkbench } from './snapshot';
import { importRegister } from './import-rows';
import { isPhoto, keepPhoto, smallerPhoto } from './keep-photo';
import { NOW, testBuild, type TestBuild } from './testing/workspace';

let t: TestBuild;
beforeEach(() => {
  t = testBuild();
});

describe('a photo that comes in', () => {
  const picture = (width: number, height: number) =>
    sharp({ create: { width, height, channels: 3, background: { r: 200, g: 180, b: 120 } } });

  it('is written anew: upright, no larger than it need be, with nothing of its file left', async () => {
    const bytes = await picture(2400, 1200)
      .jpeg()
      .withExif({ IFD0: { Artist: 'somebody', Copyright: 'secret' } })
      .withMetadata({ orientation: 6 })
      .toBuffer();
    const done = await keepPhoto(bytes, t.build, t.handle, 'photo-1');
    expect(done).toMatchObject({ ok: true, value: { width: 800, height: 1600 } });
    const kept = readPhotoBytes(t.handle.db, 'photo-1')!;
    const meta = await sharp(kept).metadata();
    expect(meta).toMatchObject({ format: 'webp', width: 800, height: 1600 });
    expect(meta.exif).toBeUndefined();
    expect(kept.includes(Buffer.from('secret'))).toBe(false);
    // Smaller where it is asked for, and never larger.
    expect(await sharp(await smallerPhoto(kept, 400)).metadata()).toMatchObject({ width: 200, height: 400 });
    expect(await smallerPhoto(kept, 1600)).toBe(kept);
  });

  it('is told by its content; what is none, damaged or too large is refused, and nothing is kept', async () => {
    const png = await picture(8, 8).png().toBuffer();
    const webp = await picture(8, 8).webp().toBuffer();
    expect([png, webp].map((b) => isPhoto(b))).toEqual([true, true]);
    const tries: [Uint8Array, string][] = [
      [Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'), 'not a photo'],
      [Buffer.from('GIF89a'), 'not a photo'],
      [new Uint8Array(), 'not a photo'],
      [png.subarray(0, 40), 'damaged'],
      [await picture(20_000, 7000).png().toBuffer(), 'too many pixels'],
    ];
    for (const [bytes, fault] of tries)
      expect(await keepPhoto(bytes, t.build, t.handle, 'photo-2')).toMatchObject({ reason: { fault } });
    expect(await keepPhoto(png, 'nobody', t.handle, 'photo-2')).toMatchObject({
      reason: { fault: 'no such build' },
    });
    expect(readPhotoBytes(t.handle.db, 'photo-2')).toBeUndefined();
  });

  it('sent twice is kept once', async () => {
    const png = await picture(8, 8).png().toBuffer();
    for (let n = 0; n < 2; n++) expect((await keepPhoto(png, t.build, t.handle, 'photo-3')).ok).toBe(true);
  });
});

describe('the simulated colour meter', () => {
  const truth: LabD65 = { l: 88, a: 1, b: 14, white: 'D65' };
  const meter = (seed: number, now = { at: 0 }) =>
    simulatedMeter({
      truth: () => truth,
      random: seededRandom(seed),
      now: () => now.at,
      wait: async () => {},
    });
  const target = { account: 'a', element: 'e', piece: 0 };
  const readMany = async (m: ReturnType<typeof meter>, n: number) => {
    const labs: LabD65[] = [];
    const faults: MeterFault[] = [];
    for (let i = 0; i < n; i++) {
      const answer = await m.read(target);
      if (answer.ok) labs.push(answer.value);
      else {
        faults.push(answer.fault);
        if (answer.fault === 'lost connection') await m.connect().then(() => m.calibrate());
      }
    }
    return { labs, faults };
  };

  it('calibrated, its mean comes to the truth; it fails now and then, and says how', async () => {
    const m = meter(1);
    expect(await m.read(target)).toEqual({ ok: false, fault: 'not connected' });
    expect(await m.calibrate()).toMatchObject({ ok: false });
    await m.connect();
    await m.calibrate();
    const { labs, faults } = await readMany(m, 300);
    expect(deltaE00(truth, averageReadings(labs).lab)).toBeLessThan(0.2);
    expect(averageReadings(labs).deviation).toBeGreaterThan(0.1);
    expect(new Set(faults)).toEqual(new Set(['no contact', 'lost connection']));
  });

  it('reads wrong when it was not calibrated, and drifts with the hours', async () => {
    const now = { at: 0 };
    const m = meter(2, now);
    await m.connect();
    const raw = averageReadings((await readMany(m, 12)).labs).lab;
    expect(deltaE00(truth, raw)).toBeGreaterThan(1.5);
    await m.calibrate();
    const fresh = averageReadings((await readMany(m, 12)).labs).lab;
    now.at = 2 * 3_600_000;
    const later = averageReadings((await readMany(m, 12)).labs).lab;
    expect(deltaE00(truth, later)).toBeGreaterThan(deltaE00(truth, fresh) + 0.5);
  });

  it('reads the demo’s hidden truth piece by piece, and the palette where there is none', () => {
    const account = 'model:z';
    const element = el('brick 2x4', 'chalk');
    writeTruth(t.handle.db, account, element, [truth, { ...truth, b: 20 }]);
    expect([0, 1, 2].map((piece) => truthOf(t.handle, { account, element, piece }).b)).toEqual([14, 20, 14]);
    const other = truthOf(t.handle, { account, element: el('brick 2x4', 'ash'), piece: 0 });
    expect(deltaE00(other, { l: 68.3, a: -0.7, b: -1.9, white: 'D65' })).toBeLessThan(3);
  });

  it('is asked by name, and answers with how it stands', async () => {
    const m = meter(5);
    expect(await askMeter(m, { ask: 'state' })).toMatchObject({ value: { state: { connected: false } } });
    expect(await askMeter(m, { ask: 'connect' })).toMatchObject({ value: { state: { connected: true } } });
    expect(await askMeter(m, { ask: 'calibrate' })).toMatchObject({ value: { state: { calibratedAt: 0 } } });
    expect(await askMeter(m, { ask: 'read', target })).toMatchObject({ ok: true });
  });
});

describe('the register', () => {
  it('is the same for ever, knows most common parts, and what the demo needs', () => {
    const look = (part: string, colour: string) => simulatedRegister.look(el(part, colour));
    expect(look('brick 1x2', 'ash')).toEqual(look('brick 1x2', 'ash'));
    expect(look('boat door 1x6', 'kelp')).toMatchObject({ made: true, to: null });
    expect(look('round plate 1x1', 'bark')).toEqual({ made: false });
    expect(simulatedRegister.look(elementKey('whatsit' as PartId, 'ash' as ColourId))).toEqual({
      made: false,
    });
    for (const made of ['chalk', 'plum', 'bone'].map((c) => look('plate 2x4', c)))
      if (made.made && made.to !== null) expect(made.to).toBeGreaterThan(made.from - 1);
  });

  it('takes imported rows, and a later row takes an earlier one’s place', () => {
    const element = el('arch 1x4', 'plum');
    const context = { handle: t.handle, newId: t.newId, now: NOW };
    const colours = { made: [], matched: [] };
    const take = (from: number, to: number | null) =>
      importRegister({ request: t.newId(), made: [{ element, from, to }], colours, memory: null }, context);
    expect(take(2001, 2009).ok && take(2003, null).ok).toBe(true);
    expect(readRecords(t.handle.db, 'madeIn')).toEqual([{ id: element, element, from: 2003, to: null }]);
  });
});

describe('an inspection in the workspace', () => {
  it('is counted, read and kept, the books balance, and a mod file carries it to another workspace', () => {
    const source = () => ({ newId: t.newId, now: NOW.toISOString() });
    const first = t.open();
    const lot = boxLots(first, baseCopies(first)[0]!.id)[0]!;
    const counted = countLot(
      first,
      lot,
      { ...allThere(lot), there: 37, broken: 1, faded: 5 },
      false,
      source(),
    );
    expect(counted.ok && t.act(counted.value).ok).toBe(true);
    const workbench = t.open();
    const account = modelAccount(lot.zone);
    const measured = {
      account,
      element: lot.element,
      grade: 'yellowed' as never,
      qty: 5,
      spread: 0.2,
      count: 5,
    };
    const lab: LabD65 = { l: 90, a: 0, b: 15, white: 'D65' };
    const kept = keepReading(
      workbench,
      { ...measured, lab, how: 'meter', made: 'm', trusted: true, doubt: '' },
      source(),
    );
    expect(kept.ok && t.act(kept.value).ok).toBe(true);
    const scheme = { id: lot.zone, build: t.build, zone: lot.zone, colours: ['chalk' as ColourId] };
    expect(t.act({ label: 'scheme', diff: added('scheme', scheme) }).ok).toBe(true);
    expect(unbalanced(t.handle.db)).toEqual([]);
    const there = t.open();
    expect(completeness(there)).toMatchObject({ expected: 112, there: 109, replacement: { pieces: 0 } });
    const text = JSON.stringify(makeModFile(there.records, t.build, there.planned));
    const read = readModFile(text);
    if (!read.ok) throw new Error(JSON.stringify(read.reason));
    const other = testBuild(undefined, 'other');
    const { diff, build } = modFileDiff(read.value, countingIds('in'), NOW.toISOString());
    const done = perform(
      other.handle,
      { id: asId<ActionId>('bring'), scope: build, label: 'bring', diff },
      NOW,
    );
    expect(done.ok).toBe(true);
    const arrived = openWorkbench(other.handle, build)!;
    expect(completeness(arrived)).toMatchObject({ expected: 112, there: 109, counted: 1 });
    expect([...arrived.records.scheme.values()].map((s) => s.colours)).toEqual([['chalk']]);
    const again = boxLots(arrived, baseCopies(arrived)[0]!.id).find((l) => l.line)!;
    const whole = countLot(arrived, again, allThere(again), true, { newId: countingIds('x'), now: '' });
    expect(whole.ok && whole.value.diff.removed.length).toBe(2);
  });
});
