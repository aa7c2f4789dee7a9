import type { Figures } from '../ledger';

/** Pieces on the model as a person tells them: kept, changed for the like, new. They add up to what stands. */
export interface Standing {
  readonly onModel: number;
  readonly kept: number;
  /** In the place of the like of them: recoloured, renewed, placeholders replaced. */
  readonly changed: number;
  readonly fresh: number;
}

/**
 * What stands of a build or a zone, told by its figures. Where more was put in than is there, since some of it came off again,
 * what is new and changed is as much as stands, and nothing is kept.
 *
 * @example standingOf(books.figures({ of: 'zone', zone })) // { onModel: 60, kept: 40, changed: 12, fresh: 8 }
 */
export function standingOf(f: Figures): Standing {
  const onModel = Math.max(0, f.onModel);
  // What was moved in from another zone is new there; for the whole build as much has moved out.
  const fresh = Math.min(
    onModel,
    Math.max(0, f.in + f.missingReplaced + Math.max(0, f.movedIn - f.movedOut)),
  );
  const changed = Math.min(onModel - fresh, f.recoloured + f.renewed + f.replaced);
  return { onModel, kept: onModel - fresh - changed, changed, fresh };
}
