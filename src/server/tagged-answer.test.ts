import { gunzipSync } from 'node:zlib';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Handle } from '@/data/database';
import { taggedAnswer } from './tagged-answer';

let handle = {} as Handle;
let made = 0;
/** More than is sent as it is. */
const large = () => ({ no: ++made, words: 'plate '.repeat(20_000) });
const ask = (query = '?packed', headers: Record<string, string> = {}) =>
  new Request(`http://127.0.0.1/api/x${query}`, { headers });
const no = async (answer: Response): Promise<number> => {
  const bytes = Buffer.from(await answer.arrayBuffer());
  const isPacked = answer.headers.get('content-type') === 'application/gzip';
  const said = JSON.parse((isPacked ? gunzipSync(bytes) : bytes).toString()) as { value: { no: number } };
  return said.value.no;
};

beforeEach(() => {
  handle = {} as Handle;
  made = 0;
});

describe('an answer that stays the same until a step is done', () => {
  it('is put together once, for all who ask, also at the same time', async () => {
    const answers = await Promise.all([1, 2].map(() => taggedAnswer(ask(), handle, 'a', 7, large)));
    for (const answer of answers) {
      expect(answer.headers.get('content-type')).toBe('application/gzip');
      expect(await no(answer)).toBe(1);
    }
    expect(await no(await taggedAnswer(ask(), handle, 'a', 7, large))).toBe(1);
  });

  it('is put together anew after a step, of another thing, and of another workspace', async () => {
    await taggedAnswer(ask(), handle, 'a', 7, large);
    expect(await no(await taggedAnswer(ask(), handle, 'a', 8, large))).toBe(2);
    expect(await no(await taggedAnswer(ask(), handle, 'b', 8, large))).toBe(3);
    expect(await no(await taggedAnswer(ask(), {} as Handle, 'a', 8, large))).toBe(4);
  });

  it('is not sent again to whoever has it, and is to whoever has an earlier one', async () => {
    const tag = (await taggedAnswer(ask(), handle, 'a', 7, large)).headers.get('etag')!;
    const has = ask('?packed', { 'if-none-match': tag });
    expect((await taggedAnswer(has, handle, 'a', 7, large)).status).toBe(304);
    expect((await taggedAnswer(has, handle, 'a', 8, large)).status).toBe(200);
    expect((await taggedAnswer(has, handle, 'b', 7, large)).status).toBe(200);
  });

  it('comes as it is to whoever does not say that packed ones are taken', async () => {
    await taggedAnswer(ask(), handle, 'a', 7, large);
    const plain = await taggedAnswer(ask(''), handle, 'a', 7, large);
    expect(plain.headers.get('content-type')).toBe('application/json');
    expect(await no(plain)).toBe(2);
  });

  it('is forgotten when enough others were asked for since, and one that is asked for again is not', async () => {
    await taggedAnswer(ask(), handle, 'first', 7, large);
    await taggedAnswer(ask(), handle, 'often', 7, large);
    for (let n = 0; n < 11; n++) {
      await taggedAnswer(ask(), handle, `other ${n}`, 7, large);
      await taggedAnswer(ask(), handle, 'often', 7, large);
    }
    expect(await no(await taggedAnswer(ask(), handle, 'often', 7, large))).toBe(2);
    expect(await no(await taggedAnswer(ask(), handle, 'first', 7, large))).toBe(14);
  });

  it.each([
    ['put together', () => busy()],
    ['packed', () => ({ toJSON: busy })],
  ])('that could not be %s is tried again', async (_, make) => {
    await expect(taggedAnswer(ask(), handle, 'a', 7, make)).rejects.toThrow('busy');
    expect(await no(await taggedAnswer(ask(), handle, 'a', 7, large))).toBe(1);
  });
});

function busy(): never {
  throw new Error('busy');
}
