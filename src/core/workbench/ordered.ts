/**
 * Keeps the ordered list of a build's records of one type: the same list until one of them changes, so that what shows it
 * may ask as often as it likes.
 */
export class Ordered<Id, T> {
  private of: ReadonlyMap<Id, T> | null = null;
  private list: readonly T[] = [];

  constructor(
    private readonly isOwn: (record: T) => boolean,
    private readonly order: (a: T, b: T) => number,
  ) {}

  from(records: ReadonlyMap<Id, T>): readonly T[] {
    if (this.of === records) return this.list;
    this.of = records;
    this.list = [...records.values()].filter(this.isOwn).sort(this.order);
    return this.list;
  }
}
