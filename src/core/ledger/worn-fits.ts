import { grade, isWorn, modelAccount } from '../places';
import { splitElementKey, type ElementKey } from '../parts';
import type { ZoneId } from '../shared/ids';
import type { Books } from './books';
import type { Intent } from './intent';

/**
 * Whether worn pieces fit where a line puts them: where it is said, where nobody sees them, and among pieces of their colour
 * of which most have aged too. A yellowed piece is no white one.
 */
export class WornFits {
  /** Every place is asked for, and the answer is the same. */
  private readonly known = new Map<ElementKey, boolean>();

  constructor(
    private readonly books: Books,
    private readonly zone: ZoneId,
    private readonly intent: Pick<Intent, 'condition' | 'hidden'>,
  ) {}

  fits(element: ElementKey): boolean {
    const known = this.known.get(element) ?? this.look(element);
    this.known.set(element, known);
    return known;
  }

  private look(element: ElementKey): boolean {
    if (this.intent.condition) return isWorn(grade(this.intent.condition));
    if (this.intent.hidden) return true;
    const { colour } = splitElementKey(element);
    let [worn, good] = [0, 0];
    for (const r of this.books.balances.rows((a) => a === modelAccount(this.zone))) {
      if (r.qty <= 0 || splitElementKey(r.element).colour !== colour) continue;
      if (isWorn(r.grade)) worn += r.qty;
      else good += r.qty;
    }
    return worn > good;
  }
}
