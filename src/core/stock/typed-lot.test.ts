import { describe, expect, it } from 'vitest';
import { PALETTE } from '../colour';
import { readTypedLot } from './typed-lot';

const read = (text: string, colourNeeded = true) => readTypedLot(text, PALETTE, colourNeeded);

describe('a typed lot', () => {
  it.each([
    ['12 brick 1x2 ash', { qty: 12, part: 'brick 1x2', colour: 'ash', condition: null }],
    ['3 Plate 1 x 4 brick-red used', { qty: 3, part: 'plate 1x4', colour: 'brick-red', condition: 'used' }],
    ['7 brick 1x2 dark grey', { qty: 7, part: 'brick 1x2', colour: 'slate', condition: null }],
    ['1 slope 45 2x1 brick red', { qty: 1, part: 'slope 45 2x1', colour: 'brick-red', condition: null }],
  ])('%s', (text, value) => expect(read(text)).toEqual({ ok: true, value }));

  it.each([
    ['brick 1x2 ash', 'no quantity'],
    ['0 brick 1x2 ash', 'no quantity'],
    ['5', 'no part'],
    ['5 brick 1x2', 'no colour'],
    ['5 brick 1x2 b', 'which colour'],
  ])('%s: %s', (text, reason) => expect(read(text)).toMatchObject({ ok: false, reason: { reason } }));

  it('wants a whole number in front, and a part that it can read', () => {
    for (const text of [
      'x5 brick 1x2 ash',
      '5x brick 1x2 ash',
      '1234567 brick 1x2 ash',
      '',
      '-5 brick 1x2 ash',
    ])
      expect([text, read(text)]).toMatchObject([text, { ok: false, reason: { reason: 'no quantity' } }]);
    expect(read('5 thingummy')).toEqual({ ok: false, reason: { reason: 'no part', text: 'thingummy' } });
    expect(read('5', false)).toEqual({ ok: false, reason: { reason: 'no part', text: '' } });
    expect(read('  5,  brick 1x2 ,ash ')).toMatchObject({ ok: true, value: { qty: 5, colour: 'ash' } });
  });

  it('names a few colours where the beginning fits several, and takes the one that is exactly it', () => {
    const answer = read('5 brick 1x2 b');
    const fits = PALETTE.filter((c) => c.id.startsWith('b')).map((c) => c.id);
    expect(answer).toEqual({
      ok: false,
      reason: { reason: 'which colour', text: 'b', choices: fits.slice(0, 6) },
    });
    const longer = PALETTE.find((c) => PALETTE.some((d) => d !== c && d.id.startsWith(c.id)));
    const own = [...PALETTE, { ...PALETTE[0]!, id: `${PALETTE[1]!.id}-pale` as (typeof PALETTE)[0]['id'] }];
    expect(readTypedLot(`2 brick 1x2 ${PALETTE[1]!.id}`, own)).toMatchObject({
      ok: true,
      value: { colour: PALETTE[1]!.id },
    });
    if (longer) expect(read(`2 brick 1x2 ${longer.id}`)).toMatchObject({ value: { colour: longer.id } });
  });

  it('may leave the colour out where it is not needed', () =>
    expect(read('8 wheel 2x2', false)).toMatchObject({
      ok: true,
      value: { part: 'wheel 2x2', colour: null },
    }));
});
