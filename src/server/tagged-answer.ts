import 'server-only';
import type { Handle } from '@/data/database';
import { packedAnswer, takesPacked } from './http';
import { workspaceName } from './steps';

interface Kept {
  readonly tag: string;
  readonly packed: Promise<{ readonly body: Uint8Array; readonly headers: Headers }>;
}

/** Answers that are kept packed, for a few names: those of the builds that were opened last. */
const MOST = 12;
const kept = new WeakMap<Handle, Map<string, Kept>>();

/**
 * A large answer that stays the same until a step is done. The browser keeps it under a tag and is told that it is still
 * so; the server keeps it packed: with a large collection it takes a tenth of a second to put together, for each page.
 *
 * @param name what is asked for, with the build that it is asked of
 * @param revision the last step that may have changed it
 */
export async function taggedAnswer(
  request: Request,
  handle: Handle,
  name: string,
  revision: number,
  make: () => unknown,
): Promise<Response> {
  const tag = `"${workspaceName(handle)}-${name}-${revision}"`;
  const headers = { etag: tag, 'cache-control': 'private, no-cache' };
  if (request.headers.get('if-none-match') === tag) return new Response(null, { status: 304, headers });
  if (!takesPacked(request)) return packedAnswer(request, make(), headers);
  const answers = kept.get(handle) ?? new Map<string, Kept>();
  kept.set(handle, answers);
  const was = answers.get(name);
  const now = was?.tag === tag ? was : { tag, packed: read(packedAnswer(request, make(), headers)) };
  // Last, since the first is the next to be forgotten.
  answers.delete(name);
  answers.set(name, now);
  const [oldest] = answers.keys();
  if (answers.size > MOST && oldest !== undefined) answers.delete(oldest);
  const { body, headers: said } = await now.packed.catch((error: unknown) => {
    // What failed is made anew for the next who asks.
    if (answers.get(name) === now) answers.delete(name);
    throw error;
  });
  return new Response(new Uint8Array(body), { headers: said });
}

async function read(answer: Promise<Response>): Promise<Awaited<Kept['packed']>> {
  const response = await answer;
  return { body: new Uint8Array(await response.arrayBuffer()), headers: response.headers };
}
