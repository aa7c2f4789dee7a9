import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { deleteEntries, logLine, markDone, markPlanned, readLine } from '@/core/workbench';
import { changed, FIGURES, type Action, type Entry } from '@/core/ledger';
import { asId, type BuildId } from '@/core/shared/ids';
import { pick, seededRandom } from '@/core/shared/random';
import { currentRevision, undoTargets } from '@/data/actions';
import { unbalanced } from '@/data/balances';
import { perform, undoOrRedo } from '@/server/perform';
import { takeSurroundings, takeKnowledge, takeOpening, takeSnapshot } from '@/server/snapshot';
import { stepsFrom } from '@/server/steps';
import { NOW, testBuild, type TestBuild } from '@/server/testing/workspace';
import { post } from '../sending/answers';
import { makeBuildStore, type BuildStore } from './build-store';
import { fetchSteps } from '../sending/feed-client';
import { Outbox, type Outcome, type Wish } from '../sending/outbox';

let t: TestBuild;
/** What the network does to each request: let it through, lose it, or lose its answer. */
let weather: (path: string) => 'fine' | 'lost' | 'answer lost' | 'broken' = () => 'fine';

/** The server, without the network between: the same use-cases behind the same paths. */
function serve(path: string, body: unknown): unknown {
  const wrap = (r: { ok: boolean }) => r;
  if (path === '/api/actions') return wrap(perform(t.handle, body as Action, NOW));
  if (path === '/api/undo') {
    const { request, scope, direction, action } = body as {
      request: string;
      scope: string;
      direction: 'undo' | 'redo';
      action: string;
    };
    return wrap(undoOrRedo(t.handle, request, scope, direction, action));
  }
  const snapshot = /^\/api\/builds\/(.+)\/snapshot$/.exec(path);
  if (path === '/api/knowledge') return { ok: true, value: takeKnowledge(t.handle) };
  if (snapshot) return { ok: true, value: takeOpening(t.handle, asId<BuildId>(snapshot[1]!)) };
  const surroundings = /^\/api\/builds\/(.+)\/surroundings$/.exec(path);
  if (surroundings) {
    const build = asId<BuildId>(surroundings[1]!);
    return {
      ok: true,
      value: { ...takeSurroundings(t.handle, build), undoRedo: undoTargets(t.handle.db, build) },
    };
  }
  const since = /^\/api\/steps\?since=(\d+)$/.exec(path);
  if (since) return { ok: true, value: stepsFrom(t.handle, Number(since[1])) };
  throw new Error(`no path ${path}`);
}

beforeEach(() => {
  t = testBuild();
  kept = new Map();
  unreached = [];
  weather = () => 'fine';
  late = async () => undefined;
  vi.stubGlobal('fetch', async (path: string, init?: { body?: string }) => {
    await new Promise((done) => setTimeout(done, 0));
    const sky = weather(path);
    if (sky === 'lost') throw new TypeError('no network');
    // A fault of the server that nobody foresaw, with no body that a window knows.
    if (sky === 'broken') return { ok: false, json: () => Promise.reject(new SyntaxError('no JSON')) };
    const answer = JSON.parse(
      JSON.stringify(serve(path, init?.body ? JSON.parse(init.body) : undefined)),
    ) as unknown;
    if (sky === 'answer lost') throw new TypeError('no network');
    await late(path);
    return { ok: true, json: async () => answer };
  });
});
afterEach(() => vi.unstubAllGlobals());

/** Holds an answer back that the server has given already. */
let late: (path: string) => Promise<void>;
/** What windows keep in the browser, by window and number. */
let kept: Map<string, unknown>;
let windows = 0;
/** What a window says of its outbox: why the server cannot be reached. */
let unreached: unknown[];

function window_(): BuildStore {
  const name = `w${++windows}`;
  const outbox = new Outbox({
    send: (wish) => (wish.kind === 'action' ? post('/api/actions', wish.action) : post('/api/undo', wish)),
    keep: async (no, wish) => void kept.set(`${name}:${no}`, wish),
    forget: async (no) => void kept.delete(`${name}:${no}`),
    pause: () => new Promise((done) => setTimeout(done, 5)),
    onState: (state) => unreached.push(state.unreached),
  });
  return makeBuildStore(takeSnapshot(t.handle, t.build)!, outbox);
}
/** What the stream of steps would have told a window by now. */
const catchUp = async (store: BuildStore) => {
  const steps = await fetchSteps(store.getState().revision);
  if (steps) await store.getState().takeSteps(steps);
};
const settled = (store: BuildStore) =>
  vi.waitFor(() => expect(store.getState().waiting).toBe(0), { timeout: 8000, interval: 5 });
