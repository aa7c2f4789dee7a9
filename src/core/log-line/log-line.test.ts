import { describe, expect, it } from 'vitest';
import { type Intent } from '../ledger';
import { type ElementKey } from '../parts';
import { asId } from '../shared/ids';
import { el, palette, ZONES } from '../testing/world';
import { completeAt, Lexicon, lineOfBlock, printIntent, understandLine } from './index';

import { TABLE, known, context, say, intents, one } from '../testing/log-line';

describe('what a name begins', () => {
  it('is first of the family that is named in full, though a part of another lies at hand', () => {
    const slope = el('curved slope 1x2 tile', 'ash');
    const tiles = [el('tile 1x2', 'bark'), el('tile 1x2', 'chalk')];
    const lexicon = new Lexicon([slope, ...tiles], palette);
    const at = { ...context, lexicon, atHand: (e: ElementKey) => e === slope };
    const offered = completeAt('+4 tile 1x2', 11, at).map((c) => c.element);
    expect(new Set(offered.slice(0, 2))).toEqual(new Set(tiles));
    expect(offered).toContain(slope);
  });

  it('is what lies at hand first and the rest by name, however many there are', () => {
    const colours = palette.slice(0, 20).map((c) => c.id);
    const many = ['brick 1x4', 'plate 1x4', 'tile 1x4'].flatMap((part) => colours.map((c) => el(part, c)));
    const lexicon = new Lexicon([...many].reverse(), palette);
    const here = [many[17], many[53]];
    const at = { ...context, lexicon, atHand: (e: ElementKey) => here.includes(e) };
    const offered = (line: string) => completeAt(line, line.length, at).map((c) => c.element);
    const others = many.filter((e) => !here.includes(e)).sort();
    expect(offered('+4 1x4')).toEqual([...here, ...others.slice(0, 6)]);
    const bricks = many.filter((e) => e.startsWith('brick') && !here.includes(e)).sort();
    expect(offered('+4 brick 1x4')).toEqual([many[17], ...bricks.slice(0, 7)]);
    expect(offered(`+4 1x4 ${colours[3]}`)).toEqual(others.filter((e) => e.endsWith(`|${colours[3]}`)));
  });
});

describe('a pasted block of lines', () => {
  it('is a clause for each line, which keep to themselves', () => {
    const line = lineOfBlock('- 2 plate 2x3 chalk #gap\n\n12 x brick 1x4 ash\n  +1 tile 2x2 bark,\n');
    expect(line).toBe('- 2 plate 2x3 chalk #gap; +12 x brick 1x4 ash; +1 tile 2x2 bark');
    expect(intents(line).map((i) => [i.kind, i.why])).toEqual([
      ['remove', 'gap'],
      ['add', null],
      ['add', null],
    ]);
    expect(lineOfBlock(' \n ')).toBe('');
  });
});

describe('colours by everyday words', () => {
  it('are of what is on the model, where something of their family is', () => {
    // There is no thunder or flint among the bricks: of the dark greys slate is there.
    expect(one('-1 brick 1x2 grey').off[0]!.element).toBe(el('brick 1x2', 'ash'));
    expect(one('-1 plate 2x3 white').off[0]!.element).toBe(el('plate 2x3', 'chalk'));
  });

  it('are what an import was told they mean, where it was', () => {
    const lexicon = new Lexicon(
      known,
      palette,
      new Map([
        ['old grey', asId('dove')],
        ['white', asId('milk')],
      ]),
    );
    const told = (line: string) => understandLine(line, { ...context, lexicon }).clauses[0];
    expect(told('+1 brick 1x4 old grey')).toMatchObject({
      intent: { on: [{ element: el('brick 1x4', 'dove') }] },
    });
    expect(told('+1 brick 1x4 white')).toMatchObject({
      intent: { on: [{ element: el('brick 1x4', 'milk') }] },
    });
  });

  it('complete into the names that they may mean', () => {
    const line = '~1 brick 1x2 ash > dark grey';
    expect(completeAt(line, line.length, context).map((c) => c.text)[0]).toBe('slate');
  });
});

