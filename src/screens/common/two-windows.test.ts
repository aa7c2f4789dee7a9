import { describe, expect, it, vi } from 'vitest';
import { deleteEntries, markDone, markPlanned } from '@/core/workbench';
import { added, changed, FIGURES, invertDiff, STOCK_SCOPE, type Entry } from '@/core/ledger';
import { asId } from '@/core/shared/ids';
import { pick, seededRandom } from '@/core/shared/random';
import { el } from '@/core/testing/world';
import { unbalanced } from '@/data/balances';
import { perform } from '@/server/perform';
import { takeOpening, takeSurroundings } from '@/server/snapshot';
import { NOW } from '@/server/testing/workspace';
import { catchUp, entriesOf, outOf, say, settled, serverAtHand } from '../testing/server-at-hand';

const at = serverAtHand();

describe('two windows', () => {
  it('the second is told what the first did, when it next looks and when it next logs', async () => {
    const [one, two] = [at.server.window(), at.server.window()];
    say(one, '-2 plate 2x3 chalk');
    await settled(one);
    await catchUp(two);
    expect(two.getState().notice).toMatchObject({
      kind: 'elsewhere',
      text: 'Changed in another window: log -2 plate 2x3 chalk.',
    });
    expect(outOf(two)).toBe(2);
    say(one, '-3 brick 1x2 ash');
    await settled(one);
    say(two, '-1 arch 1x4 ash @gallery');
    await settled(two);
    await catchUp(two);
    expect(two.getState().notice?.text).toContain('log -3 brick 1x2 ash');
    expect(
      entriesOf(two)
        .map((e) => e.no)
        .sort(),
    ).toEqual([1, 2, 3]);
  });

  it('what is known, answered before a price that was heard of meanwhile, is asked for anew', async () => {
    const store = at.server.window(takeOpening);
    const element = el('arch 1x4', 'ash');
    let release = () => {};
    const held = new Promise<void>((done) => (release = done));
    let asked = 0;
    at.server.late = (path) => (path === '/api/knowledge?packed' && ++asked === 1 ? held : Promise.resolve());
    const learned = store.getState().learn();
    await vi.waitFor(() => expect(asked).toBe(1));
    const price = { id: element, element, newPrice: 31, usedPrice: 17 };
    const diff = added('price', price);
    const done = perform(
      at.server.t.handle,
      { id: asId('p1'), scope: STOCK_SCOPE, label: 'a price', diff },
      NOW,
    );
    expect(done.ok).toBe(true);
    await catchUp(store);
    expect(store.getState().workbench.records.price.get(asId(element))).toEqual(price);
    release();
    await learned;
    expect(store.getState().workbench.isComplete).toBe(true);
    expect(asked).toBe(2);
    expect(store.getState().workbench.records.price.get(asId(element))).toEqual(price);
  });

  it('what is known is taken as a browser kept it where there is nothing newer', async () => {
    const kept = JSON.stringify(takeSurroundings(at.server.t.handle, at.server.t.build));
    at.server.t.log('-2 plate 2x3 chalk');
    const store = at.server.window(takeOpening);
    vi.stubGlobal('fetch', (path: string, init?: { body?: string }) =>
      path.endsWith('/surroundings?packed')
        ? Promise.resolve(Response.json({ ok: true, value: JSON.parse(kept) as unknown }))
        : at.server.fetch(path, init),
    );
    await store.getState().learn();
    expect(store.getState().workbench.isComplete).toBe(true);
  });

  it('is not told of what it did itself', async () => {
    const store = at.server.window();
    say(store, '-2 plate 2x3 chalk');
    await settled(store);
    await catchUp(store);
    expect(store.getState().notice?.kind).toBe('done');
  });

  it('an answer that comes after books that have it, and what became of it, lays nothing on top of them', async () => {
    const [one, two] = [at.server.window(), at.server.window()];
    for (const how of ['a line', 'an undo'] as const) {
      say(one, '+3 brick 1x2 ash');
      await settled(one);
      const added = entriesOf(one).at(-1)!;
      if (how === 'an undo') {
        one.getState().perform(deleteEntries([added]));
        await settled(one);
      }
      let release = () => {};
      const held = new Promise<void>((done) => (release = done));
      at.server.late = (path) =>
        path === (how === 'a line' ? '/api/actions' : '/api/undo') ? held : Promise.resolve();
      // Done at the server, and not answered: a line, or the undo that brings a deleted entry back.
      const turned = how === 'a line' ? null : one.getState().undoOrRedo('undo');
      if (how === 'a line') say(one, '+4 brick 1x2 ash');
      await new Promise((done) => setTimeout(done, 20));
      at.server.late = async () => undefined;
      await catchUp(two);
      const there = entriesOf(two).at(-1)!;
      two.getState().perform(deleteEntries([there]));
      await settled(two);
      // The first window hears of what the other did, which does not fit, and so fetches the books.
      await catchUp(one);
      release();
      await settled(one);
      await turned;
      await catchUp(one);
      const truth = at.server.t.open().planned.figures({ of: 'build' });
      expect([how, one.getState().workbench.planned.figures({ of: 'build' }).in]).toEqual([how, truth.in]);
    }
  });

  it('what did not fit the fetched books is not taken back off them', async () => {
    const [one, two] = [at.server.window(), at.server.window()];
    say(two, '+4 tile 1x2 bark');
    await settled(two);
    // Logged and deleted at once, under the number that the other window's line has: the deletion will be refused.
    say(one, '+3 brick 1x2 ash');
    const entry = entriesOf(one).at(-1)!;
    one.getState().perform(deleteEntries([entry]));
    let release = () => {};
    const held = new Promise<void>((done) => (release = done));
    let sent = 0;
    at.server.late = (path) => (path === '/api/actions' && ++sent === 2 ? held : Promise.resolve());
    const mine = () => entriesOf(one).find((e) => e.id === entry.id);
    await vi.waitFor(() => expect(mine()?.no).toBe(2));
    one.getState().perform(deleteEntries([mine()!]));
    release();
    await settled(one);
    expect(mine()).toBeUndefined();
    expect(at.server.t.open().entries.some((e) => e.id === entry.id)).toBe(false);
  });

  it('what did not fit the fetched books and was carried out after all is laid on them', async () => {
    const one = at.server.window();
    say(one, '+3 brick 1x2 ash');
    await settled(one);
    const entry = entriesOf(one).at(-1)!;
    at.server.weather = (path) => (path === '/api/actions' ? 'lost' : 'fine');
    one.getState().perform({ label: 'note', diff: changed('entry', entry, { note: 'mine' }) });
    const theirs = changed('entry', entry, { note: 'theirs' });
    at.server.t.act({ label: 'note', diff: theirs });
    await catchUp(one);
    await vi.waitFor(() => expect(entriesOf(one).at(-1)!.note).toBe('theirs'));
    at.server.t.act({ label: 'note', diff: invertDiff(theirs) });
    at.server.weather = () => 'fine';
    await settled(one);
    await catchUp(one);
    await vi.waitFor(() => expect(entriesOf(one).at(-1)!.note).toBe('mine'));
    expect(at.server.t.open().entries.at(-1)!.note).toBe('mine');
  });

  it.each([1, 2, 3, 4, 5, 6, 102, 105])(
    'end with the same books, whatever both do at once (seed %i)',
    async (seed) => {
      const random = seededRandom(seed);
      const stock = [at.server.window(), at.server.window()];
      at.server.weather = () => (random() < 0.08 ? (random() < 0.5 ? 'lost' : 'answer lost') : 'fine');
      const lines = [
        '-2 plate 2x3 chalk',
        '+3 brick 1x2 ash',
        '~1 arch 1x4 ash > bark @gallery',
        '+4 tile 1x2 bark plan',
        '-1 brick 1x2 ash / +2 tile 2x2 slate',
        '!1 brick 1x2 ash',
      ];
      for (let n = 0; n < 25; n++) {
        const store = pick(random, stock);
        const { workbench, perform: act, source, undoOrRedo: back } = store.getState();
        const held = entriesOf(store);
        const chance = random();
        if (chance < 0.55 || held.length === 0) say(store, pick(random, lines));
        else if (chance < 0.65) act(deleteEntries([pick(random, held)]));
        else if (chance < 0.75) act(markPlanned([pick(random, held)]));
        else if (chance < 0.85) {
          const done = markDone(workbench, [pick(random, held)], source());
          if (done.ok && done.value.diff.changed.length > 0) act(done.value);
        } else if (chance < 0.92)
          act({ label: 'note', diff: changed('entry', pick(random, held), { note: `n${n}` }) });
        else if (chance < 0.96) await back(random() < 0.7 ? 'undo' : 'redo');
        else await catchUp(store);
        if (random() < 0.4) await new Promise((done) => setTimeout(done, 2));
      }
      at.server.weather = () => 'fine';
      for (const store of stock) await settled(store);
      for (const store of stock) {
        await catchUp(store);
        await settled(store);
      }
      const truth = at.server.t.open();
      expect(unbalanced(at.server.t.handle.db)).toEqual([]);
      // An answer is told before the books that it asks for have come: a slow machine shows them a moment later.
      const isSame = () => {
        for (const store of stock) {
          const { workbench } = store.getState();
          for (const f of FIGURES)
            expect([f, workbench.planned.figures({ of: 'build' })[f]]).toEqual([
              f,
              truth.planned.figures({ of: 'build' })[f],
            ]);
          const ids = (list: readonly Entry[]) => list.map((e) => `${e.id} ${e.state} ${e.note}`).sort();
          expect(ids(workbench.entries)).toEqual(ids(truth.entries));
        }
      };
      await vi.waitFor(isSame, { timeout: 8000, interval: 20 });
    },
    60_000,
  );
});