const entries = (store: BuildStore): Entry[] =>
  store.getState().workbench.entries.filter((e) => e.modification !== null);
const out = (store: BuildStore) => store.getState().workbench.built.figures({ of: 'build' }).out;

function say(store: BuildStore, line: string): boolean {
  const { workbench, perform: act, source } = store.getState();
  const reading = readLine(workbench, line, { modification: workbench.modifications[0]!, planned: false });
  if (reading.ready) act(logLine(workbench, reading, line, source()));
  return reading.ready;
}

describe('a window', () => {
  it('shows a line at once, and has it acknowledged afterwards', async () => {
    const store = window_();
    say(store, '-2 plate 2x3 chalk');
    expect([out(store), store.getState().waiting]).toEqual([2, 1]);
    await settled(store);
    expect(t.open().built.figures({ of: 'build' }).out).toBe(2);
    await catchUp(store);
    expect(store.getState()).toMatchObject({
      revision: currentRevision(t.handle.db),
      notice: { kind: 'done' },
      undoRedo: { undo: { label: 'log -2 plate 2x3 chalk' } },
    });
  });

  it('keeps what cannot be sent, says so, and sends it again: it counts once', async () => {
    const store = window_();
    const skies = ['lost', 'answer lost', 'fine'] as const;
    let n = 0;
    weather = (path) => (path === '/api/actions' ? skies[Math.min(n++, 2)]! : 'fine');
    say(store, '-2 plate 2x3 chalk');
    await settled(store);
    expect(unreached).toContain('network');
    expect(unreached.at(-1)).toBeNull();
    expect(store.getState().notice?.kind).toBe('done');
    expect(kept.size).toBe(0);
    expect([out(store), t.open().built.figures({ of: 'build' }).out]).toEqual([2, 2]);
  });

  it('shows at once what a window that is gone had not sent, and once what had arrived after all', async () => {
    const gone = window_();
    const none = weather;
    weather = (path) => (path === '/api/actions' ? 'lost' : 'fine');
    say(gone, '-2 plate 2x3 chalk');
    await vi.waitFor(() => expect(kept.size).toBe(1));
    const [wish] = [...kept.values()] as [Extract<Wish, { kind: 'action' }>];
    const next = window_();
    let answer!: (outcome: Outcome) => void;
    next.getState().showLeft(wish, new Promise((done) => (answer = done)));
    expect([out(next), next.getState().waiting]).toEqual([2, 1]);
    // Of another build it is none of this one's business.
    next
      .getState()
      .showLeft({ ...wish, action: { ...wish.action, scope: 'other' } } as never, new Promise(() => 0));
    expect(next.getState().waiting).toBe(1);
    weather = none;
    await settled(gone);
    const done = perform(t.handle, wish.action, NOW) as { ok: true; value: never };
    answer({ how: 'done', value: done.value });
    await settled(next);
    expect(out(next)).toBe(2);
    // A page that was fetched after it had arrived has it already.
    const later = window_();
    later.getState().showLeft(wish, Promise.resolve({ how: 'done', value: done.value }));
    expect([out(later), later.getState().waiting]).toEqual([2, 0]);
    // What is not taken is taken back.
    const fresh = makeBuildStore({ ...takeSnapshot(t.handle, t.build)! }, new Outbox({} as never));
    const entry = entries(fresh)[0]!;
    const off = deleteEntries([entry]);
    const refused: Wish = { kind: 'action', action: { ...wish.action, id: asId('x'), ...off } };
    fresh.getState().showLeft(refused, Promise.resolve({ how: 'refused', reason: null }));
    expect(out(fresh)).toBe(0);
    await settled(fresh);
    await vi.waitFor(() => expect(out(fresh)).toBe(2));
  });

  it('takes back what is refused, says why, and shows the books as they are', async () => {
    const [one, two] = [window_(), window_()];
    say(one, '-39 plate 2x3 chalk');
    await settled(one);
    say(two, '-5 plate 2x3 chalk');
    expect(out(two)).toBe(5);
    await settled(two);
    await vi.waitFor(() =>
      expect(two.getState().notice?.text).toMatch(/too few: 4 plate 2x3 chalk in Porch short/),
    );
    expect(out(two)).toBe(39);
    expect(two.getState().notice?.kind).toBe('refused');
  });

  it('goes on after a refusal with what was logged behind it', async () => {
    const [one, two] = [window_(), window_()];
    say(one, '-39 plate 2x3 chalk');
    await settled(one);
    say(two, '-5 plate 2x3 chalk');
    say(two, '-3 brick 1x2 ash');
    await settled(two);
    await vi.waitFor(() => expect(out(two)).toBe(42));
    expect(t.open().built.figures({ of: 'build' }).out).toBe(42);
  });

  it('undoes and redoes, and says what', async () => {
    const store = window_();
    say(store, '-2 plate 2x3 chalk');
    await store.getState().undoOrRedo('undo');
    expect([out(store), store.getState().notice?.text]).toEqual([0, 'Undone: log -2 plate 2x3 chalk']);
    await store.getState().undoOrRedo('redo');
    expect([out(store), store.getState().notice?.text]).toEqual([2, 'Done again: log -2 plate 2x3 chalk']);
    await store.getState().undoOrRedo('redo');
    expect(store.getState().notice).toMatchObject({ kind: 'refused', text: 'There is nothing to redo.' });
  });

  it('takes back what fails on the server, says so, goes on, and tries it again when asked', async () => {
    const store = window_();
    let broken = true;
    weather = (path) => (broken && path === '/api/actions' ? ((broken = false), 'broken') : 'fine');
    say(store, '-2 plate 2x3 chalk');
    say(store, '-3 brick 1x2 ash');
    await settled(store);
    expect(out(store)).toBe(3);
    expect(t.open().built.figures({ of: 'build' }).out).toBe(3);
    const { notice } = store.getState();
    expect(notice).toMatchObject({ kind: 'refused', again: { label: 'log -2 plate 2x3 chalk' } });
    expect(notice?.text).toContain('failed on the server');
    store.getState().perform(notice!.again!);
    await settled(store);
    expect([out(store), t.open().built.figures({ of: 'build' }).out]).toEqual([5, 5]);
    await store.getState().undoOrRedo('undo');
    expect(t.open().built.figures({ of: 'build' }).out).toBe(3);
  });

  it('keeps what is not sent yet past its own end, and what a second arrival finds done is done once', async () => {
    const store = window_();
    weather = (path) => (path === '/api/actions' ? 'answer lost' : 'fine');
    say(store, '-2 plate 2x3 chalk');
    await vi.waitFor(() => expect(kept.size).toBe(1));
    await vi.waitFor(() => expect(t.open().built.figures({ of: 'build' }).out).toBe(2));
    // The window is closed here. The next one finds what it had kept, and sends it.
    const [wish] = [...kept.values()] as Parameters<Outbox['add']>[0][];
    weather = () => 'fine';
    const next = new Outbox({
      send: (w) => (w.kind === 'action' ? post('/api/actions', w.action) : post('/api/undo', w)),
      keep: async () => undefined,
      forget: async () => undefined,
      pause: async () => undefined,
    });
    expect(await next.add(wish!)).toMatchObject({ how: 'done', value: { label: 'log -2 plate 2x3 chalk' } });
    expect(t.open().built.figures({ of: 'build' }).out).toBe(2);
    await settled(store);
  });

  it('undo names what its button says: what another window did since is not undone instead', async () => {
    const [one, two] = [window_(), window_()];
    say(one, '-2 plate 2x3 chalk');
    await settled(one);
    say(two, '-3 brick 1x2 ash');
    await settled(two);
    await one.getState().undoOrRedo('undo');
    expect(one.getState().notice).toMatchObject({
      kind: 'refused',
      text: expect.stringContaining('Something else was done since: log -3 brick 1x2 ash'),
    });
    expect([out(one), t.open().built.figures({ of: 'build' }).out]).toEqual([5, 5]);
    // Now its button says what is last, and that is undone.
    expect(one.getState().undoRedo.undo?.label).toBe('log -3 brick 1x2 ash');
    await one.getState().undoOrRedo('undo');
    expect(out(one)).toBe(2);
  });

  it('undo goes through the queue: what was logged a moment before is what it takes back', async () => {
    const store = window_();
    say(store, '-2 plate 2x3 chalk');
    say(store, '-3 brick 1x2 ash');
    await store.getState().undoOrRedo('undo');
    await settled(store);
    expect([out(store), t.open().built.figures({ of: 'build' }).out]).toEqual([2, 2]);
  });

  it('a delivery that could not be fetched is caught up with by the next one', async () => {
    const [one, two] = [window_(), window_()];
    const seen = two.getState().revision;
    for (const line of ['-1 plate 2x3 chalk', '-1 brick 1x2 ash', '-2 brick 1x2 ash']) {
      say(one, line);
      await settled(one);
    }
    const all = stepsFrom(t.handle, seen);
    weather = () => 'lost';
    await two.getState().takeSteps({ ...all, steps: all.steps!.slice(2) });
    expect([two.getState().revision, out(two)]).toEqual([seen, 0]);
    weather = () => 'fine';
    await two.getState().takeSteps({ ...all, steps: all.steps!.slice(2) });
    expect([two.getState().revision, out(two)]).toEqual([all.revision, 4]);
  });

  it('another workspace put in place is fetched anew', async () => {
    const store = window_();
    say(store, '-2 plate 2x3 chalk');
    await settled(store);
    t.log('-5 plate 2x3 chalk');
    await store.getState().takeSteps({ workspace: 'another', revision: 1, steps: [] });
    expect(out(store)).toBe(7);
  });

  it('refuses by itself what it can see no longer fits', async () => {
    const store = window_();
    say(store, '-2 plate 2x3 chalk');
    const [e] = entries(store);
    store.getState().perform(deleteEntries([e!]));
    store.getState().perform(deleteEntries([e!]));
    expect(store.getState()).toMatchObject({ waiting: 2, notice: { kind: 'refused' } });
    await settled(store);
  });
});

