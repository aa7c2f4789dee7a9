import { describe, expect, it } from 'vitest';
import { added } from '../ledger';
import { FINDING_KINDS, type Finding } from '../records';
import { asId } from '../shared/ids';
import { brick } from '../testing/faded';
import { did, makeWorkbench, testSource, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import { answerFinding, findingState, growth, inMillimetres, workOnFinding } from './index';

const source = testSource();

describe('findings', () => {
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

it('sizes are in studs and bricks, shown in millimetres', () => {
  const size = { length: 40, width: 16.5, height: 12 + 1 / 3 };
  expect(inMillimetres(size)).toEqual({ length: 320, width: 132, height: 118.4 });
  expect(growth({ length: 40, width: 16, height: 10 }, size)).toMatchObject({ length: 0, width: 0.5 });
});
