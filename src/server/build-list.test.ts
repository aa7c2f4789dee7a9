import { describe, expect, it } from 'vitest';
import { el } from '@/core/testing/world';
import { forgetSummaries, readSummaries, writeSummary } from '@/data/build-summaries';
import { recordTable } from '@/data/schema';
import { eq } from 'drizzle-orm';
import { undoOrRedo } from './perform';
import { readBuilds, BUILDS_PAGE } from './build-list';
import { testBuild } from './testing/workspace';

/** Looks until every build's figures are there, as the page does. */
function settled(handle: Parameters<typeof readBuilds>[0], query = {}): ReturnType<typeof readBuilds> {
  for (let looks = 0; looks < 1000; looks++) {
    const builds = readBuilds(handle, query);
    if (builds.waiting === 0) return builds;
  }
  throw new Error('its figures never came');
}

/** A workspace with so many builds, the last of them made last. */
function buildsOf(count: number) {
  const first = testBuild();
  const all = [first];
  for (let n = 2; n <= count; n++) all.push(testBuild(first.handle, `b${n}-`));
  all.forEach((t, n) =>
    first.handle.db
      .update(recordTable('build'))
      .set({ name: `House ${n + 1}`, createdAt: `2026-01-01T00:${String(n).padStart(2, '0')}:00Z` })
      .where(eq(recordTable('build').id, t.build))
      .run(),
  );
  return { handle: first.handle, all };
}

describe('the list of builds', () => {
  it('shows each build’s figures, and follows them', () => {
    const t = testBuild();
    expect(readBuilds(t.handle).builds).toMatchObject([
      {
        name: 'Test house',
        figures: { onModel: 112, net: 0, modifications: 1, planned: 0, placeholders: 0 },
      },
    ]);
    t.log('-2 plate 2x3 chalk; ?3 tile 2x2 ash for bark at 0.10; +1 brick 1x2 ash plan');
    const [build] = readBuilds(t.handle).builds;
    expect(build!.figures).toMatchObject({
      onModel: 113,
      net: 1,
      outOfPocket: 30,
      sparesLeft: 4,
      planned: 1,
      placeholders: 3,
    });
    expect(build!.figures!.most[0]).toEqual([el('brick 1x2', 'ash'), 60]);
    expect(build!.figures!.sets).toBe('Test house, second-hand');
    undoOrRedo(t.handle, 'u', t.build, 'undo');
    expect(readBuilds(t.handle).builds[0]!.figures).toMatchObject({
      onModel: 112,
      net: 0,
      planned: 0,
      placeholders: 0,
    });
  });

  it('comes a page at a time, newest first, and every build once', () => {
    const { handle } = buildsOf(BUILDS_PAGE + 3);
    const [first, second] = [settled(handle), settled(handle, { from: BUILDS_PAGE })];
    const names = [...first.builds, ...second.builds].map((b) => b.name);
    expect(first.builds).toHaveLength(BUILDS_PAGE);
    expect(names).toEqual(Array.from({ length: BUILDS_PAGE + 3 }, (_, n) => `House ${BUILDS_PAGE + 3 - n}`));
    expect(first).toMatchObject({ found: BUILDS_PAGE + 3, here: BUILDS_PAGE + 3, archived: 0 });
  });

  it('finds by name and by set, and keeps the archive apart from the sums', () => {
    const { handle, all } = buildsOf(4);
    for (const t of all) t.log('+1 brick 1x2 ash plan');
    handle.db
      .update(recordTable('build'))
      .set({ archived: true })
      .where(eq(recordTable('build').id, all[3]!.build))
      .run();
    expect(settled(handle)).toMatchObject({ found: 3, here: 3, archived: 1, planned: 3 });
    expect(settled(handle, { find: 'HOUSE 2' }).builds.map((b) => b.name)).toEqual(['House 2']);
    expect(settled(handle, { find: 'second-hand' }).found).toBe(3);
    expect(settled(handle, { archived: true }).builds.map((b) => b.name)).toEqual(['House 4']);
  });

  it('has every build at its place at once, works out one at least at each look, and says how many are still to come', () => {
    const { handle } = buildsOf(5);
    let before = 6;
    for (let looks = 0; looks < 5 && before > 0; looks++) {
      const { waiting, builds: shown } = readBuilds(handle);
      expect(waiting).toBeLessThan(before);
      expect(shown.map((b) => b.name)).toEqual(['House 5', 'House 4', 'House 3', 'House 2', 'House 1']);
      expect(shown.filter((b) => b.figures === null)).toHaveLength(waiting);
      before = waiting;
    }
    expect(before).toBe(0);
  });

  it('works out anew what another version kept, and what was forgotten', () => {
    const t = testBuild();
    const truth = readBuilds(t.handle).builds;
    const [kept] = readSummaries(t.handle.db);
    const lie = { ...(kept!.summary as object), onModel: 7 };
    writeSummary(t.handle.db, t.build, kept!.position, { ...lie, version: 0 });
    expect(readBuilds(t.handle).builds).toEqual(truth);
    writeSummary(t.handle.db, t.build, kept!.position, lie);
    expect(readBuilds(t.handle).builds[0]!.figures!.onModel).toBe(7);
    forgetSummaries(t.handle.db);
    expect(readBuilds(t.handle).builds).toEqual(truth);
  });
});
