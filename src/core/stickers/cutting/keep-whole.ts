import type { Boxes, Side } from './boxes';
import type { Off } from './lay-out';

/** What was found: the groups that are cut off one after another, and the area of what then stays whole. */
export interface KeptWhole {
  readonly offs: readonly Off[];
  readonly area: number;
}

/**
 * The largest rectangle that can stay whole of a field while a set of strips is cut from it: what is left is one more piece,
 * reached by cutting groups off beside it and over it in turn, each as narrow as it can be. Branch and bound on the area
 * that is left; null = nothing larger than `beyond`, or `isOver` ended it (which `isOver` then says itself).
 */
export function keepWhole(
  boxes: Boxes,
  areas: readonly number[],
  ask: { readonly set: number; readonly field: Side; readonly kerf: number; readonly beyond: number },
  isOver: () => boolean,
): KeptWhole | null {
  const { kerf, field } = ask;
  const areaIn = (set: number) => boxes.sets.digits(set).reduce((s, n, i) => s + n * areas[i]!, 0);
  const seen = new Set<string>();
  const offs: Off[] = [];
  let best: KeptWhole | null = null;
  let most = ask.beyond;

  const go = (set: number, w: number, h: number, last: boolean | null): void => {
    if (set === 0) {
      if (w * h > most) [best, most] = [{ offs: [...offs], area: w * h }, w * h];
      return;
    }
    const key = `${set} ${w} ${h} ${last}`;
    if (seen.has(key) || isOver()) return;
    seen.add(key);
    for (const { part, beside, takes, bound } of ways(set, w, h, last)) {
      if (bound <= most) return;
      const rest = Math.max(0, (beside ? w : h) - takes - kerf);
      offs.push({ part, beside, takes });
      go(set - part, beside ? rest : w, beside ? h : rest, beside);
      offs.pop();
    }
  };

  /** Groups to cut off next, the most promising first; never twice the same way, since then one group is no worse. */
  const ways = (set: number, w: number, h: number, last: boolean | null) => {
    const found: (Off & { bound: number })[] = [];
    const all = areaIn(set);
    boxes.sets.within(set, (part) => {
      if (part === 0) return;
      const left = all - areaIn(part);
      for (const beside of [true, false]) {
        if (beside === last) continue;
        const takes = boxes.widthOf(part, beside ? h : w);
        const rest = (beside ? w : h) - takes - (part === set ? 0 : kerf);
        if (rest < 0) continue;
        const bound = Math.max(0, (beside ? w : h) - takes - kerf) * (beside ? h : w) - left;
        if (bound > most) found.push({ part, beside, takes, bound });
      }
    });
    return found.sort((a, b) => b.bound - a.bound);
  };

  go(ask.set, field.w, field.h, null);
  return best;
}
