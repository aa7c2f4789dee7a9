import { describe, expect, it } from 'vitest';
import { untilTrue } from './own-workspace';

/** Asked so often until the answer is yes; nothing is waited for in between. */
function answering(yesAt: number, endsAt = Infinity) {
  let asked = 0;
  const ask = () => Promise.resolve(++asked >= yesAt);
  const isOver = () => asked >= endsAt;
  return { asked: () => asked, answer: untilTrue(ask, { isOver, pause: () => Promise.resolve() }) };
}

describe('a server that is being started', () => {
  it('is waited for on a machine where that takes two minutes', async () => {
    const slow = answering(4 * 120);
    expect(await slow.answer).toBe(true);
    expect(slow.asked()).toBe(480);
  });

  it('is not waited for once it has ended, nor for ever', async () => {
    const ended = answering(Infinity, 3);
    expect([await ended.answer, ended.asked()]).toEqual([false, 3]);
    expect(await answering(Infinity).answer).toBe(false);
  });
});
