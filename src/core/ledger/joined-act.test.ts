import { describe, expect, it } from 'vitest';
import { asId, type AssemblyId, type ZoneId } from '../shared/ids';
import { el } from '../testing/world';
import { BLANK_INTENT, type Intent } from './intent';
import { joinedAct, settleKind } from './same-act';

const [ash, chalk, tile] = [el('plate 1x2', 'ash'), el('plate 1x2', 'chalk'), el('tile 2x2', 'chalk')];
const PORCH = asId<ZoneId>('porch');
const off = (more: Partial<Intent> = {}): Intent => ({
  ...BLANK_INTENT,
  kind: 'remove',
  off: [{ element: ash, qty: 2 }],
  ...more,
});
const on = (more: Partial<Intent> = {}): Intent => ({
  ...BLANK_INTENT,
  kind: 'add',
  on: [{ element: chalk, qty: 2 }],
  ...more,
});

describe('what is taken off in one clause and put on in the next', () => {
  it.each([
    ['first off, then on', off(), on()],
    ['first on, then off', on(), off()],
  ])('is one recolour: %s', (_, a, b) => {
    expect(joinedAct(a, b)).toMatchObject({
      kind: 'recolour',
      off: [{ element: ash, qty: 2 }],
      on: [{ element: chalk, qty: 2 }],
    });
  });

  it.each([
    ['two removals', off(), off()],
    ['two additions', on(), on()],
    ['a removal and a renewal', off(), on({ kind: 'renew' })],
    ['a move and an addition', off({ kind: 'move' }), on()],
    ['other numbers', off(), on({ on: [{ element: chalk, qty: 3 }] })],
    ['another part', off(), on({ on: [{ element: tile, qty: 2 }] })],
    ['the same colour', off(), on({ on: [{ element: ash, qty: 2 }] })],
    ['another zone', off({ zone: PORCH }), on()],
    ['one planned', off(), on({ planned: true })],
    ['one hidden', off({ hidden: true }), on()],
    ['an assembly that comes off', off({ assembly: asId<AssemblyId>('roof') }), on()],
    ['an assembly that goes on', off(), on({ assembly: asId<AssemblyId>('roof') })],
  ])('are two acts: %s', (_, a, b) => {
    expect(joinedAct(a, b)).toBeNull();
  });

  it('keeps of both what is said of one place and time', () => {
    const said = { zone: PORCH, planned: true, hidden: true };
    expect(joinedAct(off(said), on(said))).toMatchObject({ kind: 'recolour', ...said });
  });

  it('leaves with those that go where they go, and with those that come the rest', () => {
    const both = joinedAct(off({ destination: 'bin' as never }), on({ price: 12, condition: 'new' }));
    expect(both).toMatchObject({ destination: 'bin', price: 12, condition: 'new' });
  });

  it('takes the reason and the note of what comes, or else of what goes', () => {
    const reasons = (a: Partial<Intent>, b: Partial<Intent>) => {
      const act = joinedAct(off(a), on(b));
      return [act?.why, act?.note];
    };
    expect(reasons({ why: 'mismatch', note: 'gone' }, {})).toEqual(['mismatch', 'gone']);
    expect(reasons({ why: 'mismatch', note: 'gone' }, { why: 'fit', note: 'come' })).toEqual(['fit', 'come']);
  });
});

describe('a swap of one part for itself in another colour', () => {
  const swap = (more: Partial<Intent>): Intent => ({ ...off(), on: on().on, kind: 'swap', ...more });

  it('is a recolour, and only then', () => {
    expect(settleKind(swap({})).kind).toBe('recolour');
    const two = [
      { element: ash, qty: 2 },
      { element: tile, qty: 1 },
    ];
    expect(settleKind(swap({ off: two })).kind).toBe('swap');
    expect(settleKind(swap({ on: [{ element: chalk, qty: 2 }, two[1]!] })).kind).toBe('swap');
    expect(settleKind({ ...swap({}), kind: 'renew' }).kind).toBe('renew');
  });
});
