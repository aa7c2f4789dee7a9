import type { Result } from '@/core/shared/result';
import type { Trouble } from '@/core/shared/trouble';

/** What came of a request: an answer, or that nobody could be reached. */
export type Reached<T> =
  | { readonly reached: true; readonly answer: Result<T, unknown> }
  | { readonly reached: false; readonly why: NotReached };

/** Why a request could not be answered just now: there is no network, or the workspace is in trouble. */
export type NotReached = 'network' | Trouble['trouble'];

/**
 * Reads what a server said. Only a network that failed, and a workspace that cannot be worked with just now, are "not
 * reached"; whatever else comes is an answer, also where it is not in the shape that was agreed on, since asking the same
 * again would be answered the same.
 */
export async function readAnswer<T>(
  ask: () => Promise<Response>,
  read = (r: Response) => unpacked(r).json() as Promise<Result<T, unknown>>,
): Promise<Reached<T>> {
  let response: Response;
  try {
    response = await ask();
  } catch {
    return { reached: false, why: 'network' };
  }
  try {
    const said = await read(response);
    if (said.ok) return { reached: true, answer: said };
    const reason = said.reason as { refused?: string; trouble?: Trouble } | undefined;
    if (reason?.refused === 'trouble' && reason.trouble)
      return { reached: false, why: reason.trouble.trouble };
    return { reached: true, answer: { ok: false, reason: reason ?? { refused: 'failed' } } };
  } catch {
    // A body that broke off is a connection that did; one that is no JSON is a failure of the server.
    return response.ok
      ? { reached: false, why: 'network' }
      : { reached: true, answer: { ok: false, reason: { refused: 'failed' } } };
  }
}

const PACKED = 'application/gzip';

/** What an asker says that can read packed answers. */
export const TAKES_PACKED = { accept: `${PACKED}, application/json` };

/** Large answers come packed. */
export const unpacked = (response: Response): Response =>
  response.headers?.get('content-type') === PACKED && response.body
    ? new Response(response.body.pipeThrough(new DecompressionStream('gzip')))
    : response;

/** Sends JSON. */
export const post = <T>(path: string, body: unknown): Promise<Reached<T>> =>
  readAnswer<T>(() =>
    fetch(path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    }),
  );

/** What a request came to; undefined when it could not be had. */
export async function had<T>(
  ask: () => Promise<Response>,
  read?: (r: Response) => Promise<Result<T, unknown>>,
): Promise<T | undefined> {
  const said = await readAnswer<T>(ask, read);
  return said.reached && said.answer.ok ? said.answer.value : undefined;
}

/** Asks for something; undefined when it could not be had. */
export const ask = <T>(path: string): Promise<T | undefined> =>
  had<T>(() => fetch(path, { headers: TAKES_PACKED }));
