import { gzipSync } from 'node:zlib';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { removed, stockAccount, type Entry } from '@/core/ledger';
import { newsLine, snapshotLines, Workbench, type BuildSnapshot } from '@/core/workbench';
import { makeWorkbench, TEST_BUILD, TEST_TRAY, used } from '@/core/testing/workbench';
import { el } from '@/core/testing/world';
import { askBench, askOpening, askOwnOpening, askSnapshot } from './snapshots';
import { turns } from './turns';

const snapshot: BuildSnapshot = {
  ...makeWorkbench({ zones: { Wall: ['12 brick 1x2 chalk'] } }).snapshotNow,
  complete: false,
  records: makeWorkbench({ zones: { Wall: ['12 brick 1x2 chalk'] } }).recordList(),
};
const asSent = JSON.parse(JSON.stringify(snapshot)) as BuildSnapshot;
const answering = (body: BodyInit, type: string, status = 200) =>
  vi.stubGlobal('fetch', () =>
    Promise.resolve(new Response(body, { status, headers: { 'content-type': type } })),
  );
const packed = (text: string) => new Uint8Array(gzipSync(text));
const lines = snapshotLines(snapshot).join('\n');

afterEach(() => vi.unstubAllGlobals());

describe('what a build opens with is read', () => {
  it.each([
    ['plain', JSON.stringify({ ok: true, value: snapshot }), 'application/json'],
    ['packed', packed(JSON.stringify({ ok: true, value: snapshot })), 'application/gzip'],
    ['packed in lines', packed(lines), 'application/gzip'],
    ['packed in lines, with an end', packed(`${lines}\n`), 'application/gzip'],
  ])('%s', async (_, body, type) => {
    answering(body, type);
    expect(await askSnapshot(TEST_BUILD)).toEqual(asSent);
  });

  it('with what was done since behind it, as if it had been taken after that', async () => {
    const lot = snapshot.records.find((r) => r.type === 'entry')!;
    const undoRedo = { undo: { id: 'a1', label: 'Taken away' }, redo: null };
    const news = {
      revision: snapshot.revision + 3,
      undoRedo,
      diffs: [removed('entry', lot.record as Entry)],
    };
    answering(packed(`${lines}\n${newsLine(news)}`), 'application/gzip');
    const read = await askSnapshot(TEST_BUILD);
    expect(read).toMatchObject({ revision: news.revision, undoRedo });
    expect(read!.records).toEqual(asSent.records.filter((r) => r.record.id !== lot.record.id));
    expect((await askBench(TEST_BUILD))?.built.figures({ of: 'build' }).onModel).toBe(0);
  });

  it('and its books are opened', async () => {
    answering(packed(lines), 'application/gzip');
    expect((await askBench(TEST_BUILD))?.built.figures({ of: 'build' }).onModel).toBe(12);
  });

  describe('by a page that has nothing yet', () => {
    const price = makeWorkbench({ zones: {}, prices: ['brick 1x2 chalk 14', 'tile 1x2 ash 9'] });
    const knowledge = { prices: [...price.records.price.values()], madeIn: [], since: 1 };
    const element = el('tile 1x2', 'ash');
    const around = [{ account: stockAccount(TEST_TRAY), element, grade: used, qty: 5 }];
    const said: Record<string, unknown> = {
      '/api/knowledge?packed': { ok: true, value: knowledge },
      [`/api/builds/${TEST_BUILD}/surroundings?packed`]: {
        ok: true,
        value: {
          surroundings: around,
          plannedElsewhere: [],
          undoRedo: { undo: null, redo: null },
          revision: snapshot.revision,
          knownSince: 1,
        },
      },
      // Under a path of its own: fetching anew must never be answered by what the browser kept.
      [`/api/builds/${TEST_BUILD}/snapshot?opening&packed`]: { ok: true, value: snapshot },
    };
    const serving = (without?: string) =>
      vi.stubGlobal('fetch', (path: string) =>
        path === without || !(path in said)
          ? Promise.reject(new TypeError('no network'))
          : Promise.resolve(Response.json(said[path])),
      );

    it('with what the workspace knows and has, as a bench that learns it later', async () => {
      serving();
      const { workbench } = (await askOpening(TEST_BUILD))!;
      const later = new Workbench({ ...asSent, complete: false });
      later.takeKnowledge(knowledge, { surroundings: around, plannedElsewhere: [] });
      expect(workbench.isComplete && later.isComplete).toBe(true);
      const rows = (w: Workbench) => w.planned.balances.rows().sort((a, b) => a.qty - b.qty);
      expect(rows(workbench)).toEqual(rows(later));
      expect([...workbench.records.price]).toEqual([...later.records.price]);
      expect(workbench.priceOf(element, used)).toBe(later.priceOf(element, used));
      expect(workbench.priceOf(element, used)).toBeGreaterThan(0);
      expect(workbench.callContext().atHand(element)).toBe(true);
    });

    const left = said[`/api/builds/${TEST_BUILD}/surroundings?packed`] as { value: object };
    const since = (revision: number, knownSince: number, knowsSince: number, qty: number) => ({
      ...said,
      '/api/knowledge?packed': { ok: true, value: { ...knowledge, since: knowsSince } },
      [`/api/builds/${TEST_BUILD}/surroundings?packed`]: {
        ok: true,
        value: { ...left.value, revision, knownSince, surroundings: [{ ...around[0]!, qty }] },
      },
    });
    /** Answers as of one moment and, for what is asked once more, of a later one. */
    const answeringInTurn = (...moments: Record<string, unknown>[]) => {
      const times = new Map<string, number>();
      vi.stubGlobal('fetch', (path: string) => {
        const n = times.get(path) ?? 0;
        times.set(path, n + 1);
        return Promise.resolve(Response.json((moments[n] ?? moments.at(-1)!)[path]));
      });
      return times;
    };
    const own = async () => {
      const { workbench } = (await askOpening(TEST_BUILD))!;
      return workbench.built.balances.rows().find((r) => r.element === element)?.qty;
    };

    it.each([
      ['what others leave it', since(snapshot.revision - 1, 1, 1, 5)],
      ['what the workspace knows', since(snapshot.revision + 1, 2, 1, 5)],
    ])('and with %s as of a step that the build has too: what is older is asked for anew', async (_, old) => {
      answeringInTurn(old, since(snapshot.revision, 1, 1, 8));
      expect(await own()).toBe(8);
    });

    it('and once where it is of the same step, or kept by a browser that has no newer', async () => {
      const fresh = answeringInTurn(said);
      expect(await own()).toBe(5);
      expect(Math.max(...fresh.values())).toBe(1);
      answeringInTurn(since(snapshot.revision - 1, 1, 1, 5));
      expect(await own()).toBe(5);
    });

    it('or with its own alone, and asks for nothing else: a line can be typed with that', async () => {
      const times = answeringInTurn(said);
      const { snapshot: read, workbench } = (await askOwnOpening(TEST_BUILD))!;
      expect([...times.keys()]).toEqual([`/api/builds/${TEST_BUILD}/snapshot?opening&packed`]);
      expect(read).toEqual(asSent);
      expect(workbench.isComplete).toBe(false);
      expect(workbench.planned.figures({ of: 'build' }).onModel).toBe(12);
      serving(`/api/builds/${TEST_BUILD}/snapshot?opening&packed`);
      expect(await askOwnOpening(TEST_BUILD)).toBeUndefined();
    });

    it('without it where it cannot be had, to learn it later; and not at all without its own', async () => {
      serving('/api/knowledge?packed');
      const opened = await askOpening(TEST_BUILD);
      expect(opened?.workbench.isComplete).toBe(snapshot.complete);
      expect(opened?.workbench.records.price.size).toBe(0);
      serving(`/api/builds/${TEST_BUILD}/snapshot?opening&packed`);
      expect(await askOpening(TEST_BUILD)).toBeUndefined();
    });
  });

  it.each([
    ['a refusal', '{"ok":false,"reason":{"refused":"no such build"}}', 'application/json', 404],
    ['a page that is none', '<html>', 'text/html', 502],
    ['lines that broke off', packed(lines.slice(0, -40)), 'application/gzip', 200],
    ['a pack that broke off', packed(lines).slice(0, -40), 'application/gzip', 200],
    ['nothing', packed(''), 'application/gzip', 200],
  ])('not at all from %s', async (_, body, type, status) => {
    answering(body, type, status);
    expect(await askSnapshot(TEST_BUILD)).toBeUndefined();
    expect(await askBench(TEST_BUILD)).toBeUndefined();
  });
});

it('a pause comes back at once until a turn was taken, and then lets in what waits', async () => {
  let came = false;
  setTimeout(() => (came = true), 0);
  const pause = turns();
  await pause();
  expect(came).toBe(false);
  for (let i = 0; i < 50 && !came; i++) {
    const until = performance.now() + 20;
    while (performance.now() < until);
    await pause();
  }
  expect(came).toBe(true);
});