describe('several parts for several', () => {
  const line = '-2 brick 1x2 ash & 3 plate 2x3 chalk / +1 plate 1x4 ash & 4 arch 1x4 ash';
  it('are one swap', () => {
    expect(one(line)).toMatchObject({
      kind: 'swap',
      off: [
        { element: el('brick 1x2', 'ash'), qty: 2 },
        { element: el('plate 2x3', 'chalk'), qty: 3 },
      ],
      on: [
        { element: el('plate 1x4', 'ash'), qty: 1 },
        { element: el('arch 1x4', 'ash'), qty: 4 },
      ],
    });
    expect(printIntent(one(line), context)).toBe(line);
  });

  it('name a part twice as one kind', () =>
    expect(one('-1 brick 1x2 ash & 2 brick 1x2 ash / +1 plate 1x4 ash').off).toEqual([
      { element: el('brick 1x2', 'ash'), qty: 3 },
    ]));

  it('need the slash: without one it is said what is not expected', () =>
    expect(
      understandLine('-2 brick 1x2 ash & 3 plate 2x3 chalk', context).problems.slice(0, 1),
    ).toMatchObject([{ problem: 'unexpected', text: '&' }]));
});

describe('the same act, however it is typed', () => {
  const recoloured = one('~2 brick 1x2 ash > chalk');
  it.each([
    '-2 brick 1x2 ash / +2 brick 1x2 chalk',
    '-2 brick 1x2 ash, +2 brick 1x2 chalk',
    '+2 brick 1x2 chalk, -2 brick 1x2 ash',
  ])('%s', (line) => expect(one(line)).toEqual(recoloured));

  it.each([
    ['another number', '-2 brick 1x2 ash, +3 brick 1x2 chalk'],
    ['another part', '-2 brick 1x2 ash, +2 plate 2x3 chalk'],
    ['another zone', '-2 brick 1x2 ash @porch, +2 brick 1x2 chalk'],
    ['the same colour', '-2 brick 1x2 ash, +2 brick 1x2 ash'],
    ['kept apart', '-2 brick 1x2 ash; +2 brick 1x2 chalk'],
  ])('two acts: %s', (_, line) => {
    const read = understandLine(line, context).clauses;
    expect(read.map((c) => c.status === 'intent' && c.intent.kind)).toEqual(['remove', 'add']);
  });

  it('keeps what was said of what goes and of what comes', () =>
    expect(one('-2 brick 1x2 ash to bin, +2 brick 1x2 chalk from spares #mismatch')).toMatchObject({
      kind: 'recolour',
      destination: 'bin',
      source: 'spares',
      why: 'mismatch',
    }));
});

