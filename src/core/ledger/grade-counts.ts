import { byGrade, type Grade } from '../places';

/**
 * Pieces of one element at one account, by grade. Nearly always there is one grade only, so the first has a slot of
 * its own and costs no map.
 */
export class GradeCounts {
  private others: Map<Grade, number> | null = null;

  constructor(
    private readonly first: Grade,
    private firstQty: number,
  ) {}

  copy(): GradeCounts {
    const copy = new GradeCounts(this.first, this.firstQty);
    if (this.others?.size) copy.others = new Map(this.others);
    return copy;
  }

  add(grade: Grade, qty: number): void {
    if (grade === this.first) {
      this.firstQty += qty;
      return;
    }
    this.others ??= new Map();
    const now = (this.others.get(grade) ?? 0) + qty;
    if (now === 0) this.others.delete(grade);
    else this.others.set(grade, now);
  }

  get(grade: Grade): number {
    return grade === this.first ? this.firstQty : (this.others?.get(grade) ?? 0);
  }

  get isEmpty(): boolean {
    return this.firstQty === 0 && !this.others?.size;
  }

  sum(): number {
    let sum = this.firstQty;
    if (this.others) for (const qty of this.others.values()) sum += qty;
    return sum;
  }

  /** Grades that have pieces, or lack them, best first. */
  list(): [Grade, number][] {
    const all: [Grade, number][] = this.firstQty === 0 ? [] : [[this.first, this.firstQty]];
    if (!this.others) return all;
    all.push(...this.others);
    return all.sort(([a], [b]) => byGrade(a, b));
  }
}
