import { describe, expect, it } from 'vitest';
import type { Finding } from '../records';
import { doneAndBack, makeWorkbench, testSource, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import {
  closeFinding,
  completeness,
  findingState,
  keepFinding,
  measureSize,
  sayDisplay,
  workOnFinding,
} from './index';

const hut = () =>
  makeWorkbench({
    zones: { Wall: ['6 brick 1x2 slate', '3 plate 1x2 ash'] },
    stock: ['4 brick 1x2 ash used'],
    prices: ['brick 1x2 slate 12'],
  });
const fields: Parameters<typeof keepFinding>[2] = {
  kind: 'mismatch',
  zone: zoneId('Wall'),
  note: 'one ash among slate',
  matters: 3,
  lots: [{ element: el('brick 1x2', 'slate'), qty: 1 }],
  to: null,
  photo: null,
};
const the = (workbench: ReturnType<typeof hut>): Finding => [...workbench.records.finding.values()][0]!;

describe('the card of an inspection', () => {
  it('keeps what is not spoken of', () => {
    const workbench = hut();
    const card = () => workbench.records.inspectionCard.get(workbench.build);
    doneAndBack(workbench, sayDisplay(workbench, { display: 'hung' }));
    doneAndBack(workbench, measureSize(workbench, 'found', { length: 20, width: 10, height: 12 }));
    doneAndBack(workbench, sayDisplay(workbench, { away: [zoneId('Wall')] }));
    doneAndBack(workbench, measureSize(workbench, 'built', { length: 20, width: 11, height: 12 }));
    doneAndBack(workbench, measureSize(workbench, 'found', null));
    expect(card()).toMatchObject({
      display: 'hung',
      away: [zoneId('Wall')],
      found: null,
      built: { width: 11 },
    });
  });
});

describe('a finding', () => {
  it('is kept, changed where it stands, closed by hand and taken up again', () => {
    const workbench = hut();
    doneAndBack(workbench, keepFinding(workbench, null, fields, testSource()));
    expect(the(workbench)).toMatchObject({
      note: 'one ash among slate',
      modification: null,
      dropped: false,
      at: '2026-11-24T10:00:00Z',
    });
    const id = the(workbench).id;
    doneAndBack(
      workbench,
      keepFinding(workbench, the(workbench), { ...fields, note: 'two', matters: 1 }, testSource('b')),
    );
    expect(the(workbench)).toMatchObject({ id, note: 'two', matters: 1, at: '2026-11-24T10:00:00Z' });
    doneAndBack(workbench, closeFinding(the(workbench), true));
    expect(findingState(the(workbench), workbench.entries)).toBe('dropped');
    doneAndBack(workbench, closeFinding(the(workbench), false));
    expect(findingState(the(workbench), workbench.entries)).toBe('open');
  });

  it('that is changed keeps the work that was begun on it', () => {
    const workbench = hut();
    doneAndBack(workbench, keepFinding(workbench, null, fields, testSource('f')));
    doneAndBack(workbench, workOnFinding(workbench, the(workbench), testSource('w')));
    const { modification } = the(workbench);
    expect(modification).not.toBeNull();
    doneAndBack(
      workbench,
      keepFinding(workbench, the(workbench), { ...fields, note: 'seen again' }, testSource('g')),
    );
    expect(the(workbench)).toMatchObject({ modification, note: 'seen again' });
    expect(findingState(the(workbench), workbench.entries)).toBe('planned');
  });
});

describe('what a box is worth', () => {
  it('says how many of its pieces have no price, and counts none of them', () => {
    expect(completeness(hut())).toMatchObject({ expected: 9, worthExpected: 6 * 8, unpriced: 3 });
  });
});
