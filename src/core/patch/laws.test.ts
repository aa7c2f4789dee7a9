import { describe, expect, it } from 'vitest';
import { modAtRandom, modelOf, piecesOf, randomSet } from '../testing/mods';
import { did, testSource } from '../testing/workbench';
import type { Workbench } from '../workbench';
import { comparePatch, dryRun, netOf, patchOf, patchSchema, reversePatch, type Patch } from './index';

const SEEDS = Array.from({ length: 60 }, (_, i) => i + 1);
const planned = { planned: true };
let n = 0;
const source = () => testSource(`p${n++}`);
/** Applies a patch, having seen that the dry run left everything as it was. */
function applied(b: Workbench, patch: Patch): Workbench {
  const before = { records: b.records, model: modelOf(b), rows: b.planned.balances.rows().length };
  const run = dryRun(b, patch, {}, source());
  expect(b.records).toBe(before.records);
  expect(modelOf(b)).toEqual(before.model);
  expect(run.fitted.count.conflict).toBe(0);
  expect(run.problems).toEqual([]);
  return did(b, run.command);
}

describe('the laws of patches', () => {
  it('a patch of a build applied to its own set gives its inventory, zone by zone', () => {
    for (const seed of SEEDS) {
      const build = modAtRandom(randomSet(seed), seed);
      expect([seed, modelOf(applied(randomSet(seed), patchOf(build, planned)))]).toEqual([
        seed,
        modelOf(build),
      ]);
    }
  });

  it('and to the same set that was never sorted into zones, the same pieces', () => {
    for (const seed of SEEDS.slice(0, 30)) {
      const build = modAtRandom(randomSet(seed), seed);
      const other = randomSet(seed, false);
      const patch = patchOf(build, planned);
      const run = dryRun(other, patch, {}, source());
      // What goes from zone to zone lies in none of them there.
      if (patch.steps.some((s) => s.lines.some((l) => l.moves))) continue;
      expect([seed, run.fitted.count.conflict]).toEqual([seed, 0]);
      expect(piecesOf(did(other, run.command))).toEqual(piecesOf(build));
    }
  });

  it('applied, then reversed, leaves the model as it was', () => {
    for (const seed of SEEDS) {
      const patch = patchOf(modAtRandom(randomSet(seed), seed), planned);
      const copy = randomSet(seed);
      const before = modelOf(copy);
      applied(copy, patch);
      applied(copy, reversePatch(patch));
      expect([seed, modelOf(copy)]).toEqual([seed, before]);
      // What was done and taken back comes to nothing.
      expect([...netOf(patchOf(copy, planned)).values()].flatMap((m) => [...m])).toEqual([]);
    }
  });

  it('reversed twice is itself', () => {
    for (const seed of SEEDS) {
      const patch = patchOf(modAtRandom(randomSet(seed), seed), planned);
      const twice = reversePatch(reversePatch(patch));
      const sorted = (p: Patch) => [...p.before].map((b) => JSON.stringify(b)).sort();
      expect({ ...twice, before: [] }).toEqual({ ...patch, before: [] });
      expect(sorted(twice)).toEqual(sorted(patch));
      const net = (p: Patch) => [...netOf(p)].map(([z, m]) => [z, [...m].sort()]);
      const back = net(reversePatch(patch)).map(([z, m]) => [
        z,
        (m as [string, number][]).map(([e, q]) => [e, -q]),
      ]);
      expect(new Map(back as never)).toEqual(new Map(net(patch) as never));
    }
  });

  it('two that have nothing in common commute', () => {
    for (const seed of SEEDS.slice(0, 40)) {
      const set = () => randomSet(seed);
      const one = patchOf(modIn(set(), seed, ['ash', 'bark'], 'amber'), planned);
      const two = patchOf(modIn(set(), seed + 1000, ['chalk', 'slate'], 'kelp'), planned);
      const ab = applied(applied(set(), one), two);
      const ba = applied(applied(set(), two), one);
      expect([seed, modelOf(ab)]).toEqual([seed, modelOf(ba)]);
    }
  });

  it('held against the build that it is of, all has been done already and nothing differs', () => {
    for (const seed of SEEDS) {
      const build = modAtRandom(randomSet(seed), seed);
      const patch = patchOf(build, planned);
      const { fitted, entries } = dryRun(build, patch, {}, source());
      expect([seed, fitted.count]).toEqual([
        seed,
        { fits: 0, 'done already': fitted.lines.length, 'left out': 0, conflict: 0 },
      ]);
      expect(entries).toEqual([]);
      expect(comparePatch(build, patch, true).every((c) => c.state === 'alike')).toBe(true);
      expect(comparePatch(randomSet(seed), patch, true).every((c) => c.state === 'not yet')).toBe(true);
    }
  });

  it('keeps to the published form, and comes back the same from text', () => {
    for (const seed of SEEDS.slice(0, 20)) {
      const patch = patchOf(modAtRandom(randomSet(seed), seed), planned);
      expect(patchSchema.parse(JSON.parse(JSON.stringify(patch)))).toEqual(patch);
    }
  });

  it('half done by hand, does the other half', () => {
    for (const seed of SEEDS) {
      const build = modAtRandom(randomSet(seed), seed);
      const patch = patchOf(build, planned);
      const half = { ...patch, steps: patch.steps.slice(0, Math.ceil(patch.steps.length / 2)) };
      const copy = did(randomSet(seed), dryRun(randomSet(seed), half, {}, source()).command);
      const run = dryRun(copy, patch, {}, source());
      if (run.fitted.count.conflict > 0) continue;
      expect([seed, piecesOf(did(copy, run.command))]).toEqual([seed, piecesOf(build)]);
    }
  });
});

/** A mod that takes off some colours alone, and puts on one. */
function modIn(b: Workbench, seed: number, off: readonly string[], on: string): Workbench {
  const all = modAtRandom(b, seed, [on]);
  const patch = patchOf(all, planned);
  const ofColour = (e: string) => off.some((c) => e.includes(`|${c}`)) || e.includes(`|${on}`);
  const steps = patch.steps.map((s) => ({
    ...s,
    lines: s.lines.filter((l) => [...l.off, ...l.on].every((p) => ofColour(p.element))),
  }));
  const fresh = randomSet(seed > 1000 ? seed - 1000 : seed);
  const run = dryRun(fresh, { ...patch, steps }, {}, source());
  return did(fresh, run.command);
}
