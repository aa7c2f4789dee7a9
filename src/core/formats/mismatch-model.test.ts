import { describe, expect, it } from 'vitest';
import { mismatchAnswerSchema, mismatchRequestSchema } from './mismatch-model';

const lot = { part: 'brick 1x2', colour: 'ash', qty: 3 };
const asked = (lots: readonly object[], name = 'Wall') => ({ model: { zones: [{ name, lots }] } });
const isAsked = (input: unknown) => mismatchRequestSchema.safeParse(input).success;

describe('a model whose colours are to be judged', () => {
  it('has zones of lots, each with a part, a colour and pieces', () => {
    const read = mismatchRequestSchema.parse(asked([{ ...lot, part: ' brick 1x2 ', colour: ' ash ' }]));
    expect(read.model.zones).toEqual([{ name: 'Wall', lots: [lot] }]);
    expect(isAsked(asked([], ''))).toBe(true);
    expect(isAsked({ model: { zones: [] } })).toBe(true);
  });

  it.each([
    ['no zones', { model: {} }],
    ['no lots', { model: { zones: [{ name: 'Wall' }] } }],
    ['no part', asked([{ ...lot, part: ' ' }])],
    ['no colour', asked([{ ...lot, colour: '' }])],
    ['no pieces', asked([{ ...lot, qty: 0 }])],
    ['half a piece', asked([{ ...lot, qty: 1.5 }])],
    ['more pieces than there can be', asked([{ ...lot, qty: 10 ** 12 }])],
    ['a part beyond all bounds', asked([{ ...lot, part: 'x'.repeat(10_000) }])],
    ['a colour beyond all bounds', asked([{ ...lot, colour: 'x'.repeat(10_000) }])],
    ['a name beyond all bounds', asked([lot], 'x'.repeat(10_000))],
    ['more zones than a model has', { model: { zones: Array(501).fill({ name: '', lots: [] }) } }],
    ['more lots than a zone has', asked(Array(10_001).fill(lot))],
  ])('%s is refused', (_, input) => expect(isAsked(input)).toBe(false));
});

describe('what is answered', () => {
  const mismatch = {
    zone: 'Wall',
    part: 'brick 1x2',
    colour: 'ash',
    qty: 1,
    to: 'dove',
    kind: 'near',
    sure: 1,
  };
  const isAnswer = (change: object) =>
    mismatchAnswerSchema.safeParse({ mismatches: [{ ...mismatch, ...change }] }).success;

  it('is a share of how sure it is, and one of four kinds', () => {
    for (const kind of ['near', 'stripe', 'mirror', 'off']) expect(isAnswer({ kind, sure: 0 })).toBe(true);
    expect(isAnswer({ qty: 7 })).toBe(true);
    for (const bad of [{ kind: 'other' }, { sure: 1.1 }, { sure: -0.1 }, { qty: 0 }, { to: undefined }])
      expect([bad, isAnswer(bad)]).toEqual([bad, false]);
  });
});
