import { describe, expect, it } from 'vitest';
import { bench, kelp, ordered } from '../testing/promised';
import { did, doneAndBack, planned, testSource, zoneId } from '../testing/workbench';
import type { Workbench } from '../workbench';
import { type Entry } from '../ledger';
import {
  asideNow,
  deleteAttempt,
  isAsideOver,
  keepAttempt,
  keepLetter,
  keepLooks,
  letterState,
  lookedAgain,
  looksOf,
  newAttempt,
  newLetter,
  putAsideUntil,
  spendTime,
  timeByModification,
} from './index';
import { takeTally } from '../ledger';

const last = (b: Workbench): Entry => [...b.records.entry.values()].at(-1)!;

describe('what is kept beside the sums', () => {
  it('attempts keep a reason only while they are dropped', () => {
    const b = bench();
    const made = { ...newAttempt(b, testSource('a'), zoneId('Roof')), what: 'a turning vane' };
    const before = takeTally(b.planned, { of: 'build' }, b.priceOf);
    doneAndBack(b, keepAttempt(b, { ...made, state: 'dropped' }));
    expect(b.records.attempt.get(made.id)!.end).toBe('another reason');
    did(b, keepAttempt(b, { ...made, state: 'works', end: 'too heavy' }));
    expect(b.records.attempt.get(made.id)!.end).toBe(null);
    expect(takeTally(b.planned, { of: 'build' }, b.priceOf)).toEqual(before);
    doneAndBack(b, deleteAttempt(b.records.attempt.get(made.id)!));
  });

  it('letters count what was not answered', () => {
    const b = bench();
    const made = newLetter(b, testSource('l'));
    const line = (side: 'asked' | 'answered') => ({ on: '2026-01-01', side, what: '' });
    doneAndBack(
      b,
      keepLetter(b, {
        ...made,
        lines: [line('asked'), line('answered'), line('asked'), line('asked')],
        nextOn: '2026-03-01',
      }),
    );
    const kept = b.records.letter.get(made.id)!;
    expect(letterState(kept, '2026-02-28')).toEqual({ unanswered: 2, isDue: false });
    expect(letterState(kept, '2026-03-01T10:00:00Z').isDue).toBe(true);
    expect(letterState({ ...kept, lines: [line('asked'), line('answered')], nextOn: '' }, '2030')).toEqual({
      unanswered: 0,
      isDue: false,
    });
  });

  it('time: days come from the log, minutes are typed, waiting stands beside them', () => {
    const b = bench();
    planned(b, testSource('t'), { on: [{ element: kelp, qty: 2 }] });
    const m = b.modifications[0]!.id;
    expect(timeByModification(b, '2026-02-01')).toEqual([]);
    const entry = last(b);
    did(b, {
      label: 'x',
      diff: {
        added: [],
        removed: [],
        changed: [
          { type: 'entry', from: entry, to: { ...entry, state: 'done', loggedAt: '2026-01-05T10:00:00Z' } },
        ],
      },
    });
    doneAndBack(b, spendTime(b, { modification: m, minutes: 40, note: '' }, testSource('m')));
    did(b, spendTime(b, { modification: null, minutes: 5, note: '' }, testSource('n')));
    ordered(b, 'late', '2026-01-10', null);
    expect(timeByModification(b, '2026-02-01')).toEqual([
      { modification: m, days: 1, first: '2026-01-05', last: '2026-01-05', minutes: 40, waited: 0 },
      { modification: null, days: 0, first: '', last: '', minutes: 5, waited: 31 },
    ]);
  });

  it('a build is put aside until a day, and looked at again', () => {
    const b = bench();
    expect(asideNow(b)).toBe(null);
    doneAndBack(b, putAsideUntil(b, '2026-02-01', 'the roof', testSource('p')));
    const aside = asideNow(b)!;
    expect([isAsideOver(aside, '2026-01-31'), isAsideOver(aside, '2026-02-01')]).toEqual([false, true]);
    doneAndBack(b, lookedAgain(aside, testSource('q')));
    expect(asideNow(b)).toBe(null);
  });

  it('looks are said once for a build', () => {
    const b = bench();
    expect(looksOf(b)).toMatchObject({ symmetry: 'not said', row: '' });
    doneAndBack(b, keepLooks(b, { ...looksOf(b), symmetry: 'mirrored', row: 'quay' }));
    expect(looksOf(b)).toMatchObject({ symmetry: 'mirrored', row: 'quay' });
  });
});
