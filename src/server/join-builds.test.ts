import { describe, expect, it } from 'vitest';
import { piecesOn } from '@/core/workbench';
import { asId, type BuildId } from '@/core/shared/ids';
import { booksFault } from '@/data/check-books';
import { importBoxes } from './import-rows';
import { moveStoreyBetween } from './join-builds';
import { undoOrRedo } from './perform';
import { openWorkbench } from './snapshot';
import { streetBuilds } from './street-builds';
import { NOW, SMALL_BOX, testBuild } from './testing/workspace';

function twoBuilds() {
  const t = testBuild();
  const made = importBoxes(
    { ...SMALL_BOX, build: { name: 'Annex' }, request: 'annex-0001' },
    { handle: t.handle, newId: t.newId, now: NOW },
  );
  if (!made.ok) throw new Error('the annex is there');
  const annex = asId<BuildId>(made.value.build!);
  const pieces = (build: BuildId) => {
    const b = openWorkbench(t.handle, build)!;
    return [...piecesOn(b, b.built).values()].reduce((a, n) => a + n, 0);
  };
  const zone = () => t.open().zones.find((z) => z.name === 'Porch')!.id;
  const move = (request: string, more: object = {}) =>
    moveStoreyBetween(t.handle, { from: t.build, zone: zone(), to: annex, request, ...more }, t.newId, NOW);
  return { ...t, annex, pieces, move, zone };
}

describe('a storey that goes from build to build', () => {
  it('is one action, which either of them undoes; a second arrival moves nothing', () => {
    const { handle, build, annex, pieces, move } = twoBuilds();
    const [own, other] = [pieces(build), pieces(annex)];
    expect(move('move-0001')).toMatchObject({ ok: true });
    const gone = own - pieces(build);
    expect(gone).toBeGreaterThan(0);
    expect(pieces(annex)).toBe(other + gone);
    expect(booksFault(handle.db)).toBe(undefined);
    // A second arrival is answered as the first, and moves nothing twice.
    expect(move('move-0001')).toMatchObject({ ok: true });
    expect(pieces(annex)).toBe(other + gone);
    // Undone from the one that it went to.
    expect(undoOrRedo(handle, 'u1', annex, 'undo')).toMatchObject({ ok: true });
    expect([pieces(build), pieces(annex)]).toEqual([own, other]);
  });

  it('says why it can’t, and moves nothing', () => {
    const { build, annex, pieces, move } = twoBuilds();
    const before = [pieces(build), pieces(annex)];
    const fault = (more: object) => {
      const done = move('move-0002', more);
      return done.ok ? null : done.reason;
    };
    expect(fault({ to: build })).toEqual({ fault: 'same build' });
    expect(fault({ to: 'nowhere' })).toEqual({ fault: 'no such build' });
    expect(fault({ zone: 'nowhere' })).toEqual({ fault: 'no such zone' });
    expect([pieces(build), pieces(annex)]).toEqual(before);
  });
});

describe('builds on a street', () => {
  it('are told as planned, and those that are gone are left out', () => {
    const { handle, build, annex, pieces } = twoBuilds();
    const seen = streetBuilds(handle, [annex, 'gone', build, annex]);
    expect(seen.map((b) => [b.name, b.pieces])).toEqual([
      ['Annex', pieces(annex)],
      ['Test house', pieces(build)],
    ]);
    expect(seen[0]!.colours.length).toBeGreaterThan(0);
  });
});
