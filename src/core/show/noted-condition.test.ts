import { expect, it } from 'vitest';
import { cameFrom, zoneOf } from '../ledger';
import { PART_STATES, statesOf, totalsOf } from '../need';
import { pick, seededRandom } from '../shared/random';
import { modAtRandom, randomSet } from '../testing/mods';
import { carriedOut, notedYellowed, used } from '../testing/workbench';
import type { Workbench } from '../workbench';
import { colourShifts, growthOf, originShares, partsForOthers, piecesByOrigin } from './index';

/** Every list and figure that tells of pieces by where they came from, what was paid, or who needs them. */
function lists(b: Workbench) {
  const { id: modification } = b.modifications[0]!;
  const choice = { planned: false, ideal: true } as const;
  return {
    origins: piecesByOrigin(b, false),
    shares: originShares(b, b.built),
    zones: cameFrom(b.built),
    colours: colourShifts(b, false),
    growth: growthOf(b, false),
    states: PART_STATES.map((s) => totalsOf(statesOf(b, { of: 'build' }, false))[s]),
    forOthers: [null, modification].flatMap((m) =>
      (['set owned', 'all bought'] as const).map((owned) =>
        partsForOthers(b, { ...choice, for: owned, modification: m }),
      ),
    ),
    figures: b.built.figures({ of: 'build' }),
  };
}

it('a condition that is noted is no piece put on, taken off or bought, in any list', () => {
  const random = seededRandom(41);
  for (let seed = 1; seed <= 25; seed++) {
    const b = carriedOut(modAtRandom(randomSet(seed), seed));
    const before = lists(b);
    const stands = b.built.balances
      .rows((a) => zoneOf(a) !== undefined)
      .filter((r) => r.qty > 0 && r.grade === used);
    for (let n = 0; n < 3; n++) {
      const { account, element } = pick(random, stands);
      const zone = zoneOf(account)!;
      if (b.entries.some((e) => e.id === `noted ${element} ${zone}`)) continue;
      notedYellowed(b, zone, element, 1);
    }
    expect(b.entries.some((e) => e.kind === 'regrade')).toBe(true);
    expect(lists(b)).toEqual(before);
  }
});
