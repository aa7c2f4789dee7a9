import { describe, expect, it } from 'vitest';
import * as z from 'zod';
import { answer, readBody, readJson, refuse } from './http';

const post = (body: BodyInit, headers: Record<string, string> = {}) =>
  new Request('http://127.0.0.1/x', { method: 'POST', body, headers });

/** A body that comes in pieces and does not say how long it is. */
function streamed(chunks: readonly string[]): Request {
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      for (const chunk of chunks) controller.enqueue(new TextEncoder().encode(chunk));
      controller.close();
    },
  });
  return new Request('http://127.0.0.1/x', { method: 'POST', body, duplex: 'half' } as RequestInit);
}

describe('reading a body up to a bound', () => {
  it('takes what fits, to the byte', async () => {
    expect(new TextDecoder().decode(await readBody(post('12345'), 5))).toBe('12345');
    expect(new TextDecoder().decode(await readBody(streamed(['12', '345']), 5))).toBe('12345');
    expect(await readBody(new Request('http://127.0.0.1/x'), 5)).toHaveLength(0);
  });

  it('refuses what says it is too long, and what turns out to be', async () => {
    expect(await readBody(post('1', { 'content-length': '6' }), 5)).toBeUndefined();
    expect(await readBody(streamed(['123', '456']), 5)).toBeUndefined();
  });
});

describe('JSON at the door', () => {
  const schema = z.strictObject({ n: z.int().min(1) });
  const read = async (body: string, most?: number) => {
    const door = await readJson(post(body), schema, most);
    if ('input' in door) return door.input;
    return [door.response.status, await door.response.json()];
  };

  it('comes in when it is as it should be', async () => expect(await read('{"n":3}')).toEqual({ n: 3 }));

  it.each([
    ['{', 400, { refused: 'not json' }],
    ['{"n":0}', 400, { refused: 'shape', where: 'n' }],
    ['{"n":1,"m":2}', 400, { refused: 'shape' }],
    ['[]', 400, { refused: 'shape', where: '' }],
  ])('%s is refused, saying where', async (body, status, reason) =>
    expect(await read(body)).toMatchObject([status, { ok: false, reason }]),
  );

  it('is refused when it is too large', async () =>
    expect(await read('{"n":3}', 3)).toMatchObject([413, { reason: { refused: 'too large' } }]));
});

it('answers have one form', async () => {
  expect(await answer({ a: 1 }).json()).toEqual({ ok: true, value: { a: 1 } });
  const refused = refuse(409, 'why');
  expect([refused.status, await refused.json()]).toEqual([409, { ok: false, reason: 'why' }]);
});
