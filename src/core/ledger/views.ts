import { never } from '../shared/assert';
import type { WhatIfId } from '../shared/ids';
import type { Entry } from '../records';

/** How the same books are looked at. */
export type View =
  | { readonly kind: 'built' }
  | { readonly kind: 'planned'; readonly whatIf?: WhatIfId }
  | { readonly kind: 'asOf'; readonly no: number };

/** True when an entry counts in a view. What-if entries count only in the plan that names them. */
export function inView(entry: Entry, view: View): boolean {
  switch (view.kind) {
    case 'built':
      return entry.state === 'done';
    case 'planned':
      return entry.whatIf === null || entry.whatIf === view.whatIf;
    case 'asOf':
      return entry.state === 'done' && entry.no <= view.no;
    default:
      return never(view);
  }
}
