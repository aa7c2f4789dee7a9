import { describe, expect, it } from 'vitest';
import { Lexicon, printIntent, understandLine } from '@/core/log-line';
import { PALETTE } from '@/core/colour';
import { Books, grade, LOGGED_KINDS, modelAccount, OUTSIDE, type LoggedKind } from '@/core/ledger';
import { BUILT, CONTEXT, el, entry, ZONES } from '@/core/testing/world';
import { makeIntent, NO_OPTIONS, type Options } from './act-intent';

const [chalk, bark] = [el('plate 2x3', 'chalk'), el('plate 2x3', 'bark')];
const stand = entry(
  's',
  'placeholder',
  [{ element: chalk, grade: grade('new'), qty: 8, from: OUTSIDE, to: modelAccount(ZONES[0]!.id), worth: 1 }],
  { standsFor: bark },
);
const books = new Books(CONTEXT, [stand], BUILT);
const point = (kind: LoggedKind, more: Partial<Options> = {}, target = bark) =>
  makeIntent(kind, chalk, target, { ...NO_OPTIONS, qty: 3, ...more }, books);

describe('pointing makes the intents that the log line makes', () => {
  const all = () => true;
  const context = {
    lexicon: new Lexicon([chalk, bark], PALETTE),
    zones: ZONES,
    assemblies: [],
    onModel: all,
    atHand: all,
    placeholders: [],
  };

  it.each(LOGGED_KINDS.map((k) => [k]))('%s: what it prints is understood as the same', (kind) => {
    const intent = point(kind, {
      toZone: ZONES[2]!.id,
      why: 'mismatch',
      note: 'a "note"',
      hidden: true,
      planned: true,
    });
    expect(intent).not.toBeNull();
    const line = printIntent(intent!, context);
    expect(understandLine(line, context).clauses[0]).toMatchObject({ status: 'intent', intent });
  });

  it.each([
    ['remove', { off: 3, on: 0 }],
    ['add', { off: 0, on: 3 }],
    ['recolour', { off: 3, on: 3 }],
    ['missing', { off: 3, on: 0 }],
    ['replace-missing', { off: 0, on: 3 }],
  ] as const)('%s moves the right pieces', (kind, { off, on }) => {
    const sum = (pieces: readonly { qty: number }[]) => pieces.reduce((s, p) => s + p.qty, 0);
    const intent = point(kind)!;
    expect([sum(intent.off), sum(intent.on)]).toEqual([off, on]);
  });

  it('swaps different numbers, and names its price', () => {
    expect(point('swap', { onQty: 7, price: '0,15' })).toMatchObject({
      off: [{ qty: 3 }],
      on: [{ element: bark, qty: 7 }],
      price: 15,
    });
  });

  it('replaces a placeholder by what it stands for', () => {
    expect(point('replacement')).toMatchObject({
      off: [{ element: chalk }],
      on: [{ element: bark }],
      standsFor: bark,
    });
  });

  it('waits until everything is chosen', () => {
    expect(makeIntent('add', null, null, NO_OPTIONS, books)).toBeNull();
    expect(makeIntent('recolour', chalk, null, NO_OPTIONS, books)).toBeNull();
    expect(makeIntent('placeholder', chalk, null, NO_OPTIONS, books)).toBeNull();
    expect(makeIntent('move', chalk, null, NO_OPTIONS, books)).toBeNull();
    expect(makeIntent('replacement', bark, null, NO_OPTIONS, books)).toBeNull();
  });

  it('says nothing about where parts go or come from when that makes no sense', () => {
    expect(point('remove', { source: 'stock', price: '1' })).toMatchObject({ source: null, price: null });
    expect(point('add', { destination: 'bin' })).toMatchObject({ destination: null });
  });
});
