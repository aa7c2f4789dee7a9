import { describe, expect, it } from 'vitest';
import {
  BLANK_INTENT,
  LOGGED_KINDS,
  openPlaceholders,
  settleKind,
  type Assembly,
  type Intent,
} from '../ledger';
import { elementKey, splitElementKey, type ElementKey } from '../parts';
import { asId, type AssemblyId } from '../shared/ids';
import { between, pick, seededRandom } from '../shared/random';
import { BUILD, el, ELEMENTS, entry, palette, randomIntent, ZONES } from '../testing/world';
import {
  completeAt,
  Lexicon,
  lineOfBlock,
  printElement,
  printIntent,
  printLine,
  understandLine,
  type CallContext,
} from './index';

const EXTRA = [
  el('plate 1x2', 'ash'),
  el('plate 1x4', 'ash'),
  el('plate 1x2 with hook', 'ash'),
  el('boat door 1x6', 'deep'),
  el('tile 2x2', 'bark', 'compass dial'),
  el('odd, part! "x" to', 'chalk'),
];
const TABLE: Assembly = {
  id: asId<AssemblyId>('a1'),
  build: BUILD,
  name: 'Lamp table',
  lots: [
    { element: el('brick 1x2', 'ash'), qty: 4 },
    { element: el('tile 2x2', 'bark'), qty: 1 },
  ],
};
const known = [...ELEMENTS, ...EXTRA];
const onModel = new Set<ElementKey>([
  el('plate 2x3', 'chalk'),
  el('brick 1x2', 'ash'),
  el('brick 1x2', 'slate'),
  el('arch 1x4', 'ash'),
]);
const placeholders = openPlaceholders([
  entry(
    's',
    'placeholder',
    [
      {
        element: el('brick 1x2', 'amber'),
        grade: 'new' as never,
        qty: 8,
        from: 'outside' as never,
        to: 'model:z0' as never,
        worth: 1,
      },
    ],
    {
      standsFor: el('brick 1x2', 'lagoon'),
    },
  ),
]);
const context: CallContext = {
  lexicon: new Lexicon(known, palette),
  zones: ZONES,
  assemblies: [TABLE],
  onModel: (e) => onModel.has(e),
  atHand: (e) => onModel.has(e),
  placeholders,
};
const say = (line: string) => understandLine(line, context);
const intents = (line: string): Intent[] =>
  say(line).clauses.map((c) => {
    if (c.status !== 'intent')
      throw new Error(`${line}: ${JSON.stringify(c)} ${JSON.stringify(say(line).problems)}`);
    return c.intent;
  });
const one = (line: string): Intent => intents(line)[0]!;

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

describe('printing back', () => {
  it.each([1, 2, 3, 4, 5])('understanding what is printed gives the same intent (seed %i)', (seed) => {
    const random = seededRandom(seed);
    for (let n = 0; n < 400; n++) {
      const intent = settleKind(randomIntent(random));
      const line = printIntent(intent, context);
      expect([line, one(line)]).toEqual([line, intent]);
      const two = [intent, settleKind(randomIntent(random))];
      expect(intents(printLine(two, context))).toEqual(two);
    }
  });

  it('covers every kind', () => {
    const random = seededRandom(1);
    const kinds = new Set(Array.from({ length: 400 }, () => randomIntent(random).kind));
    expect([...kinds].sort()).toEqual([...LOGGED_KINDS].sort());
  });

  it.each(EXTRA.map((e) => [printElement(e), e]))('%s', (_, element) => {
    const intent: Intent = { ...BLANK_INTENT, on: [{ element, qty: 3 }] };
    expect(one(printIntent(intent, context))).toEqual(intent);
  });

  it('prints assemblies and zones with any name', () => {
    const zones = [
      ...ZONES,
      { ...ZONES[1]!, id: asId<(typeof ZONES)[0]['id']>('zx'), name: 'to "the" \\ moon, #2 ‮🧱' },
    ];
    const odd: Assembly = { ...TABLE, id: asId<AssemblyId>('a2'), name: 'a] b\\' };
    const there = { ...context, zones, assemblies: [odd] };
    const intent: Intent = {
      ...BLANK_INTENT,
      kind: 'move',
      off: odd.lots,
      zone: zones[4]!.id,
      toZone: ZONES[1]!.id,
      assembly: odd.id,
    };
    expect(understandLine(printIntent(intent, there), there).clauses[0]).toMatchObject({
      status: 'intent',
      intent,
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

it('keys of elements come apart as they were put together', () => {
  for (const e of known) {
    const { part, colour, print } = splitElementKey(e);
    expect(elementKey(part, colour, print)).toBe(e);
  }
});
