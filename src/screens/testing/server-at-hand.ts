import { afterEach, beforeEach, expect, vi } from 'vitest';
import { logLine, readLine } from '@/core/workbench';
import type { Action, Entry } from '@/core/ledger';
import { asId, type BuildId } from '@/core/shared/ids';
import { perform, undoOrRedo } from '@/server/perform';
import { takeKnowledge, takeOpening, takeSnapshot, takeSurroundings } from '@/server/snapshot';
import { stepsFrom } from '@/server/steps';
import { NOW, testBuild, type TestBuild } from '@/server/testing/workspace';
import { makeBuildStore, type BuildStore } from '../common/build-store';
import { post } from '../sending/answers';
import { fetchSteps } from '../sending/feed-client';
import { Outbox } from '../sending/outbox';

/** What the network does to a request: let it through, lose it, lose its answer, or the server fails. */
export type Sky = 'fine' | 'lost' | 'answer lost' | 'broken';

/** A server with one build, and windows on it with a network between that can be made to fail. */
export class ServerAtHand {
  t: TestBuild = testBuild();
  weather: (path: string) => Sky = () => 'fine';
  /** Holds an answer back that the server has given already. */
  late: (path: string) => Promise<void> = async () => undefined;
  /** What windows keep in the browser, by window and number. */
  readonly kept = new Map<string, unknown>();
  /** What a window says of its outbox: why the server cannot be reached. */
  readonly unreached: unknown[] = [];
  private windows = 0;

  /** The same use-cases behind the same paths. */
  private serve(path: string, body: unknown): unknown {
    const { t } = this;
    if (path === '/api/actions') return perform(t.handle, body as Action, NOW);
    if (path === '/api/undo') {
      const { request, scope, direction, action } = body as {
        request: string;
        scope: string;
        direction: 'undo' | 'redo';
        action: string;
      };
      return undoOrRedo(t.handle, request, scope, direction, action);
    }
    const snapshot = /^\/api\/builds\/(.+)\/snapshot$/.exec(path);
    if (path === '/api/knowledge?packed') return { ok: true, value: takeKnowledge(t.handle) };
    if (snapshot) return { ok: true, value: takeOpening(t.handle, asId<BuildId>(snapshot[1]!)) };
    const surroundings = /^\/api\/builds\/(.+)\/surroundings\?packed$/.exec(path);
    if (surroundings) {
      const build = asId<BuildId>(surroundings[1]!);
      return { ok: true, value: takeSurroundings(t.handle, build) };
    }
    const since = /^\/api\/steps\?since=(\d+)$/.exec(path);
    if (since) return { ok: true, value: stepsFrom(t.handle, Number(since[1])) };
    throw new Error(`no path ${path}`);
  }

  /** What `fetch` does while this server is at hand. */
  readonly fetch = async (path: string, init?: { body?: string }) => {
    await new Promise((done) => setTimeout(done, 0));
    const sky = this.weather(path);
    if (sky === 'lost') throw new TypeError('no network');
    // A fault of the server that nobody foresaw, with no body that a window knows.
    if (sky === 'broken') return { ok: false, json: () => Promise.reject(new SyntaxError('no JSON')) };
    const answer = JSON.parse(
      JSON.stringify(this.serve(path, init?.body ? JSON.parse(init.body) : undefined)),
    ) as unknown;
    if (sky === 'answer lost') throw new TypeError('no network');
    await this.late(path);
    return { ok: true, json: async () => answer };
  };

  /** Opens one more window on the build, with all that is known or with what a page opens with. */
  window(take = takeSnapshot): BuildStore {
    const name = `w${++this.windows}`;
    const outbox = new Outbox({
      send: (wish) => (wish.kind === 'action' ? post('/api/actions', wish.action) : post('/api/undo', wish)),
      keep: async (no, wish) => void this.kept.set(`${name}:${no}`, wish),
      forget: async (no) => void this.kept.delete(`${name}:${no}`),
      pause: () => new Promise((done) => setTimeout(done, 5)),
      onState: (state) => this.unreached.push(state.unreached),
    });
    return makeBuildStore(take(this.t.handle, this.t.build)!, outbox);
  }
}

/** A fresh server for each test of a file: `const at = serverAtHand()`, then `at.server`. */
export function serverAtHand(): { server: ServerAtHand } {
  const at = {} as { server: ServerAtHand };
  beforeEach(() => {
    at.server = new ServerAtHand();
    vi.stubGlobal('fetch', at.server.fetch);
  });
  afterEach(() => vi.unstubAllGlobals());
  return at;
}

/** What the stream of steps would have told a window by now. */
export const catchUp = async (store: BuildStore): Promise<void> => {
  const steps = await fetchSteps(store.getState().revision);
  if (steps) await store.getState().takeSteps(steps);
};

/** Waits until nothing of a window waits to be sent. */
export const settled = (store: BuildStore): Promise<void> =>
  vi.waitFor(() => expect(store.getState().waiting).toBe(0), { timeout: 8000, interval: 5 });

export const entriesOf = (store: BuildStore): Entry[] =>
  store.getState().workbench.entries.filter((e) => e.modification !== null);

/** Pieces off the model, as a window has them. */
export const outOf = (store: BuildStore): number =>
  store.getState().workbench.built.figures({ of: 'build' }).out;

/** Types a line in a window; false where it cannot be logged. */
export function say(store: BuildStore, line: string): boolean {
  const { workbench, perform: act, source } = store.getState();
  const reading = readLine(workbench, line, { modification: workbench.modifications[0]!, planned: false });
  if (reading.ready) act(logLine(workbench, reading, line, source()));
  return reading.ready;
}
