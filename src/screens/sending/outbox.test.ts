import { describe, expect, it } from 'vitest';
import { asId, type ActionId } from '@/core/shared/ids';
import { readAnswer, type Reached } from './answers';
import { Outbox, requestOf, type OutboxState, type Wish } from './outbox';

const wish = (id: string): Wish => ({
  kind: 'action',
  action: { id: asId<ActionId>(id), scope: 's', label: id, diff: { added: [], changed: [], removed: [] } },
});
const done = (label: string): Reached<never> => ({
  reached: true,
  answer: { ok: true, value: { label } as never },
});
const lost: Reached<never> = { reached: false, why: 'network' };

/** An outbox over a network that answers as it is told. */
function outboxOver(answers: (wish: Wish, tries: number) => Reached<never>) {
  const sent: string[] = [];
  const pauses: number[] = [];
  const kept = new Map<number, Wish>();
  const states: OutboxState[] = [];
  const tries = new Map<string, number>();
  const outbox = new Outbox({
    send: async (w) => {
      const id = requestOf(w);
      tries.set(id, (tries.get(id) ?? 0) + 1);
      sent.push(id);
      return answers(w, tries.get(id)!);
    },
    keep: async (no, w) => void kept.set(no, w),
    forget: async (no) => void kept.delete(no),
    pause: async (ms) => void pauses.push(ms),
    onState: (s) => states.push(s),
  });
  return { outbox, sent, pauses, kept, states };
}

describe('an outbox', () => {
  it('sends in order, one after another, and keeps each until it is answered', async () => {
    const { outbox, sent, kept } = outboxOver((w) => done(requestOf(w)));
    const all = ['a', 'b', 'c'].map((id) => outbox.add(wish(id)));
    expect(kept.size).toBe(3);
    expect((await Promise.all(all)).map((o) => o.how)).toEqual(['done', 'done', 'done']);
    expect([sent, kept.size]).toEqual([['a', 'b', 'c'], 0]);
  });

  it('waits longer and longer while nobody is reached, says so, and goes on by itself', async () => {
    const { outbox, sent, pauses, states, kept } = outboxOver((w, n) =>
      requestOf(w) === 'a' && n < 9 ? lost : done(''),
    );
    await Promise.all([outbox.add(wish('a')), outbox.add(wish('b'))]);
    expect(sent).toEqual([...Array<string>(9).fill('a'), 'b']);
    expect(pauses).toEqual([500, 1000, 2000, 4000, 8000, 16_000, 30_000, 30_000]);
    expect(states.some((s) => s.unreached === 'network' && s.waiting === 2)).toBe(true);
    expect([states.at(-1), kept.size]).toEqual([{ waiting: 0, unreached: null }, 0]);
  });

  it.each([
    [{ refused: 'conflict' }, 'refused'],
    [{ refused: 'failed', mark: 'x' }, 'failed'],
    [undefined, 'failed'],
  ])('%j is %s, and holds nothing back', async (reason, how) => {
    const answer: Reached<never> = { reached: true, answer: { ok: false, reason } };
    const { outbox, kept } = outboxOver((w) => (requestOf(w) === 'a' ? answer : done('')));
    const outcomes = await Promise.all([outbox.add(wish('a')), outbox.add(wish('b'))]);
    expect(outcomes.map((o) => o.how)).toEqual([how, 'done']);
    expect(kept.size).toBe(0);
  });

  it('goes on where nothing can be kept', async () => {
    const outbox = new Outbox({
      send: async () => done('x'),
      keep: () => Promise.reject(new Error('no storage')),
      forget: () => Promise.reject(new Error('no storage')),
      pause: async () => undefined,
    });
    expect(await outbox.add(wish('a'))).toMatchObject({ how: 'done' });
  });
});

describe('what a server said', () => {
  const response = (status: number, body: string) => async () => new Response(body, { status });

  it.each([
    ['an answer', response(200, '{"ok":true,"value":7}'), { reached: true, answer: { ok: true, value: 7 } }],
    [
      'a refusal',
      response(409, '{"ok":false,"reason":{"refused":"in use"}}'),
      { reached: true, answer: { ok: false, reason: { refused: 'in use' } } },
    ],
    [
      'a failure without a body',
      response(500, ''),
      { reached: true, answer: { ok: false, reason: { refused: 'failed' } } },
    ],
    [
      'a page that is no answer',
      response(502, '<html>'),
      { reached: true, answer: { ok: false, reason: { refused: 'failed' } } },
    ],
    ['an answer that broke off', response(200, '{"ok":tr'), { reached: false, why: 'network' }],
    [
      'a file that another program holds',
      response(503, '{"ok":false,"reason":{"refused":"trouble","trouble":{"trouble":"busy"}}}'),
      { reached: false, why: 'busy' },
    ],
    ['no network', () => Promise.reject(new TypeError('x')), { reached: false, why: 'network' }],
  ])('%s', async (_, ask, said) => expect(await readAnswer(ask)).toEqual(said));
});
