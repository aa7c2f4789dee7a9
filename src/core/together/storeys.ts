import { added, changed, removed, type Command, type Source } from '../ledger';
import type { Storey } from '../records';
import { asId, type StoreyId } from '../shared/ids';
import type { Workbench } from '../workbench';

/** The storeys and extensions of a build, from the ground up. */
export const storeysOf = (workbench: Workbench): Storey[] =>
  [...workbench.records.storey.values()]
    .filter((s) => s.build === workbench.build)
    .sort((a, b) => a.position - b.position);

/** Notes a storey, or an extension that is planned: on top of those that there are. */
export function addStorey(
  workbench: Workbench,
  storey: Pick<Storey, 'name'> & Partial<Pick<Storey, 'zone' | 'from' | 'rule' | 'state'>>,
  source: Source,
): Command {
  const top = storeysOf(workbench).reduce((most, s) => Math.max(most, s.position), 0);
  const record: Storey = {
    ...{
      id: asId<StoreyId>(source.newId()),
      build: workbench.build,
      zone: null,
      from: null,
      rule: 'anywhere',
    },
    ...{ state: 'idea', note: '', position: top + 1 },
    ...storey,
  };
  return { label: `note storey ${storey.name}`, diff: added('storey', record) };
}

export const changeStorey = (storey: Storey, to: Partial<Storey>): Command => ({
  label: `change storey ${storey.name}`,
  diff: changed('storey', storey, to),
});

export const deleteStorey = (storey: Storey): Command => ({
  label: `delete storey ${storey.name}`,
  diff: removed('storey', storey),
});

/** Puts a storey one up or one down; null at the end of the stack. */
export function shiftStorey(workbench: Workbench, storey: Storey, by: -1 | 1): Command | null {
  const all = storeysOf(workbench);
  const other = all[all.findIndex((s) => s.id === storey.id) + by];
  if (!other) return null;
  const a = changed('storey', storey, { position: other.position });
  const b = changed('storey', other, { position: storey.position });
  return {
    label: `${storey.name} ${by > 0 ? 'up' : 'down'}`,
    diff: { added: [], removed: [], changed: [...a.changed, ...b.changed] },
  };
}

/** What is against the order of a stack. */
export type StackFault =
  | { readonly fault: 'not on top'; readonly storey: Storey; readonly over: Storey }
  | { readonly fault: 'not at the bottom'; readonly storey: Storey; readonly under: Storey }
  | { readonly fault: 'twice'; readonly storey: Storey };

/**
 * What is wrong with the order of the storeys that stand, and of those that are planned on them: one that must be on top has
 * something on it, one that must be at the bottom stands on something, one of which there may be one stands twice. Ideas count for
 * nothing yet.
 *
 * @example stackFaults([ground, roof, attic]) // [{ fault: 'not on top', storey: roof, over: attic }]
 */
export function stackFaults(storeys: readonly Storey[]): StackFault[] {
  const stack = storeys.filter((s) => s.state !== 'idea').sort((a, b) => a.position - b.position);
  const [bottom, top] = [stack[0], stack.at(-1)];
  return stack.flatMap((s, i): StackFault[] => {
    if (s.rule === 'on top' && s !== top) return [{ fault: 'not on top', storey: s, over: stack[i + 1]! }];
    if (s.rule === 'at the bottom' && s !== bottom)
      return [{ fault: 'not at the bottom', storey: s, under: stack[i - 1]! }];
    const isAgain = s.rule === 'once only' && stack.slice(0, i).some((o) => o.name.trim() === s.name.trim());
    return isAgain ? [{ fault: 'twice', storey: s }] : [];
  });
}
