import type { BuildSnapshot } from '@/core/bench';
import type { Action } from '@/core/ledger';
import type { Result } from '@/core/shared/result';
import type { Performed } from '@/server/perform';

type Answer<T> = Result<T, unknown>;

async function post<T>(path: string, body: unknown): Promise<Answer<T>> {
  const response = await fetch(path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  return (await response.json()) as Answer<T>;
}

const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));

/**
 * Sends an action until it is answered. It carries its own id, so that one sent twice counts once; while the server
 * cannot be reached the line stays on the screen and `tell` says so.
 */
export async function sendAction(action: Action, tell: (text: string) => void): Promise<Answer<Performed>> {
  for (let tries = 0; ; tries++) {
    try {
      return await post<Performed>('/api/actions', action);
    } catch {
      tell('The server cannot be reached. What you logged is kept here and sent again.');
      await pause(Math.min(10_000, 500 * 2 ** tries));
    }
  }
}

export async function sendTurn(wish: {
  request: string;
  scope: string;
  direction: 'undo' | 'redo';
}): Promise<Answer<Performed>> {
  try {
    return await post<Performed>('/api/turns', wish);
  } catch {
    return { ok: false, reason: { refused: 'unreachable' } };
  }
}

export async function fetchSnapshot(build: string): Promise<BuildSnapshot | undefined> {
  return get<BuildSnapshot>(`/api/builds/${build}/snapshot`);
}

/** Something that any window did. */
export interface Step {
  readonly request: string;
  readonly label: string;
  readonly direction: string;
}

interface Steps {
  readonly revision: number;
  readonly steps: readonly Step[];
}

export const fetchSteps = (since: number): Promise<Steps | undefined> =>
  get<Steps>(`/api/steps?since=${since}`);

async function get<T>(path: string): Promise<T | undefined> {
  try {
    const answer = (await (await fetch(path)).json()) as Answer<T>;
    return answer.ok ? answer.value : undefined;
  } catch {
    return undefined;
  }
}
