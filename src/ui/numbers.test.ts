import { describe, expect, it } from 'vitest';
import { count, knownMoney, money, priced, signed } from './numbers';

describe('a sum of money', () => {
  it('says which pieces it leaves out, and is never nothing where it is not known', () => {
    expect(priced(320, 0)).toBe('£3.20');
    expect(priced(0, 0)).toBe('£0.00');
    expect(priced(320, 2)).toBe('£3.20 + 2 without a price');
    expect(priced(0, 1200)).toBe('1,200 without a price');
    expect(priced(-16, 5)).toBe('−£0.16 + 5 without a price');
  });

  it('is not known as a figure where no piece has a price', () => {
    expect([knownMoney(0, 5), knownMoney(0, 0), knownMoney(16, 5)]).toEqual(['not known', '£0.00', '£0.16']);
  });

  it('and numbers are grouped, with a true minus', () => {
    expect([count(7812), money(123456), signed(-8000), signed(0), signed(3)]).toEqual([
      '7,812',
      '£1,234.56',
      '−8,000',
      '0',
      '+3',
    ]);
  });
});
