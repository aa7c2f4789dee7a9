import type { Diff } from '@/core/ledger';
import { LIMITS } from '@/core/shared/bounds';
import type { Handle } from '@/data/database';
import { numbersIn } from '@/data/records';

type Numbered = 'entry' | 'modification';

/**
 * Numbers are the server's to give, since two windows may number new entries or modifications alike: a taken one becomes
 * the next that is free. Where somebody has used the highest number there is, the lowest free one is given, so that no
 * number can keep the next entry from having one.
 */
export function renumber(handle: Handle, diff: Diff): Diff {
  const givers = new Map<string, (wanted: number) => number>();
  const give = (type: Numbered, build: string, wanted: number): number => {
    const key = `${type} ${build}`;
    const giver = givers.get(key) ?? numberGiver(handle, type, build);
    givers.set(key, giver);
    return giver(wanted);
  };
  const added = diff.added.map((r) => {
    if (r.type === 'modification')
      return { ...r, record: { ...r.record, no: give(r.type, r.record.build, r.record.no) } };
    if (r.type === 'entry' && r.record.build && r.record.no > 0)
      return { ...r, record: { ...r.record, no: give(r.type, r.record.build, r.record.no) } };
    return r;
  });
  return { ...diff, added };
}

function numberGiver(handle: Handle, type: Numbered, build: string): (wanted: number) => number {
  let top = numbersIn(handle.db, type, build).top;
  let taken: Set<number> | undefined;
  return (wanted) => {
    if (wanted > top && wanted <= LIMITS.no) return (top = wanted);
    if (top < LIMITS.no) return ++top;
    taken ??= new Set(numbersIn(handle.db, type, build).all());
    let no = 1;
    while (taken.has(no)) no++;
    taken.add(no);
    return no;
  };
}
