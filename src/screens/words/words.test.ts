import { describe, expect, it } from 'vitest';
import { Lexicon, understandLine, type LineProblem } from '@/core/log-line';
import { PALETTE } from '@/core/colour';
import {
  emptyRecordSet,
  goneAccount,
  OUTSIDE,
  stockAccount,
  sparesAccount,
  modelAccount,
  orderAccount,
  donorAccount,
  shippedAccount,
  type DraftProblem,
} from '@/core/ledger';
import { BUILD, COPIES, COPY, DONOR, el, ORDER, ORDERS, TRAYS, ZONES } from '@/core/testing/world';
import { asId } from '@/core/shared/ids';
import { draftProblemWords, lineProblemWords, unknownWords } from './log-line';
import { list, placeName } from './places';
import { refusalWords } from './refusal';
import { modFileFaultWords, rowFaultWords, rowNoteWords, uploadFaultWords } from './tables';
import { restoreFaultWords } from './restore';

/** A sentence that people can use: it ends, it is not a code, and it names what it is about. */
function isSentence(text: string): void {
  expect(text).toMatch(/[.?]$/);
  expect(text).not.toMatch(/undefined|null|NaN|\[object/);
  expect(text.length).toBeGreaterThan(10);
}

const records = {
  ...emptyRecordSet(),
  zone: new Map(ZONES.map((z) => [z.id as string, z])),
  tray: new Map(TRAYS.map((id) => [id as string, { id, name: 'C4', place: '', position: 0 }])),
  copy: COPIES as never,
  order: ORDERS as never,
};

describe('places by name', () => {
  it.each([
    [modelAccount(ZONES[1]!.id), 'Porch'],
    [modelAccount(asId('none')), 'the model'],
    [sparesAccount(BUILD), 'spares'],
    [stockAccount(TRAYS[0]!), 'tray C4'],
    [donorAccount(DONOR), 'donor Test house'],
    [orderAccount(ORDER), 'order from Someone'],
    [shippedAccount(COPY), 'the box'],
    [OUTSIDE, 'outside'],
    [goneAccount('sold'), 'sold'],
  ])('%s is %s', (account, name) => expect(placeName(account as never, records)).toBe(name));

  it('joins them as people do', () => {
    expect([list([]), list(['a']), list(['a', 'b']), list(['a', 'b', 'c'])]).toEqual([
      '',
      'a',
      'a and b',
      'a, b and c',
    ]);
  });
});

describe('every problem of the log line has a sentence', () => {
  const lines: Record<LineProblem['problem'], string> = {
    'no verb': '2 plate',
    'nothing named': '-2',
    quantity: '-0 plate 2x3 chalk',
    unclosed: "-2 'plate",
    'unknown zone': '-2 plate 2x3 chalk @cellar',
    'unknown why': '-2 plate 2x3 chalk #because',
    'unknown place': '+2 plate 2x3 chalk from moon',
    price: '+2 plate 2x3 chalk at lots',
    'no target': '~2 plate 2x3 chalk',
    unexpected: '-2 plate 2x3 chalk plan spoon',
  };
  const none = () => false;
  const context = {
    lexicon: new Lexicon([el('plate 2x3', 'chalk')], PALETTE),
    zones: ZONES,
    assemblies: [],
    onModel: none,
    atHand: none,
    placeholders: [],
  };

  it.each(Object.entries(lines))('%s', (problem, line) => {
    const found = understandLine(line, context).problems.find((p) => p.problem === problem);
    expect(found).toBeDefined();
    isSentence(lineProblemWords(found!));
  });

  it('says where parts come from and where they go, each in its own sentence', () => {
    const words = (line: string) => lineProblemWords(understandLine(line, context).problems[0]!);
    expect(words('+2 plate 2x3 chalk from moon')).toContain('not from “moon”');
    expect(words('-2 plate 2x3 chalk to moon')).toContain('not to “moon”');
    expect(words('-2 plate 2x3 chalk @')).toContain('Name a zone');
    expect(words('?2 plate 2x3 chalk')).toContain('is a placeholder for');
  });

  it.each([
    'unknown part',
    'unknown colour',
    'no colour',
    'unknown assembly',
    'no such placeholder',
  ] as const)('%s', (why) =>
    isSentence(
      unknownWords({
        status: 'unknown',
        why,
        text: 'gizmo',
        at: { start: 0, end: 1 },
        start: 0,
        end: 1,
        suggestions: [],
      }),
    ),
  );
});

describe('every reason why something cannot be done has a sentence', () => {
  const element = el('plate 2x3', 'chalk');
  const short = { element, wanted: 4, there: 1, zone: ZONES[1]!.id, source: null, worn: 0, boxesOnly: false };
  const problems: DraftProblem[] = [
    {
      reason: 'not on the model',
      ...short,
      elsewhere: [
        { account: modelAccount(ZONES[2]!.id), qty: 3 },
        { account: stockAccount(TRAYS[0]!), qty: 9 },
      ],
    },
    { reason: 'not at hand', ...short, source: 'stock', there: 0, elsewhere: [] },
    { reason: 'not at hand', ...short, there: 0, elsewhere: [], boxesOnly: true },
    { reason: 'nothing to do' },
    { reason: 'same zone' },
    { reason: 'same colour', element },
    { reason: 'no own parts' },
    { reason: 'no such placeholder', element },
  ];
  it.each(problems.map((p) => [p.reason, p] as const))('%s', (_, p) =>
    isSentence(draftProblemWords(p, records)),
  );

  it('says how many there are, and where', () => {
    expect(draftProblemWords(problems[0]!, records)).toBe(
      'Only 1 of 4 plate 2x3 chalk are in Porch. Elsewhere: 3 in Lamp room and 9 in tray C4.',
    );
    expect(
      draftProblemWords({ reason: 'not at hand', ...short, there: 0, elsewhere: [], worn: 9 }, records),
    ).toContain('9 more there are faded, yellowed or damaged: say so to take them.');
    expect(draftProblemWords(problems[1]!, records)).toBe(
      'No plate 2x3 chalk is in own parts. There are none elsewhere.',
    );
  });

  it.each([
    [{ refused: 'conflict', conflict: { type: 'entry', id: 'x', how: 'gone' } }, 'That entry was deleted'],
    [
      { refused: 'conflict', conflict: { type: 'price', id: 'x', how: 'changed' } },
      'What this changes was changed',
    ],
    [
      {
        refused: 'overdrawn',
        rows: [{ account: modelAccount(ZONES[1]!.id), element, grade: 'used', qty: -3 }],
      },
      '3 plate 2x3 chalk in Porch short',
    ],
    [{ refused: 'in use' }, 'depends on that'],
    [{ refused: 'nothing to undo', direction: 'undo' }, 'nothing to undo'],
    [{ refused: 'nothing to undo', direction: 'redo' }, 'nothing to redo'],
    [{ refused: 'too large' }, '20 MB'],
    [{ refused: 'no such build' }, 'no longer there'],
    [{ refused: 'something new' }, 'nothing was changed'],
  ])('%j', (refusal, part) => {
    isSentence(refusalWords(refusal, records));
    expect(refusalWords(refusal, records)).toContain(part);
  });
});

describe('every fault of a file has a sentence', () => {
  it.each([
    { fault: 'empty' },
    { fault: 'only a heading' },
    { fault: 'too many rows' },
    { fault: 'too many columns', columns: 300, line: 7 },
    { fault: 'too many cells' },
    { fault: 'open quote', line: 12 },
    { fault: 'too costly' },
    { fault: 'busy' },
    { fault: 'not a table' },
    { fault: 'too large' },
    { fault: 'unreadable', kind: 'xlsx' },
    { fault: 'old spreadsheet' },
    { fault: 'unreachable' },
  ])('upload: $fault', (fault) => isSentence(uploadFaultWords(fault)));

  it.each([
    { fault: 'no part' },
    { fault: 'too long', most: 300 },
    { fault: 'no colour' },
    { fault: 'unknown colour', text: 'puce', suggestions: [] },
    { fault: 'no quantity' },
    { fault: 'quantity', text: 'two' },
    { fault: 'no price' },
    { fault: 'price', text: 'dear' },
    { fault: 'year', text: 'old' },
  ] as const)('row: $fault', (fault) => expect(rowFaultWords(fault)).toMatch(/\.$/));

  it('row notes and the other files', () => {
    expect(rowNoteWords({ note: 'nearest colour', text: '#aabbcc', deltaE: 3.14159 })).toContain('ΔE 3.1');
    expect(rowNoteWords({ note: 'everyday colour', text: 'dark grey' })).toContain('“dark grey”');
    expect(rowNoteWords({ note: 'name kept as written' })).toContain('as written');
    for (const f of [
      { fault: 'not json' },
      { fault: 'not a mod file' },
      { fault: 'newer version', version: 'evarn-mod/9' },
      { fault: 'shape', where: 'entries.0', says: 'x' },
      { fault: 'twice', where: 'zones', id: 'z1' },
      { fault: 'refers to nothing', where: 'entry 3', id: 'z9' },
      { fault: 'zones', how: 'no root' },
      { fault: 'entry', where: 'entry 3', how: 'uneven' },
    ] as const)
      isSentence(modFileFaultWords(f));
    for (const fault of [
      'not a backup',
      'damaged',
      'newer program',
      'too large',
      'no space',
      'too costly',
      'busy',
      'no such backup',
      'cannot be opened',
      '?',
    ])
      isSentence(restoreFaultWords({ fault }));
    isSentence(restoreFaultWords({ fault: 'not as made', what: 'it has a view' }));
    for (const law of ['shape', 'entry', 'overdrawn', 'zones', 'history', 'accounts', 'actions'] as const)
      isSentence(restoreFaultWords({ fault: 'books', what: { law, where: '' } }));
  });
});
