import { readyChance } from '../ready';
import { unbroken, unknown, type Rule } from '../rule';

/** What was ordered is there by a day: how likely, from how one's own parcels have come. */
export const readyBy: Rule = {
  id: 'ready by a day',
  name: 'Ready by a day',
  asks: 'day',
  ofBooks: (workbench, { text }) => {
    if (!/^\d{4}-\d\d-\d\d$/.test(text)) return unknown('the day, written 2026-12-24');
    const { waits, unordered, chance } = readyChance(workbench, text);
    if (chance === null) return unknown(`the day on which ${waits.join(', ')} is expected`);
    const late = waits.length > 0 && chance < LIKELY;
    const where = [
      ...(late ? waits : []),
      ...(unordered > 0
        ? [`${unordered} ${unordered === 1 ? 'piece that is' : 'pieces that are'} still to be ordered`]
        : []),
    ];
    return { ...unbroken(where), chance };
  },
};

/** Below four chances in five a day is not promised. */
const LIKELY = 0.8;
