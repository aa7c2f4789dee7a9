import { describe, expect, it } from 'vitest';
import { added } from '../ledger';
import { FINDING_KINDS, type Finding } from '../records';
import { asId } from '../shared/ids';
import { brick } from '../testing/faded';
import { did, makeWorkbench, testSource, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import { answerFinding, findingState, growth, inMillimetres, keepFinding, workOnFinding } from './index';
import { intentsOf } from './findings';

const source = testSource();

const finding = (more: Partial<Finding>): Finding => ({
  id: asId('f1'),
  build: asId('build'),
  kind: 'mismatch',
  zone: zoneId('Hull'),
  lots: [{ element: brick, qty: 2 }],
  to: el('brick 2x4', 'ash'),
  note: 'two greys in one wall',
  matters: 2,
  photo: null,
  modification: null,
  answer: null,
  how: '',
  dropped: false,
  at: '',
  ...more,
});

describe('findings', () => {
  it('become a modification with their entries, and close when it is done', () => {
    const workbench = makeWorkbench({
      zones: { Hull: ['20 brick 2x4 chalk'] },
      prices: ['brick 2x4 ash 20'],
    });
    did(workbench, { label: '', diff: added('finding', finding({})) });
    const now = () => workbench.records.finding.get('f1')!;
    expect(findingState(now(), workbench.entries)).toBe('open');
    did(workbench, workOnFinding(workbench, now(), source));
    expect(workbench.modifications.map((m) => m.title)).toEqual(['two greys in one wall']);
    expect(findingState(now(), workbench.entries)).toBe('planned');
    const [planned] = workbench.entries.filter((e) => e.state === 'planned');
    expect(planned).toMatchObject({ kind: 'recolour', why: 'mismatch' });
    did(workbench, {
      label: '',
      diff: {
        added: [],
        removed: [],
        changed: [{ type: 'entry', from: planned!, to: { ...planned!, state: 'done' } }],
      },
    });
    expect(findingState(now(), workbench.entries)).toBe('closed');
  });

  it('every kind has its work, or none where it must stay', () => {
    for (const kind of FINDING_KINDS) {
      const workbench = makeWorkbench({ zones: { Hull: ['20 brick 2x4 chalk yellowed'] } });
      const f = finding({ kind, to: kind === 'mismatch' ? el('brick 2x4', 'ash') : null });
      did(workbench, { label: '', diff: added('finding', f) });
      if (kind === 'keep' || kind === 'function') {
        expect(findingState(f, [])).toBe('kept');
        did(workbench, answerFinding(f, 'there'));
        expect(workbench.records.finding.get('f1')!.answer).toBe('there');
      } else {
        const work = workOnFinding(workbench, f, source);
        expect([kind, work.entries.length, work.problems]).toEqual([kind, 1, []]);
      }
    }
    expect(findingState(finding({ dropped: true }), [])).toBe('dropped');
  });
});

describe('the work of a finding', () => {
  const grey = el('brick 2x4', 'ash');
  const lot = { element: brick, qty: 2 };
  const there = [{ element: grey, qty: 2 }];

  it.each([
    ['missing', null, { kind: 'replace-missing', off: [], on: [lot], why: 'missing' }],
    ['broken', null, { kind: 'renew', off: [lot], on: [lot], why: 'missing' }],
    ['faded', null, { kind: 'renew', off: [lot], on: [lot], why: 'faded' }],
    ['mismatch', grey, { kind: 'recolour', off: [lot], on: there, why: 'mismatch' }],
    ['weak', grey, { kind: 'swap', off: [lot], on: there, why: 'weak' }],
    ['weak', null, { kind: 'add', off: [], on: [lot], why: 'weak' }],
    ['gap', null, { kind: 'add', off: [], on: [lot], why: 'gap' }],
    ['open', null, { kind: 'add', off: [], on: [lot], why: 'gap' }],
    ['wish', null, { kind: 'add', off: [], on: [lot], why: 'style' }],
  ] as const)('%s, to %s', (kind, to, intent) => {
    const more = { element: el('plate 1x2', 'chalk'), qty: 1 };
    const intents = intentsOf(finding({ kind, to, lots: [lot, more] }));
    expect(intents).toHaveLength(2);
    expect(intents[0]).toMatchObject({ ...intent, zone: zoneId('Hull'), planned: true });
  });

  it('is none where nobody said what belongs there, or where it must stay', () => {
    for (const kind of ['mismatch', 'keep', 'function'] as const)
      expect(intentsOf(finding({ kind, to: null }))).toEqual([]);
  });

  it('is planned while any of it is, closed when some is done, and a what-if is no part of it', () => {
    const modification = asId<Finding['modification'] & string>('m');
    const f = finding({ modification });
    const entry = (state: 'planned' | 'done', more: object = {}) =>
      ({ modification, state, whatIf: null, ...more }) as never;
    expect(findingState(f, [])).toBe('planned');
    expect(findingState(f, [entry('done'), entry('planned')])).toBe('planned');
    expect(findingState(f, [entry('done')])).toBe('closed');
    expect(findingState(f, [entry('done'), entry('planned', { whatIf: 'w' })])).toBe('closed');
    expect(findingState(f, [entry('planned', { modification: 'other' }), entry('done')])).toBe('closed');
    expect(findingState(f, [entry('done', { whatIf: 'w' })])).toBe('planned');
  });

  it('has its first line as its title, or what its kind is called, and says in the undo list what was said', () => {
    const workbench = makeWorkbench({ zones: { Hull: ['20 brick 2x4 chalk'] } });
    const titleOf = (note: string) =>
      workOnFinding(workbench, finding({ note }), testSource(note)).label.replace('work on: ', '');
    expect(titleOf(' two greys \nand more of it')).toBe('two greys');
    expect(titleOf('x'.repeat(130))).toBe('x'.repeat(120));
    expect(titleOf('\nbelow')).toBe('Put the colour right');
    const noted = (note: string) => keepFinding(workbench, null, finding({ note }), source).label;
    expect([noted('two greys'), noted(''), noted('x'.repeat(70))]).toEqual([
      'note: two greys',
      'note: mismatch',
      `note: ${'x'.repeat(60)}`,
    ]);
    const answered = (note: string, answer: Finding['answer']) =>
      answerFinding(finding({ note }), answer).label;
    expect([answered('the door', 'there'), answered('', 'there'), answered('the door', null)]).toEqual([
      'the door: there',
      'mismatch: there',
      'ask again',
    ]);
    expect(answered('x'.repeat(70), 'there')).toBe(`${'x'.repeat(60)}: there`);
  });
});

it('sizes are in studs and bricks, shown in millimetres', () => {
  const size = { length: 40, width: 16.5, height: 12 + 1 / 3 };
  expect(inMillimetres(size)).toEqual({ length: 320, width: 132, height: 118.4 });
  expect(growth({ length: 40, width: 16, height: 10 }, size)).toMatchObject({ length: 0, width: 0.5 });
});
