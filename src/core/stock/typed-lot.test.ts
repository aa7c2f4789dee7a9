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

  it('may leave the colour out where it is not needed', () =>
    expect(read('8 wheel 2x2', false)).toMatchObject({
      ok: true,
      value: { part: 'wheel 2x2', colour: null },
    }));
});
