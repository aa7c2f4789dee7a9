import { afterEach, describe, expect, it } from 'vitest';
import { PALETTE, plainColour } from '../colour';
import { elementName } from '../parts';
import { formatMoney } from '../shared/money';
import { asId } from '../shared/ids';
import { el } from '../testing/world';
import { applySettings, changeSettings, DEFAULT_SETTINGS, namesOf } from './settings';

const settle = (
  more: Partial<typeof DEFAULT_SETTINGS>,
  aliases: Parameters<typeof applySettings>[0]['aliases'] = [],
) => applySettings({ settings: { ...DEFAULT_SETTINGS, ...more }, palette: PALETTE, aliases });
afterEach(() => settle({}));

describe('settings', () => {
  it('are kept as one record, which is made by the first change', () => {
    const first = changeSettings(undefined, { currency: 'EUR' }).diff;
    expect(first.added[0]!.record).toEqual({ ...DEFAULT_SETTINGS, currency: 'EUR' });
    const kept = { ...DEFAULT_SETTINGS, currency: 'EUR', isDemo: true };
    const [change] = changeSettings(kept, { decimal: 'comma' }).diff.changed;
    expect(change!.to).toEqual({ ...kept, decimal: 'comma' });
  });

  it('are put to work at once, and taken back as easily', () => {
    settle({ currency: 'EUR', colourNames: 'plain' });
    expect(formatMoney(95)).toBe('€0.95');
    expect(elementName(el('brick 2x4', 'slate'))).toBe('brick 2x4 dark grey (slate)');
    settle({});
    expect(elementName(el('brick 2x4', 'slate'))).toBe('brick 2x4 slate');
  });
});

describe('names of colours', () => {
  it('hold the palette’s own name, so that no two are alike', () => {
    for (const how of ['plain', 'own'] as const) {
      const aliases = PALETTE.slice(0, 9).map((c) => ({ id: 'Grey-ish 7', colour: c.id }));
      const names = namesOf(how, PALETTE, aliases);
      expect(new Set(names.values()).size).toBe(names.size);
      for (const [id, name] of names) expect(name).toContain(`(${id})`);
    }
    expect(namesOf('invented', PALETTE, []).size).toBe(0);
  });

  it('of one’s own are those of one’s lists, where there are any', () => {
    const names = namesOf('own', PALETTE, [{ id: 'Old grey', colour: asId('slate') }]);
    expect([...names]).toEqual([['slate', 'Old grey (slate)']]);
  });

  it('that are plain say the family that a colour is of, or that of its tint', () => {
    const of = (id: string) => plainColour(PALETTE.find((c) => c.id === id)!);
    expect([of('slate'), of('chalk'), of('brick-red')]).toEqual(['dark grey', 'white', 'red']);
    for (const c of PALETTE) {
      const words = plainColour(c);
      expect(words.length).toBeGreaterThan(2);
      expect(words.startsWith('clear')).toBe(c.finish === 'clear');
    }
  });
});
