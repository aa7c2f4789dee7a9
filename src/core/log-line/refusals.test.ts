import { describe, expect, it } from 'vitest';
import { between, pick, seededRandom } from '../shared/random';
import { el } from '../testing/world';
import { completeAt, printElement, understandLine } from './index';

import { context, one, say } from '../testing/log-line';

describe('what the log line says when it does not understand', () => {
  it('offers the choices of an ambiguous word', () => {
    const clause = say('-2 brick 1x2').clauses[0]!;
    expect(clause).toMatchObject({
      status: 'ambiguous',
      choices: [el('brick 1x2', 'ash'), el('brick 1x2', 'slate')],
    });
    expect(say('+1 brick 1x2 clear-s').clauses[0]).toMatchObject({ status: 'ambiguous' });
  });

  it.each([
    ['2 plate 2x3 chalk', 'no verb', 0, 1],
    ['-0 plate 2x3 chalk', 'quantity', 1, 2],
    ['-2', 'nothing named', 0, 2],
    ['-2 plate 2x3 chalk @cellar', 'unknown zone', 19, 26],
    ['-2 plate 2x3 chalk #because', 'unknown why', 19, 27],
    ['+2 plate 2x3 chalk from moon', 'unknown place', 19, 28],
    ['+2 plate 2x3 chalk at lots', 'price', 19, 26],
    ['~2 plate 2x3 chalk', 'no target', 18, 18],
    ['~2 plate 2x3 chalk >', 'no target', 19, 20],
    ["-2 'plate 2x3", 'unclosed', 3, 13],
  ])('%s: %s', (line, problem, start, end) =>
    expect(say(line).problems).toContainEqual(expect.objectContaining({ problem, start, end })),
  );

  it.each([
    ['-2 gizmo chalk', 'unknown part'],
    ['+2 brick 1x2 puce', 'unknown colour'],
    ['-[cart]', 'unknown assembly'],
    ['^2 plate 2x3 chalk', 'no such placeholder'],
  ])('%s: %s', (line, why) => expect(say(line).clauses[0]).toMatchObject({ status: 'unknown', why }));

  it('never throws, whatever is typed, and points inside the line', () => {
    const random = seededRandom(5);
    const bits = [
      '-',
      '+2',
      '~',
      '>',
      '/',
      ',',
      ';',
      ':',
      '@',
      '#',
      '"',
      "'",
      '(',
      '[',
      ']',
      'plate',
      '2x3',
      'to',
      'for',
      'at',
      '🧱',
      '\\',
      ' ',
    ];
    for (let n = 0; n < 3000; n++) {
      const line = Array.from({ length: between(random, 0, 12) }, () => pick(random, bits)).join(
        random() < 0.5 ? ' ' : '',
      );
      for (const p of say(line).problems)
        expect(p.start >= 0 && p.end <= line.length && p.start <= p.end).toBe(true);
      completeAt(line, between(random, 0, line.length), context);
    }
  });
});

describe('a word that nothing knows', () => {
  const said = (line: string) => understandLine(line, context).clauses[0];

  it.each(['+2 brick 1x2 ahs chalk', '+2 brick ahs 1x2 chalk', '+2 ahs brick 1x2 chalk'])(
    'is asked for and not made a part of the name: %s',
    (line) =>
      expect(said(line)).toMatchObject({
        status: 'unknown',
        why: 'unread words',
        unread: 'ahs',
        suggestions: [el('brick 1x2', 'chalk'), el('brick 1x2 ahs', 'chalk')],
      }),
  );

  it('is one where the part is known by it, or where it is said in quotes', () => {
    expect(one('+2 plate 1x2 with hook ash').on[0]!.element).toBe(el('plate 1x2 with hook', 'ash'));
    const asItStands = printElement(el('brick 1x2 ahs', 'chalk'), true);
    expect(asItStands).toBe("'brick 1x2 ahs' chalk");
    expect(one(`+2 ${asItStands}`).on[0]!.element).toBe(el('brick 1x2 ahs', 'chalk'));
  });
});
