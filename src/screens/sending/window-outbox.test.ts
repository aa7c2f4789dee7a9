// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { asId, type ActionId } from '@/core/shared/ids';
import { requestOf, type Wish } from './outbox';
import { sendWhatWasLeft, windowOutbox } from './window-outbox';

const wish = (id: string): Wish => ({
  kind: 'action',
  action: { id: asId<ActionId>(id), scope: 's', label: id, diff: { added: [], changed: [], removed: [] } },
});
const kept = () => Object.keys(localStorage).filter((key) => key.startsWith('evarn-kept:wish:'));
const leave = (by: string, no: number, id: string) =>
  localStorage.setItem(`evarn-kept:wish:${by}:${no}`, JSON.stringify(wish(id)));

/** A browser that can tell which windows live, and a server that hears what is sent. */
function browser() {
  const sent: string[] = [];
  let answer = () => {};
  const answered = new Promise<void>((done) => (answer = done));
  vi.stubGlobal('navigator', {
    ...navigator,
    locks: {
      request: async (_: string, take: () => unknown) => take(),
      query: async () => ({ held: [{ name: 'evarn-window-alive' }] }),
    },
  });
  vi.stubGlobal('fetch', async (_: string, init: RequestInit) => {
    sent.push((JSON.parse(init.body as string) as { id: string }).id);
    await answered;
    return Response.json({ ok: true, value: { revision: 1 } });
  });
  return { sent, answer };
}

describe('what a window has not sent', () => {
  beforeEach(() => localStorage.clear());
  afterEach(() => vi.unstubAllGlobals());

  it('is kept in the moment it is done, before anything has been awaited, and until it is answered', async () => {
    const { answer } = browser();
    const outcome = windowOutbox().add(wish('a'));
    expect(kept()).toHaveLength(1);
    answer();
    expect((await outcome).how).toBe('done');
    expect(kept()).toEqual([]);
  });

  it('is sent by the next window where it was not stored any more: once, in order, and not for a window that lives', async () => {
    const { sent, answer } = browser();
    leave('gone', 1, 'second');
    leave('gone', 0, 'first');
    leave('gone-too', 0, 'first');
    leave('alive', 0, 'not mine');
    localStorage.setItem('evarn-kept:wish:gone:2', 'no JSON');
    const found: string[] = [];
    const outcomes = sendWhatWasLeft((left) => found.push(requestOf(left)));
    await vi.waitFor(() => expect(sent).toEqual(['first']));
    // Taken over, and not answered yet: kept by this window now.
    expect(kept().filter((key) => !/:(gone|gone-too|alive):/.test(key))).toHaveLength(2);
    answer();
    expect((await outcomes).map((o) => o.how)).toEqual(['done', 'done']);
    expect([sent, found]).toEqual([
      ['first', 'second'],
      ['first', 'second'],
    ]);
    expect(kept()).toEqual(['evarn-kept:wish:alive:0', 'evarn-kept:wish:gone:2']);
  });

  it('is sent all the same where the browser keeps nothing', async () => {
    const { sent, answer } = browser();
    answer();
    vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    try {
      expect((await windowOutbox().add(wish('b'))).how).toBe('done');
      expect(sent).toEqual(['b']);
    } finally {
      vi.restoreAllMocks();
    }
  });
});
