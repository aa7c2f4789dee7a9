import 'server-only';
import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import type { z } from 'zod';
import { BODY } from '@/core/shared/bounds';
import { troubleOf } from './workspace';

/** The answer to a request that cannot be served: a stable code, and a sentence only where no screen words it. */
export const refuse = (status: number, reason: unknown): Response =>
  Response.json({ ok: false, reason }, { status });

export const answer = (value: unknown): Response => Response.json({ ok: true, value });

const pack = promisify(gzip);
/** Below this a packed answer is not worth the packing. */
const WORTH_PACKING = 64 * 1024;

/**
 * A large answer, packed for a page that says it takes such. It is sent as what it is, a gzip, which the page unpacks: the
 * framework leaves out the header by which a browser would unpack it by itself.
 */
export async function packedAnswer(
  request: Request,
  value: unknown,
  more: Readonly<Record<string, string>> = {},
): Promise<Response> {
  const body = Buffer.from(JSON.stringify({ ok: true, value }));
  const headers = { ...FRESH, ...more };
  if (body.length < WORTH_PACKING || !takesPacked(request))
    return new Response(new Uint8Array(body), {
      headers: { ...headers, 'content-type': 'application/json' },
    });
  return packedBytes(await pack(body, { level: 4 }), headers);
}

const PACKED = 'application/gzip';
const FRESH = { 'cache-control': 'no-store', vary: 'accept' };

/** True of a page that unpacks answers itself, and says so in a header or in the address. */
export const takesPacked = (request: Request): boolean =>
  (request.headers.get('accept')?.includes(PACKED) ?? false) ||
  new URL(request.url).searchParams.has('packed');

/** An answer that is packed already. */
export const packedBytes = (
  packed: Uint8Array,
  headers: Readonly<Record<string, string>> = FRESH,
): Response => new Response(new Uint8Array(packed), { headers: { ...headers, 'content-type': PACKED } });

type Handler<C> = (request: Request, context: C) => Response | Promise<Response>;

/**
 * A route that always answers in the shape that windows know: a trouble of the workspace is told as one, and a failure
 * that nobody foresaw as a failure, with a mark that stands in the server's log beside what happened.
 */
export const route =
  <C = unknown>(handler: Handler<C>) =>
  async (request: Request, context?: C): Promise<Response> => {
    try {
      return await handler(request, context as C);
    } catch (error) {
      const trouble = troubleOf(error);
      if (trouble) return refuse(503, { refused: 'trouble', trouble });
      const mark = crypto.randomUUID().slice(0, 8);
      console.error(`failure ${mark} at ${request.method} ${new URL(request.url).pathname}:`, error);
      return refuse(500, { refused: 'failed', mark });
    }
  };

/** Reads a body up to a bound; undefined when it is longer. */
export async function readBody(
  request: Request,
  most: number = BODY.usual,
): Promise<Uint8Array<ArrayBuffer> | undefined> {
  if (Number(request.headers.get('content-length') ?? 0) > most) return undefined;
  const reader = request.body?.getReader();
  if (!reader) return new Uint8Array();
  const chunks: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.byteLength;
    if (size > most) {
      await reader.cancel();
      return undefined;
    }
    chunks.push(value);
  }
  const whole = new Uint8Array(size);
  let at = 0;
  for (const chunk of chunks) {
    whole.set(chunk, at);
    at += chunk.byteLength;
  }
  return whole;
}

export type Door<T> = { readonly input: T; readonly bytes: Uint8Array } | { readonly response: Response };

/** Reads JSON and checks it at the door. */
export async function readJson<T>(
  request: Request,
  schema: z.ZodType<T>,
  most: number = BODY.usual,
): Promise<Door<T>> {
  const bytes = await readBody(request, most);
  if (!bytes) return { response: refuse(413, { refused: 'too large' }) };
  let json: unknown;
  try {
    json = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    return { response: refuse(400, { refused: 'not json' }) };
  }
  const read = schema.safeParse(json);
  if (read.success) return { input: read.data, bytes };
  const issue = read.error.issues[0];
  return {
    response: refuse(400, {
      refused: 'shape',
      where: issue?.path.join('.') ?? '',
      says: issue?.message ?? '',
    }),
  };
}
