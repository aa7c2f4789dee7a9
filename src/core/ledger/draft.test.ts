import { describe, expect, it } from 'vitest';
import { asId, type EntryId } from '../shared/ids';
import { pick, seededRandom } from '../shared/random';
import { draftContext, MODIFICATIONS, randomIntent, randomLog } from '../testing/world';
import {
  conditionOf,
  draftEntry,
  entryFault,
  gradeRank,
  offPieces,
  onPieces,
  overdrafts,
  isEndless,
  placeOf,
  zoneOf,
  type Entry,
  type Intent,
} from './index';

const total = (pieces: readonly { qty: number }[]) => pieces.reduce((s, p) => s + p.qty, 0);

describe.each([11, 12, 13, 14])('drafting, whatever is asked for (seed %i)', (seed) => {
  const log = randomLog(seed, 120);
  const context = draftContext(log.built, log.planned);
  const random = seededRandom(seed * 7);
  const drafts: { intent: Intent; entry: Entry }[] = [];
  for (let n = 0; n < 400; n++) {
    const intent = randomIntent(random);
    const stamp = {
      id: asId<EntryId>(`d${n}`),
      no: 1,
      position: 1,
      loggedAt: '',
      modification: pick(random, MODIFICATIONS),
    };
    const made = draftEntry(intent, stamp, context);
    if (made.ok) drafts.push({ intent, entry: made.value });
  }

  it('makes plenty of entries, every one lawful', () => {
    expect(drafts.length).toBeGreaterThan(80);
    for (const { entry } of drafts) expect(entryFault(entry)).toBeUndefined();
  });

  it('moves exactly the pieces that were asked for', () => {
    for (const { intent, entry } of drafts) {
      expect(total(offPieces(entry))).toBe(total(intent.off));
      expect(total(onPieces(entry))).toBe(intent.kind === 'move' ? 0 : total(intent.on));
      expect(new Set(offPieces(entry).map((p) => p.element))).toEqual(
        new Set(intent.off.map((p) => p.element)),
      );
    }
  });

  it('never takes from a real place what is not there, when it is done', () => {
    for (const { entry } of drafts.filter((d) => d.entry.state === 'done')) {
      log.built.post(entry);
      expect(overdrafts(log.built.balances)).toEqual([]);
      log.built.unpost(entry);
    }
  });

  it('takes pieces from the source that was named, and from no other', () => {
    for (const { intent, entry } of drafts.filter((d) => d.intent.source)) {
      const from = entry.movements.filter((m) => placeOf(m.from) !== 'model').map((m) => placeOf(m.from));
      expect(new Set(from)).toEqual(new Set(from.length > 0 ? [intent.source] : []));
    }
  });

  it('renews only with better pieces than it takes off', () => {
    const renewed = drafts.filter((d) => d.intent.kind === 'renew' && !d.intent.condition);
    for (const { entry } of renewed) {
      const best = Math.min(
        ...entry.movements.filter((m) => placeOf(m.from) === 'model').map((m) => gradeRank(m.grade)),
      );
      const on = entry.movements.filter(
        (m) => placeOf(m.to) === 'model' && !isEndless(m.from) && m.worth !== undefined,
      );
      if (entry.state === 'done') for (const m of on) expect(gradeRank(m.grade)).toBeLessThan(best);
    }
  });

  it('puts pieces into the zone that was named, or the modification’s own', () => {
    for (const { intent, entry } of drafts.filter((d) => d.intent.kind !== 'move')) {
      const home = MODIFICATIONS.find((m) => m.id === entry.modification)!.zone;
      for (const m of entry.movements)
        if (placeOf(m.to) === 'model') expect(zoneOf(m.to)).toBe(intent.zone ?? home);
    }
  });

  it('buys in the condition and at the price that were said', () => {
    for (const { intent, entry } of drafts)
      for (const m of entry.movements.filter((x) => placeOf(x.from) === 'outside')) {
        expect(conditionOf(m.grade)).toBe(intent.condition ?? 'new');
        if (intent.price !== null) expect(m.worth).toBe(intent.price);
      }
  });
});
