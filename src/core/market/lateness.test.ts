import { describe, expect, it } from 'vitest';
import { daysBetween, outlookOf } from './lateness';

describe('late orders seen coming', () => {
  const order = { placedAt: '2026-11-01T10:00:00Z', due: '2026-11-08' };
  const post = { days: 7, spread: 2, late: 0.1 };

  it('the chance of keeping its day falls as the day comes nearer, and is none after it', () => {
    const at = (day: string) => outlookOf(order, post, day).byDue;
    expect(at('2026-11-02')).toBeGreaterThan(at('2026-11-06'));
    expect(at('2026-11-09')).toBe(0);
    expect(daysBetween('2026-11-01', '2026-12-01')).toBe(30);
  });

  it('a seller whose parcels are late too often is never sure, and is told early', () => {
    const bad = outlookOf(order, { days: 7, spread: 4, late: 0.4 }, '2026-11-02');
    expect([bad.sureBy, bad.risky]).toEqual([null, true]);
    // A day or two past its own day is all that it takes to be sure of a steady seller.
    const good = outlookOf(order, { days: 5, spread: 1, late: 0.02 }, '2026-11-02');
    expect(good.risky).toBe(false);
    expect(daysBetween(order.due, good.sureBy!)).toBeLessThanOrEqual(2);
  });
});
