import { describe, expect, it } from 'vitest';
import { briefOf, keepBrief, keepLetter, makeException, newLetter, rulesNow } from '@/core/brief';
import { sheetHtml, sheetSchema } from '@/core/mod-sheet';
import { modSheetOf } from '@/core/mod-sheet';
import { PRIVATE_THINGS, SHEET_PARTS, type ModSheet } from '@/core/records';
import { keepTold, nameStage, changeStage, stagesOf, toldOf } from '@/core/show';
import { added, BLANK_ORDER, changed } from '@/core/ledger';
import { asId, type OrderId } from '@/core/shared/ids';
import { el } from '@/core/testing/world';
import { did, logLines, makeWorkbench, planned, testSource, zoneId } from '@/core/testing/workbench';
import type { Workbench } from '@/core/workbench';
import { composeSheet, sheetData } from './compose';

/** A build with something private in every corner; the words are such that nothing else holds them. */
function secretive(): Workbench {
  const b = makeWorkbench({
    zones: { Wall: ['20 brick 2x4 ash'], Roof: ['6 brick 2x4 rust'] },
    stock: ['3 brick 2x4 kelp'],
    prices: ['brick 2x4 kelp 1237', 'brick 2x4 ash 1237', 'brick 2x4 rust 1237'],
  });
  planned(
    b,
    testSource('a'),
    {
      kind: 'recolour',
      off: [{ element: el('brick 2x4', 'ash'), qty: 4 }],
      on: [{ element: el('brick 2x4', 'kelp'), qty: 4 }],
      note: 'NOTEENTRY',
    },
    { on: [{ element: el('brick 2x4', 'rust'), qty: 1 }], source: 'own', ownFrom: 'NAMEDONOR' },
    { on: [{ element: el('brick 2x4', 'rust'), qty: 1 }], source: 'outside', price: 1237 },
  );
  const [m] = b.modifications;
  did(b, { label: '', diff: changed('modification', m!, { note: 'NOTEMOD', why: 'It was grey.' }) });
  did(b, keepLetter(b, { ...newLetter(b, testSource('l')), who: 'NAMELETTER', about: 'NOTEABOUT' }));
  const order = {
    ...BLANK_ORDER,
    id: asId<OrderId>('o'),
    build: b.build,
    seller: 'SELLERWREN',
    placedAt: '2026-11-01',
  };
  did(b, { label: '', diff: added('order', order) });
  did(b, nameStage(b, { name: 'As shipped', no: 0 }, testSource('s')));
  did(b, changeStage(stagesOf(b)[0]!, { note: 'NOTESTAGE' }));
  did(b, keepTold(b, { ...toldOf(b, zoneId('Wall')), was: 'Grey.', is: 'Green.' }));
  const brief = {
    ...briefOf(b),
    purpose: 'To be green',
    rules: [
      { rule: 'budget', limit: 123_700, text: '' },
      { rule: 'pieces at most', limit: 5, text: '' },
    ],
  };
  did(b, keepBrief(b, brief));
  const rule = rulesNow(b).find((r) => r.rule.id === 'pieces at most')!;
  return did(b, makeException(b, rule.rule, 'it grew', testSource('x')));
}

const told = (b: Workbench, more: Partial<ModSheet> = {}) => {
  const sheet = composeSheet(b, { sheet: { ...modSheetOf(b), ...more }, planned: true, today: '2026-11-28' });
  expect(sheetSchema.parse(sheet)).toEqual(sheet);
  const data = sheetData(b, { sheet: { ...modSheetOf(b), ...more }, planned: true });
  return sheetHtml(sheet, { palette: b.palette, pictures: new Map(), data });
};
const WORDS: Readonly<Record<(typeof PRIVATE_THINGS)[number], readonly string[]>> = {
  prices: ['£', '1,237'],
  sellers: ['SELLERWREN'],
  names: ['NAMEDONOR', 'NAMELETTER'],
  notes: ['NOTEMOD', 'NOTEABOUT', 'NOTESTAGE'],
};

describe('a mod sheet', () => {
  it('carries nothing private that was not chosen', () => {
    const text = told(secretive());
    for (const word of [...Object.values(WORDS).flat(), 'NOTEENTRY'])
      expect([word, text.includes(word)]).toEqual([word, false]);
    for (const said of ['To be green', 'Grey.', 'It was grey.', 'it grew', 'As shipped'])
      expect(text).toContain(said);
  });

  it('carries what was chosen, and of the rest nothing', () => {
    for (const thing of PRIVATE_THINGS) {
      const text = told(secretive(), { tells: [thing] });
      for (const [other, words] of Object.entries(WORDS))
        for (const word of words)
          expect([thing, word, text.includes(word)]).toEqual([thing, word, other === thing]);
    }
  });

  it('has the chosen parts in their order, and no other', () => {
    const b = secretive();
    for (const part of SHEET_PARTS) {
      const text = told(b, { parts: [part] });
      expect((text.match(/<h2/g) ?? []).length, part).toBeLessThanOrEqual(1);
    }
    expect(told(b, { parts: [] })).not.toContain('<h2');
    const order = told(b, { parts: ['cautions', 'tally'] });
    expect(order.indexOf('Cautions')).toBeLessThan(order.indexOf('In one line'));
  });

  it('has the mod inside as a patch only where it tells the changes, and why on the page alone', () => {
    const b = secretive();
    const inside = (more: Partial<ModSheet>) =>
      sheetData(b, { sheet: { ...modSheetOf(b), ...more }, planned: true });
    expect(inside({ parts: ['tally'] })).toBe(null);
    expect(told(b, { parts: ['tally'] })).not.toContain('kelp');
    expect(inside({ title: 'Shown as' })).toMatchObject({
      name: 'Shown as',
      steps: [{ title: 'Wall', why: '' }],
    });
    expect(JSON.stringify(inside({}))).not.toContain('It was grey.');
  });

  it('tells what was missing and what of it was replaced as the tally does', () => {
    const b = logLines(secretive(), ['!2 brick 2x4 ash', '*1 brick 2x4 ash own']);
    expect(told(b, { parts: ['tally'] })).toContain('− 2 missing + 1 replaced = 27 on the model');
  });

  it('tells the figures of the tally, and what others lack', () => {
    const text = told(secretive(), { parts: ['tally', 'parts to get', 'changes'] });
    expect(text).toContain('As planned: 26 shipped − 0 out + 2 in = 28 on the model, net +2;');
    expect(text).toMatch(/ renewed, \d+ spares?\./);
    expect(text).toContain('Who owns just the set lacks 6 pieces of 2 kinds:');
    expect(text).toMatch(/4<\/b> <bdi>brick 2x4 ash<\/bdi> off/);
  });
});
