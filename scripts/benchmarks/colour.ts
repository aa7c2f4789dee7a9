import { auditColours, budgetCurve, type Choice } from '@/core/mismatch';
import { planRecolour } from '@/core/recolouring';
import { Workbench } from '../../src/core/workbench';
import { PALETTE } from '../../src/core/colour';
import { paintPhoto, readPhoto } from '../../src/core/photo';
import { matchByAge, type AgeBatch } from '@/core/fading';
import type { ColourId } from '../../src/core/shared/ids';
import { between, seededRandom } from '../../src/core/shared/random';
import { openDatabase } from '../../src/data/database';
import { readRecords } from '../../src/data/records';
import { seedDemo } from '../../src/demo/seed';
import { takeSnapshot } from '../../src/server/snapshot';
import { simulatedRegister } from '../../src/simulated/register';
import { say, summary, timed } from './measure';

/** Figures of colour: audit, budget, match by age, recolour, photographs. */
export function measureColour(): void {
  const handle = openDatabase(':memory:', new Date());
  seedDemo(handle);
  const ship = readRecords(handle.db, 'build').find((b) => /Reach/.test(b.name));
  const snapshot = ship && takeSnapshot(handle, ship.id);
  if (!snapshot) throw new Error('the demo has an icebreaker');
  const workbench = new Workbench(snapshot);
  const audit = timed(10, () => void auditColours(workbench, simulatedRegister, 2026));
  say('audit of the icebreaker, 7,812 pieces', 'under 300 ms', summary(audit));
  const pairs = new Map([
    ['brick-red', 'kelp'],
    ['berry', 'bottle'],
    ['chalk', 'dune'],
  ] as [ColourId, ColourId][]);
  const map = { pairs, zones: null, leavePrints: true, leaveHidden: true, leaveRetired: false };
  const whole = timed(10, () => void planRecolour(workbench, map, simulatedRegister, 2026));
  say('recolour of the icebreaker planned', 'under 1 s', summary(whole));
  handle.sqlite.close();
  const random = seededRandom(2);
  const choices = Array.from({ length: 400 }, (): Choice => ({
    cost: between(random, 0, 250),
    value: 1 + random() * 200,
  }));
  say(
    'budget curve of 400 fixes, £500 in all',
    'under 300 ms',
    summary(timed(8, () => void budgetCurve(choices))),
  );
  const batches = Array.from({ length: 200 }, (_, i): AgeBatch => {
    const t = random();
    const off = () => (random() - 0.5) * 1.5;
    const lab = {
      l: 94 - 4 * t + off(),
      a: -1 + 2 * t + off(),
      b: 4 + 18 * t + off(),
      white: 'D65' as const,
    };
    return { id: `${i}`, shape: 'brick', qty: 1, seenNow: i < 60 ? 1 : 0, lab };
  });
  const match = timed(5, () => void matchByAge(new Map([['brick', 60]]), batches));
  say('match by age, 60 places among 200 pieces', 'under 1 s', summary(match));
  measurePhoto();
}

function measurePhoto(): void {
  const [width, height] = [4000, 3000];
  const lab = (name: string) => PALETTE.find((c) => c.name === name)!.lab;
  const patches = ['ash', 'chalk', 'kelp', 'dune', 'bark', 'sky'].map((name, i) => ({
    x: 100 + (i % 3) * 1300,
    y: 100 + Math.floor(i / 3) * 1400,
    width: 1100,
    height: 1200,
    lab: i === 0 ? { l: 49.5, a: 0, b: 0, white: 'D65' as const } : lab(name),
  }));
  const scene = {
    width,
    height,
    background: lab('soot'),
    patches,
    kelvin: 4000,
    exposure: 0.85,
    noise: 0.01,
  };
  const pixels = paintPhoto(scene, seededRandom(3));
  const disc = (p: (typeof patches)[number]) => ({ x: p.x + 550, y: p.y + 600, radius: 300 });
  const [card, ...spots] = patches.map(disc);
  const marks = { cards: [card!], card: 'grey' as const, spots };
  say(
    'photo of 12 megapixels read, unpacking apart',
    'under 2 s',
    summary(timed(6, () => void readPhoto(pixels, marks))),
  );
}