describe('two windows', () => {
  it('the second is told what the first did, when it next looks and when it next logs', async () => {
    const [one, two] = [window_(), window_()];
    say(one, '-2 plate 2x3 chalk');
    await settled(one);
    await catchUp(two);
    expect(two.getState().notice).toMatchObject({
      kind: 'elsewhere',
      text: 'Changed in another window: log -2 plate 2x3 chalk.',
    });
    expect(out(two)).toBe(2);
    say(one, '-3 brick 1x2 ash');
    await settled(one);
    say(two, '-1 arch 1x4 ash @gallery');
    await settled(two);
    await catchUp(two);
    expect(two.getState().notice?.text).toContain('log -3 brick 1x2 ash');
    expect(
      entries(two)
        .map((e) => e.no)
        .sort(),
    ).toEqual([1, 2, 3]);
  });

  it('is not told of what it did itself', async () => {
    const store = window_();
    say(store, '-2 plate 2x3 chalk');
    await settled(store);
    await catchUp(store);
    expect(store.getState().notice?.kind).toBe('done');
  });

  it('an answer that comes after books that have it, and what became of it, lays nothing on top of them', async () => {
    const [one, two] = [window_(), window_()];
    for (const how of ['a line', 'an undo'] as const) {
      say(one, '+3 brick 1x2 ash');
      await settled(one);
      const added = entries(one).at(-1)!;
      if (how === 'an undo') {
        one.getState().perform(deleteEntries([added]));
        await settled(one);
      }
      let release = () => {};
      const held = new Promise<void>((done) => (release = done));
      late = (path) =>
        path === (how === 'a line' ? '/api/actions' : '/api/undo') ? held : Promise.resolve();
      // Done at the server, and not answered: a line, or the undo that brings a deleted entry back.
      const turned = how === 'a line' ? null : one.getState().undoOrRedo('undo');
      if (how === 'a line') say(one, '+4 brick 1x2 ash');
      await new Promise((done) => setTimeout(done, 20));
      late = async () => undefined;
      await catchUp(two);
      const there = entries(two).at(-1)!;
      two.getState().perform(deleteEntries([there]));
      await settled(two);
      // The first window hears of what the other did, which does not fit, and so fetches the books.
      await catchUp(one);
      release();
      await settled(one);
      await turned;
      await catchUp(one);
      const truth = t.open().planned.figures({ of: 'build' });
      expect([how, one.getState().workbench.planned.figures({ of: 'build' }).in]).toEqual([how, truth.in]);
    }
  });

  it.each([1, 2, 3, 4, 5, 6])(
    'end with the same books, whatever both do at once (seed %i)',
    async (seed) => {
      const random = seededRandom(seed);
      const stock = [window_(), window_()];
      weather = () => (random() < 0.08 ? (random() < 0.5 ? 'lost' : 'answer lost') : 'fine');
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
        const held = entries(store);
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
      weather = () => 'fine';
      for (const store of stock) await settled(store);
      for (const store of stock) {
        await catchUp(store);
        await settled(store);
      }
      const truth = t.open();
      expect(unbalanced(t.handle.db)).toEqual([]);
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
