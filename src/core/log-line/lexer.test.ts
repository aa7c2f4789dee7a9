import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ZONES } from '../testing/world';
import { lex } from './lexer';
import { parseLine } from './parse';
import { zoneAt } from './zones';

const kinds = (line: string) => lex(line).map((t) => `${t.kind}:${t.text}`);

describe('cutting a line into tokens', () => {
  it.each([
    ['-2 plate 2x3 chalk', ['verb:-', 'word:2', 'word:plate', 'word:2x3', 'word:chalk']],
    ['~6 ash>bark', ['verb:~', 'word:6', 'word:ash', 'arrow:>', 'word:bark']],
    ['+1 brick-red @lamp room', ['verb:+', 'word:1', 'word:brick-red', 'word:@lamp', 'word:room']],
    ['-1 slope 1x2x2/3 ash', ['verb:-', 'word:1', 'word:slope', 'word:1x2x2/3', 'word:ash']],
    ['-1 a / +1 b', ['verb:-', 'word:1', 'word:a', 'slash:/', 'verb:+', 'word:1', 'word:b']],
    ['>[the cart] : a to b', ['verb:>', 'assembly:the cart', 'colon::', 'word:a', 'word:to', 'word:b']],
    ['+1 tile (a \\) b) "say \\"so\\""', ['verb:+', 'word:1', 'word:tile', 'print:a ) b', 'note:say "so"']],
    [
      '-1 a, -2 b; -3 c',
      [
        'verb:-',
        'word:1',
        'word:a',
        'comma:,',
        'verb:-',
        'word:2',
        'word:b',
        'semicolon:;',
        'verb:-',
        'word:3',
        'word:c',
      ],
    ],
    ['−2 a – b', ['verb:-', 'word:2', 'word:a', 'word:–', 'word:b']],
  ])('%s', (line, expected) => expect(kinds(line)).toEqual(expected));

  it('loses nothing and overlaps nothing: every character that is no space is in one token', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 60 }), (line) => {
        let at = 0;
        for (const token of lex(line)) {
          expect(token.start).toBeGreaterThanOrEqual(at);
          expect(token.end).toBeGreaterThan(token.start);
          expect(line.slice(at, token.start).trim()).toBe('');
          at = token.end;
        }
        expect(line.slice(at).trim()).toBe('');
      }),
    );
  });

  it('marks what was opened and not closed', () => {
    for (const open of ['"a', "'a", '(a', '[a'])
      expect(lex(`+1 x ${open}`).at(-1)).toMatchObject({ closed: false, text: 'a' });
  });
});

describe('zones in a line', () => {
  const at = (text: string) => {
    const hit = zoneAt(lex(text), ZONES);
    return hit && [hit.zone.name, hit.used];
  };
  it.each([
    ['porch', ['Porch', 1]],
    ['lamp room to gallery', ['Lamp room', 2]],
    ['la', ['Lamp room', 1]],
    ['lamp #mismatch', ['Lamp room', 1]],
    ['"Lamp room"', ['Lamp room', 1]],
    ['whole-model', ['Whole model', 1]],
  ])('%s', (text, expected) => expect(at(text)).toEqual(expected));
  it.each(['cellar', '"lamp"', '', '#x', 'room'])('%j is none', (text) => expect(at(text)).toBeUndefined());
});

describe('the form of a clause', () => {
  const clause = (line: string) => parseLine(line, ZONES).clauses[0]!;
  it('knows where the pieces stand', () => {
    const { pieces } = clause('-12 plate 2x3 chalk @porch');
    expect(pieces).toMatchObject({ qty: 12, start: 1, end: 19 });
  });
  it('takes a missing quantity as one', () => expect(clause('- plate 2x3 chalk').pieces?.qty).toBe(1));
  it('reads a move with and without the zone it comes from', () => {
    expect(clause('>1 a b : porch to gallery')).toMatchObject({ fromZone: 'z1', toZone: 'z3' });
    expect(clause('>1 a b : to gallery')).toMatchObject({ fromZone: null, toZone: 'z3' });
  });
  it('keeps trailing words in whatever order they come', () => {
    const words = [
      '@porch',
      '#mismatch',
      'from own parts',
      'to bin',
      'used',
      'at 0.12',
      'plan',
      'hidden',
      '"n"',
    ];
    const expected = clause(`-1 a b ${words.join(' ')}`).trailing;
    expect(Object.keys(expected)).toHaveLength(9);
    expect(clause(`-1 a b ${words.toReversed().join(' ')}`).trailing).toEqual(expected);
  });
  it('seals a clause with a semicolon', () => {
    expect(parseLine('-1 a b; -1 c d, -1 e f', ZONES).clauses.map((c) => c.sealed)).toEqual([
      true,
      false,
      false,
    ]);
  });
});
