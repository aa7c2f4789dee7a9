import { describe, expect, it } from 'vitest';
import { el, entry, ZONES } from '../testing/world';
import {
  BLANK_INTENT,
  entryFault,
  grade,
  intentOf,
  modelAccount,
  openPlaceholders,
  OUTSIDE,
  type Intent,
} from './index';

import { ash, chalk, log, logged, model, porch, shipped, spares, tray, unpack, move } from '../testing/tally';

describe('drafting', () => {
  it('says how many there are and where when a part is not there', () => {
    const drafted = log({ kind: 'remove', off: [{ element: ash, qty: 1 }] }, [
      unpack,
      entry('k', 'add-stock', [{ ...move(4, ash), from: OUTSIDE, to: tray }], { build: null }),
    ]);
    expect(drafted).toMatchObject({
      ok: false,
      reason: { reason: 'not on the model', wanted: 1, there: 0, elsewhere: [{ account: tray, qty: 4 }] },
    });
  });

  it('refuses more than there are when done, and plans it as a need', () => {
    const intent: Partial<Intent> = { kind: 'add', on: [{ element: chalk, qty: 5 }], source: 'spares' };
    expect(log(intent, [unpack])).toMatchObject({ ok: false, reason: { reason: 'not at hand', there: 1 } });
    expect(log({ ...intent, planned: true }, [unpack]).ok).toBe(true);
  });

  it('never takes the same piece twice in one entry', () => {
    const intent: Partial<Intent> = {
      kind: 'remove',
      off: [
        { element: chalk, qty: 15 },
        { element: chalk, qty: 6 },
      ],
    };
    expect(log(intent, [unpack])).toMatchObject({ ok: false, reason: { wanted: 6, there: 5 } });
  });

  it('renews the worst pieces with better ones only', () => {
    const old = entry('f', 'unpack', [
      { ...move(2, ash, grade('faded')), from: shipped, to: model },
      { ...move(3, ash), from: shipped, to: model },
      { ...move(9, ash, grade('faded')), from: shipped, to: spares },
    ]);
    const made = logged({ kind: 'renew', off: [{ element: ash, qty: 3 }], on: [{ element: ash, qty: 3 }] }, [
      old,
    ]);
    expect(made.movements.map((m) => [m.grade, m.qty, m.from === model])).toEqual([
      ['faded', 2, true],
      ['used', 1, true],
      ['new', 3, false],
    ]);
  });

  it('takes a zone’s parts, those nested in it, and what was not placed in any zone', () => {
    const zoned = entry('z', 'unpack', [
      { ...move(2, ash), from: shipped, to: modelAccount(porch) },
      { ...move(2, ash), from: shipped, to: model },
    ]);
    const made = logged({ kind: 'remove', off: [{ element: ash, qty: 3 }], zone: porch }, [zoned]);
    expect(made.movements.map((m) => [m.from, m.qty])).toEqual([
      [modelAccount(porch), 2],
      [model, 1],
    ]);
    expect(
      log({ kind: 'remove', off: [{ element: ash, qty: 1 }], zone: ZONES[2]!.id }, [
        entry('y', 'unpack', [{ ...move(2, ash), from: shipped, to: modelAccount(porch) }]),
      ]).ok,
    ).toBe(false);
  });

  it('keeps track of placeholders until they are replaced', () => {
    const bark = el('plate 2x3', 'bark');
    const stand = logged(
      { kind: 'placeholder', on: [{ element: ash, qty: 8 }], standsFor: bark },
      [unpack],
      's',
    );
    const swap = logged(
      {
        kind: 'replacement',
        off: [{ element: ash, qty: 3 }],
        on: [{ element: bark, qty: 3 }],
        standsFor: bark,
      },
      [unpack, stand],
      'r',
    );
    expect(openPlaceholders([stand, swap])).toEqual([{ element: ash, standsFor: bark, qty: 5 }]);
  });

  it('turns an entry back into what was said', () => {
    const said: Intent = {
      ...BLANK_INTENT,
      kind: 'recolour',
      off: [{ element: chalk, qty: 6 }],
      on: [{ element: ash, qty: 6 }],
      why: 'mismatch',
      note: 'n',
    };
    expect(intentOf(logged(said, [unpack]))).toMatchObject({
      kind: 'recolour',
      off: said.off,
      on: said.on,
      why: 'mismatch',
      note: 'n',
    });
    expect(intentOf(unpack)).toBeUndefined();
  });
});

describe('unlawful entries', () => {
  it.each([
    ['no movements', entry('a', 'add', [])],
    ['quantity', entry('a', 'add', [{ ...move(0), from: spares, to: model }])],
    ['quantity', entry('a', 'add', [{ ...move(1.5), from: spares, to: model }])],
    ['same place', entry('a', 'move', [{ ...move(1), from: model, to: model }])],
    ['route', entry('a', 'add', [{ ...move(1), from: model, to: spares }])],
    [
      'uneven',
      entry('a', 'recolour', [
        { ...move(2), from: model, to: spares },
        { ...move(1), from: spares, to: model },
      ]),
    ],
    ['grade', entry('a', 'add', [{ ...move(1), grade: 'shiny' as never, from: spares, to: model }])],
    ['worth', entry('a', 'add', [{ ...move(1), worth: -4, from: spares, to: model }])],
  ])('%s', (fault, bad) => expect(entryFault(bad)).toMatchObject({ fault }));
});
