import { elementName, searchWords, sortedByName, type ElementKey } from '../parts';
import { accountOwner } from '../ledger';
import type { StockLot } from './stock';

/** An element in own parts with the lots of it. */
export interface StockHit {
  readonly element: ElementKey;
  readonly name: string;
  readonly qty: number;
  readonly lots: readonly StockLot[];
}

/**
 * Own parts, ready to be searched at every keystroke: names are made and sorted once, and a longer search looks only at
 * what the shorter one before it found.
 */
export class StockIndex {
  private readonly all: readonly StockHit[];
  private last: { words: readonly string[]; tray: string | null; hits: readonly StockHit[] } | null = null;

  constructor(rows: readonly StockLot[]) {
    const byElement = new Map<ElementKey, StockLot[]>();
    for (const r of rows) {
      if (r.qty <= 0) continue;
      const lots = byElement.get(r.element);
      if (lots) lots.push(r);
      else byElement.set(r.element, [r]);
    }
    this.all = sortedByName([...byElement], ([element]) => element).map(([element, lots]) => ({
      element,
      name: elementName(element),
      qty: lots.reduce((s, l) => s + l.qty, 0),
      lots,
    }));
  }

  /** Elements whose name has all the words of a search, in one tray or in all (null), by name. */
  search(text: string, tray: string | null = null): readonly StockHit[] {
    const words = searchWords(text);
    const { last } = this;
    // Each old word still stands within a new one: nothing that was left out can come back.
    const narrower =
      last !== null && last.tray === tray && last.words.every((w) => words.some((x) => x.includes(w)));
    let hits = narrower ? last.hits : this.all;
    if (!narrower && tray !== null)
      hits = hits.flatMap((h) => {
        const lots = h.lots.filter((l) => accountOwner<string>(l.account) === tray);
        return lots.length === 0 ? [] : [{ ...h, lots, qty: lots.reduce((s, l) => s + l.qty, 0) }];
      });
    hits = hits.filter((h) => words.every((w) => h.name.includes(w)));
    this.last = { words, tray, hits };
    return hits;
  }
}
