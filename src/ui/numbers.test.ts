import { describe, expect, it } from 'vitest';
import { count, knownMoney, money, priced, signed, spares } from './numbers';

describe('figures in words', () => {
  it('of a sum of money say which pieces are left out, and are never nothing where it is not known', () => {
    expect(priced(320, 0)).toBe('£3.20');
    expect(priced(0, 0)).toBe('£0.00');
    expect(priced(320, 2)).toBe('£3.20 + 2 without a price');
    expect(priced(0, 1200)).toBe('1,200 without a price');
    expect(priced(-16, 5)).toBe('−£0.16 + 5 without a price');
  });

  it('of a sum of which no piece has a price say that it is not known', () => {
    expect([knownMoney(0, 5), knownMoney(0, 0), knownMoney(16, 5)]).toEqual(['not known', '£0.00', '£0.16']);
  });

  it('of parts are told in the word for one and for many', () => {
    expect([spares(0), spares(1), spares(1400)]).toEqual(['0 spares', '1 spare', '1,400 spares']);
  });

  it('are grouped, with a true minus', () => {
    expect([count(7812), money(123456), signed(-8000), signed(0), signed(3)]).toEqual([
      '7,812',
      '£1,234.56',
      '−8,000',
      '0',
      '+3',
    ]);
  });
});