describe('the forms of the log line', () => {
  it.each<[string, Partial<Intent>]>([
    ['-2 plate 2x3 chalk', { kind: 'remove', off: [{ element: el('plate 2x3', 'chalk'), qty: 2 }] }],
    ['+4 window 1x2x2 chalk', { kind: 'add', on: [{ element: el('window 1x2x2', 'chalk'), qty: 4 }] }],
    [
      '~6 arch 1x4 ash > bark',
      {
        kind: 'recolour',
        off: [{ element: el('arch 1x4', 'ash'), qty: 6 }],
        on: [{ element: el('arch 1x4', 'bark'), qty: 6 }],
      },
    ],
    [
      '%9 brick 1x2 ash',
      {
        kind: 'renew',
        off: [{ element: el('brick 1x2', 'ash'), qty: 9 }],
        on: [{ element: el('brick 1x2', 'ash'), qty: 9 }],
      },
    ],
    ['>3 arch 1x4 ash : porch to lamp room', { kind: 'move', zone: ZONES[1]!.id, toZone: ZONES[2]!.id }],
    [
      '-2 plate 1x2 ash / +1 plate 1x4 ash',
      { kind: 'swap', on: [{ element: el('plate 1x4', 'ash'), qty: 1 }] },
    ],
    ['?8 brick 1x2 amber for lagoon', { kind: 'placeholder', standsFor: el('brick 1x2', 'lagoon') }],
    [
      '^8 brick 1x2 amber > lagoon',
      { kind: 'replacement', on: [{ element: el('brick 1x2', 'lagoon'), qty: 8 }] },
    ],
    ['^8 brick 1x2 amber', { kind: 'replacement', standsFor: el('brick 1x2', 'lagoon') }],
    ['!1 plate 2x3 chalk', { kind: 'missing' }],
    ['*1 plate 2x3 chalk', { kind: 'replace-missing' }],
    ['-[lamp table]', { kind: 'remove', assembly: TABLE.id, off: TABLE.lots }],
    ['>[lamp] : porch to gallery', { kind: 'move', assembly: TABLE.id, toZone: ZONES[3]!.id }],
    ['−2 PLATE 2 × 3 Chalk', { kind: 'remove', off: [{ element: el('plate 2x3', 'chalk'), qty: 2 }] }],
    ['- chalk plate 2x3', { kind: 'remove', off: [{ element: el('plate 2x3', 'chalk'), qty: 1 }] }],
    ['-2 pl 3x2 cha', { kind: 'remove', off: [{ element: el('plate 2x3', 'chalk'), qty: 2 }] }],
    ['-1 arch', { kind: 'remove', off: [{ element: el('arch 1x4', 'ash'), qty: 1 }] }],
    ['+1 tile 2x2 bark (comp)', { on: [{ element: el('tile 2x2', 'bark', 'compass dial'), qty: 1 }] }],
    ['+2 brick 2x8 brick red', { on: [{ element: el('brick 2x8', 'brick-red'), qty: 2 }] }],
    [
      '+2 brick 1x2 ash @lamp room #fit from own parts plan hidden at 0.12 "a note"',
      {
        zone: ZONES[2]!.id,
        why: 'fit',
        source: 'stock',
        planned: true,
        hidden: true,
        price: 12,
        note: 'a note',
      },
    ],
    ['+12 x brick 1x4 ash', { on: [{ element: el('brick 1x4', 'ash'), qty: 12 }] }],
    ['+12x brick 1x4 ash', { on: [{ element: el('brick 1x4', 'ash'), qty: 12 }] }],
    ['+12 × brick 1 x 4 ash', { on: [{ element: el('brick 1x4', 'ash'), qty: 12 }] }],
    ['+brick 1x4 ash x12', { on: [{ element: el('brick 1x4', 'ash'), qty: 12 }] }],
    ['+ 2 x 4 brick ash', { on: [{ element: el('brick 2x4', 'ash'), qty: 1 }] }],
    ['+3 brick 1x4 white', { on: [{ element: el('brick 1x4', 'chalk'), qty: 3 }] }],
    ['+3 dark grey brick 1x4', { on: [{ element: el('brick 1x4', 'slate'), qty: 3 }] }],
    ['-1 brick 1x2 dark grey', { off: [{ element: el('brick 1x2', 'slate'), qty: 1 }] }],
    ['~2 brick 1x2 light grey > dark red', { on: [{ element: el('brick 1x2', 'berry'), qty: 2 }] }],
    ['-2 plate 2x3 chalk to bin used', { destination: 'bin', condition: 'used' }],
  ])('%s', (line, expected) => expect(one(line)).toMatchObject(expected));

  it('reads several clauses; trailing words of the last reach the others, not past a semicolon', () => {
    const line = '-2 plate 2x3 chalk, +2 brick 1x2 ash #gap; +2 tile 2x2 bark @porch #fit';
    expect(intents(line).map((i) => i.why)).toEqual(['fit', 'gap', 'fit']);
    expect(intents('-2 plate 2x3 chalk; +2 brick 1x2 ash #gap').map((i) => i.why)).toEqual([null, 'gap']);
  });

  it('defines an assembly', () => {
    expect(say('=[Cart] 2 brick 1x2 ash & 1 plate 2x3 chalk').clauses[0]).toMatchObject({
      status: 'assembly',
      name: 'Cart',
      lots: [{ qty: 2 }, { qty: 1 }],
    });
  });
});

describe('completion', () => {
  const texts = (line: string) => completeAt(line, line.length, context).map((c) => c.text);
  it('completes elements that can be meant', () => {
    expect(texts('-2 pl')).toEqual(['plate 2x3 chalk']);
    expect(texts('-2 brick 1x2 s')).toEqual(['brick 1x2 slate']);
    expect(texts('+2 tile 2x2 am')[0]).toBe('tile 2x2 amber');
  });
  it('completes colours after an arrow, zones, whys, places and assemblies', () => {
    expect(texts('~2 arch 1x4 ash > la')).toEqual(['lagoon', 'clear-lamp']);
    expect(texts('-2 plate 2x3 chalk @la')).toEqual(['@Lamp room']);
    expect(texts('-2 plate 2x3 chalk #mism')).toEqual(['#mismatch']);
    expect(texts('+2 plate 2x3 chalk from st')).toEqual(['own parts']);
    expect(texts('+2 plate 2x3 chalk from o')).toEqual(['own parts', 'order', 'outside']);
    expect(texts('-[la')).toEqual(['[Lamp table]']);
  });
});
