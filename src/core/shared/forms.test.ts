import fc from 'fast-check';
import { afterEach, describe, expect, it } from 'vitest';
import {
  applyForms,
  currencySign,
  DATE_FORMS,
  DEFAULT_FORMS,
  editNumber,
  formatCurrency,
  formatDay,
  formatFixed,
  formatLength,
  formatLengths,
  formatNumber,
  LENGTH_UNITS,
  lengthAs,
  lengthFrom,
  lengthUnit,
  type Forms,
} from './forms';
import { formatMoney, moneyToEdit, readMoney } from './money';

const euro: Forms = { currency: 'EUR', decimal: 'comma', dates: '29.11.2026', units: 'cm' };
afterEach(() => applyForms(DEFAULT_FORMS));

describe('money in a workspace’s form', () => {
  it('has the currency’s sign where its language has it, and a true minus', () => {
    expect(formatCurrency(3140)).toBe('£31.40');
    expect(formatCurrency(-95)).toBe('−£0.95');
    expect(formatCurrency(312_040, euro).replace(/\s/g, ' ')).toBe('3.120,40 €');
    expect(formatCurrency(312_000, { ...euro, currency: 'JPY', decimal: 'point' })).toBe('¥3,120');
    expect([formatCurrency(12.34, DEFAULT_FORMS, true), formatCurrency(12, DEFAULT_FORMS, true)]).toEqual([
      '£0.123',
      '£0.12',
    ]);
    expect([currencySign(), currencySign(euro)]).toEqual(['£', '€']);
  });

  it('is what every sentence writes, once it is applied, and is read back', () => {
    applyForms(euro);
    for (const amount of [0, 7, 95, 3140, 120_450, 1_204_507]) {
      expect(formatMoney(amount)).toBe(formatCurrency(amount, euro));
      expect(readMoney(formatMoney(amount))).toBe(amount);
    }
  });
});

describe('numbers, days and lengths', () => {
  it('take the decimal mark that was chosen', () => {
    expect([formatNumber(7812.5), formatNumber(7812.5, euro)]).toEqual(['7,812.5', '7.812,5']);
  });

  it('write the day in each form, and leave alone what is none', () => {
    expect(DATE_FORMS.map((dates) => formatDay('2026-11-29T18:00:00Z', { ...euro, dates }))).toEqual([
      ...DATE_FORMS,
    ]);
    expect(formatDay('', euro)).toBe('');
    expect(formatDay('soon', euro)).toBe('soon');
  });

  it('measure in millimetres, centimetres or inches', () => {
    const form = (units: Forms['units']) => ({ ...DEFAULT_FORMS, units });
    expect(formatLengths([384, 134.4], form('mm'))).toBe('384 × 134.4 mm');
    expect(formatLengths([384, 134.4], form('cm'))).toBe('38.4 × 13.44 cm');
    expect(formatLengths([384, 134.4], form('inches'))).toBe('15.12 × 5.29 in');
    expect(formatLengths([134.4], euro)).toBe('13,44 cm');
  });

  it('write lengths in fields in the same unit, and take them back as millimetres', () => {
    const form = (units: Forms['units']) => ({ ...DEFAULT_FORMS, units });
    expect(LENGTH_UNITS.map((u) => lengthUnit(form(u)))).toEqual(['mm', 'cm', 'in']);
    expect(LENGTH_UNITS.map((u) => lengthAs(25.4, form(u)))).toEqual([25.4, 2.54, 1]);
    expect(lengthFrom(1.25, form('inches'))).toBe(31.75);
    expect(formatLength(9.6, form('cm'))).toBe('0.96 cm');
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200_000 }), fc.constantFrom(...LENGTH_UNITS), (tenths, u) => {
        // What a field shows and is left as it was is the same length again, to a hundredth of a millimetre.
        expect(lengthFrom(lengthAs(tenths / 10, form(u)), form(u))).toBeCloseTo(tenths / 10, 2);
      }),
    );
  });

  it('stand in fields with the chosen mark, and are read back from there', () => {
    expect([editNumber(1234.5), editNumber(1234.5, euro)]).toEqual(['1234.5', '1234,5']);
    expect([moneyToEdit(120450), moneyToEdit(120450, euro)]).toEqual(['1204.50', '1204,50']);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e9 }), (amount) => {
        for (const form of [DEFAULT_FORMS, euro]) expect(readMoney(moneyToEdit(amount, form))).toBe(amount);
      }),
    );
    expect([formatFixed(3), formatFixed(-0.25, 2, euro)]).toEqual(['3.0', '−0,25']);
  });
});
