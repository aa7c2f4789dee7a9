import { describe, expect, it, vi } from 'vitest';
import { deleteEntries } from '@/core/workbench';
import { asId } from '@/core/shared/ids';
import { currentRevision } from '@/data/actions';
import { perform } from '@/server/perform';
import { takeSnapshot } from '@/server/snapshot';
import { stepsFrom } from '@/server/steps';
import { NOW } from '@/server/testing/workspace';
import { post } from '../sending/answers';
import { Outbox, type Outcome, type Wish } from '../sending/outbox';
import { catchUp, entriesOf, outOf, say, settled, serverAtHand } from '../testing/server-at-hand';
import { makeBuildStore } from './build-store';

const at = serverAtHand();

describe('a window', () => {
  it('shows a line at once, and has it acknowledged afterwards', async () => {
    const store = at.server.window();
    say(store, '-2 plate 2x3 chalk');
    expect([outOf(store), store.getState().waiting]).toEqual([2, 1]);
    await settled(store);
    expect(at.server.t.open().built.figures({ of: 'build' }).out).toBe(2);
    await catchUp(store);
    expect(store.getState()).toMatchObject({
      revision: currentRevision(at.server.t.handle.db),
      notice: { kind: 'done' },
      undoRedo: { undo: { label: 'log -2 plate 2x3 chalk' } },
    });
  });

  it('keeps what cannot be sent, says so, and sends it again: it counts once', async () => {
    const store = at.server.window();
    const skies = ['lost', 'answer lost', 'fine'] as const;
    let n = 0;
    at.server.weather = (path) => (path === '/api/actions' ? skies[Math.min(n++, 2)]! : 'fine');
    say(store, '-2 plate 2x3 chalk');
    await settled(store);
    expect(at.server.unreached).toContain('network');
    expect(at.server.unreached.at(-1)).toBeNull();
    expect(store.getState().notice?.kind).toBe('done');
    expect(at.server.kept.size).toBe(0);
    expect([outOf(store), at.server.t.open().built.figures({ of: 'build' }).out]).toEqual([2, 2]);
  });

  it('shows at once what a window that is gone had not sent, and once what had arrived after all', async () => {
    const gone = at.server.window();
    const none = at.server.weather;
    at.server.weather = (path) => (path === '/api/actions' ? 'lost' : 'fine');
    say(gone, '-2 plate 2x3 chalk');
    await vi.waitFor(() => expect(at.server.kept.size).toBe(1));
    const [wish] = [...at.server.kept.values()] as [Extract<Wish, { kind: 'action' }>];
    const next = at.server.window();
    let answer!: (outcome: Outcome) => void;
    next.getState().showLeft(wish, new Promise((done) => (answer = done)));
    expect([outOf(next), next.getState().waiting]).toEqual([2, 1]);
    // Of another build it is none of this one's business.
    next
      .getState()
      .showLeft({ ...wish, action: { ...wish.action, scope: 'other' } } as never, new Promise(() => 0));
    expect(next.getState().waiting).toBe(1);
    at.server.weather = none;
    await settled(gone);
    const done = perform(at.server.t.handle, wish.action, NOW) as { ok: true; value: never };
    answer({ how: 'done', value: done.value });
    await settled(next);
    expect(outOf(next)).toBe(2);
    // A page that was fetched after it had arrived has it already.
    const later = at.server.window();
    later.getState().showLeft(wish, Promise.resolve({ how: 'done', value: done.value }));
    expect([outOf(later), later.getState().waiting]).toEqual([2, 0]);
    // What is not taken is taken back.
    const fresh = makeBuildStore(
      { ...takeSnapshot(at.server.t.handle, at.server.t.build)! },
      new Outbox({} as never),
    );
    const entry = entriesOf(fresh)[0]!;
    const off = deleteEntries([entry]);
    const refused: Wish = { kind: 'action', action: { ...wish.action, id: asId('x'), ...off } };
    fresh.getState().showLeft(refused, Promise.resolve({ how: 'refused', reason: null }));
    expect(outOf(fresh)).toBe(0);
    await settled(fresh);
    await vi.waitFor(() => expect(outOf(fresh)).toBe(2));
  });

  it('takes back what is refused, says why, and shows the books as they are', async () => {
    const [one, two] = [at.server.window(), at.server.window()];
    say(one, '-39 plate 2x3 chalk');
    await settled(one);
    say(two, '-5 plate 2x3 chalk');
    expect(outOf(two)).toBe(5);
    await settled(two);
    await vi.waitFor(() =>
      expect(two.getState().notice?.text).toMatch(/too few: 4 plate 2x3 chalk in Porch short/),
    );
    expect(outOf(two)).toBe(39);
    expect(two.getState().notice?.kind).toBe('refused');
  });

  it('goes on after a refusal with what was logged behind it', async () => {
    const [one, two] = [at.server.window(), at.server.window()];
    say(one, '-39 plate 2x3 chalk');
    await settled(one);
    say(two, '-5 plate 2x3 chalk');
    say(two, '-3 brick 1x2 ash');
    await settled(two);
    await vi.waitFor(() => expect(outOf(two)).toBe(42));
    expect(at.server.t.open().built.figures({ of: 'build' }).out).toBe(42);
  });

  it('undoes and redoes, and says what', async () => {
    const store = at.server.window();
    say(store, '-2 plate 2x3 chalk');
    await store.getState().undoOrRedo('undo');
    expect([outOf(store), store.getState().notice?.text]).toEqual([0, 'Undone: log -2 plate 2x3 chalk']);
    await store.getState().undoOrRedo('redo');
    expect([outOf(store), store.getState().notice?.text]).toEqual([2, 'Done again: log -2 plate 2x3 chalk']);
    await store.getState().undoOrRedo('redo');
    expect(store.getState().notice).toMatchObject({ kind: 'refused', text: 'There is nothing to redo.' });
  });

  it('takes back what fails on the server, says so, goes on, and tries it again when asked', async () => {
    const store = at.server.window();
    let broken = true;
    at.server.weather = (path) => (broken && path === '/api/actions' ? ((broken = false), 'broken') : 'fine');
    say(store, '-2 plate 2x3 chalk');
    say(store, '-3 brick 1x2 ash');
    await settled(store);
    expect(outOf(store)).toBe(3);
    expect(at.server.t.open().built.figures({ of: 'build' }).out).toBe(3);
    const { notice } = store.getState();
    expect(notice).toMatchObject({ kind: 'refused', again: { label: 'log -2 plate 2x3 chalk' } });
    expect(notice?.text).toContain('failed on the server');
    store.getState().perform(notice!.again!);
    await settled(store);
    expect([outOf(store), at.server.t.open().built.figures({ of: 'build' }).out]).toEqual([5, 5]);
    await store.getState().undoOrRedo('undo');
    expect(at.server.t.open().built.figures({ of: 'build' }).out).toBe(3);
  });

  it('keeps what is not sent yet past its own end, and what a second arrival finds done is done once', async () => {
    const store = at.server.window();
    at.server.weather = (path) => (path === '/api/actions' ? 'answer lost' : 'fine');
    say(store, '-2 plate 2x3 chalk');
    await vi.waitFor(() => expect(at.server.kept.size).toBe(1));
    await vi.waitFor(() => expect(at.server.t.open().built.figures({ of: 'build' }).out).toBe(2));
    // The window is closed here. The next one finds what it had kept, and sends it.
    const [wish] = [...at.server.kept.values()] as Parameters<Outbox['add']>[0][];
    at.server.weather = () => 'fine';
    const next = new Outbox({
      send: (w) => (w.kind === 'action' ? post('/api/actions', w.action) : post('/api/undo', w)),
      keep: async () => undefined,
      forget: async () => undefined,
      pause: async () => undefined,
    });
    expect(await next.add(wish!)).toMatchObject({ how: 'done', value: { label: 'log -2 plate 2x3 chalk' } });
    expect(at.server.t.open().built.figures({ of: 'build' }).out).toBe(2);
    await settled(store);
  });

  it('undo names what its button says: what another window did since is not undone instead', async () => {
    const [one, two] = [at.server.window(), at.server.window()];
    say(one, '-2 plate 2x3 chalk');
    await settled(one);
    say(two, '-3 brick 1x2 ash');
    await settled(two);
    await one.getState().undoOrRedo('undo');
    expect(one.getState().notice).toMatchObject({
      kind: 'refused',
      text: expect.stringContaining('Something else was done since: log -3 brick 1x2 ash'),
    });
    expect([outOf(one), at.server.t.open().built.figures({ of: 'build' }).out]).toEqual([5, 5]);
    // Now its button says what is last, and that is undone.
    expect(one.getState().undoRedo.undo?.label).toBe('log -3 brick 1x2 ash');
    await one.getState().undoOrRedo('undo');
    expect(outOf(one)).toBe(2);
  });

  it('undo goes through the queue: what was logged a moment before is what it takes back', async () => {
    const store = at.server.window();
    say(store, '-2 plate 2x3 chalk');
    say(store, '-3 brick 1x2 ash');
    await store.getState().undoOrRedo('undo');
    await settled(store);
    expect([outOf(store), at.server.t.open().built.figures({ of: 'build' }).out]).toEqual([2, 2]);
  });

  it('a delivery that could not be fetched is caught up with by the next one', async () => {
    const [one, two] = [at.server.window(), at.server.window()];
    const seen = two.getState().revision;
    for (const line of ['-1 plate 2x3 chalk', '-1 brick 1x2 ash', '-2 brick 1x2 ash']) {
      say(one, line);
      await settled(one);
    }
    const all = stepsFrom(at.server.t.handle, seen);
    at.server.weather = () => 'lost';
    await two.getState().takeSteps({ ...all, steps: all.steps!.slice(2) });
    expect([two.getState().revision, outOf(two)]).toEqual([seen, 0]);
    at.server.weather = () => 'fine';
    await two.getState().takeSteps({ ...all, steps: all.steps!.slice(2) });
    expect([two.getState().revision, outOf(two)]).toEqual([all.revision, 4]);
  });

  it('another workspace put in place is fetched anew', async () => {
    const store = at.server.window();
    say(store, '-2 plate 2x3 chalk');
    await settled(store);
    at.server.t.log('-5 plate 2x3 chalk');
    await store.getState().takeSteps({ workspace: 'another', revision: 1, steps: [] });
    expect(outOf(store)).toBe(7);
  });

  it('refuses by itself what it can see no longer fits', async () => {
    const store = at.server.window();
    say(store, '-2 plate 2x3 chalk');
    const [e] = entriesOf(store);
    store.getState().perform(deleteEntries([e!]));
    store.getState().perform(deleteEntries([e!]));
    expect(store.getState()).toMatchObject({ waiting: 2, notice: { kind: 'refused' } });
    await settled(store);
  });
});
