import type { ActionId } from '../shared/ids';
import type { Diff } from './diff';
import type { TypedRecord } from '../records';

/** What a person did, as a value that can be sent, undone and done again. */
export interface Action {
  readonly id: ActionId;
  /** Where it was asked for: a build's id, or "own parts". It joins the undo lists of all that it changes: `scopesOf`. */
  readonly scope: string;
  /** What it did, for the undo button and the other window: "log −2 plate 2x3 chalk". */
  readonly label: string;
  readonly diff: Diff;
}

/** The scope of what belongs to no build: own parts, prices, colours. */
export const STOCK_SCOPE = 'stock';

/**
 * The undo lists that an action joins: where it was asked for, every build whose records it changes, and own parts when
 * it changes trays or what lies in them. So what was done elsewhere to a build is undone from there too, and never
 * stands in the way of the build's own undo.
 *
 * scopesOf(a merge of trays that two builds plan from) = ['own parts', 'build-1', 'build-2']
 */
export function scopesOf({ scope, diff }: Pick<Action, 'scope' | 'diff'>): string[] {
  const scopes = new Set([scope]);
  for (const r of [
    ...diff.added,
    ...diff.removed,
    ...diff.changed.map((c) => ({ type: c.type, record: c.to })),
  ]) {
    const owner = ownerOf(r as TypedRecord);
    if (owner) scopes.add(owner);
  }
  return [...scopes];
}

function ownerOf({ type, record }: TypedRecord): string | null {
  if (type === 'build') return record.id;
  if (type === 'entry') return record.build ?? STOCK_SCOPE;
  if (type === 'tray') return STOCK_SCOPE;
  return 'build' in record ? record.build : null;
}
