import 'server-only';
import type { z } from 'zod';
import { MOST_BYTES } from '@/core/formats';

/** The answer to a request that cannot be served: a stable code, and a sentence only where no screen words it. */
export const refuse = (status: number, reason: unknown): Response =>
  Response.json({ ok: false, reason }, { status });

export const answer = (value: unknown): Response => Response.json({ ok: true, value });

/** Reads a body up to a bound; undefined when it is longer. */
export async function readBody(request: Request, most = MOST_BYTES): Promise<Uint8Array | undefined> {
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
  return Buffer.concat(chunks);
}

export type Door<T> = { readonly input: T } | { readonly response: Response };

/** Reads JSON and checks it at the door. */
export async function readJson<T>(
  request: Request,
  schema: z.ZodType<T>,
  most = MOST_BYTES,
): Promise<Door<T>> {
  const body = await readBody(request, most);
  if (!body) return { response: refuse(413, { refused: 'too large' }) };
  let json: unknown;
  try {
    json = JSON.parse(new TextDecoder().decode(body));
  } catch {
    return { response: refuse(400, { refused: 'not json' }) };
  }
  const read = schema.safeParse(json);
  if (read.success) return { input: read.data };
  const issue = read.error.issues[0];
  return {
    response: refuse(400, {
      refused: 'shape',
      where: issue?.path.join('.') ?? '',
      says: issue?.message ?? '',
    }),
  };
}
