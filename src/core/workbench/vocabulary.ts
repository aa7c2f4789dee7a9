import { colourWords, type Colour } from '../colour';
import { Lexicon } from '../log-line';
import type { Entry, RecordSet } from '../ledger';
import type { ElementKey } from '../parts';
import type { ColourId } from '../shared/ids';

/** What colour names of other lists were said to mean, by their words: "dark ash" = the id of a colour of the palette. */
export const aliasesOf = (records: RecordSet): ReadonlyMap<string, ColourId> =>
  new Map([...records.colourAlias.values()].map((a) => [colourWords(a.id).join(' '), a.colour]));

/** The elements that lines of a bench may name, and the lexicon of their words: made anew at the first asking after one came. */
export class Vocabulary {
  private readonly known = new Set<ElementKey>();
  /** Those of them that are this build's own, and not only priced or somewhere else. */
  private readonly ofBuild = new Set<ElementKey>();
  private words: Lexicon | null = null;

  /** Every element that a line may name: the build's own, and what is priced or lies somewhere. */
  get elements(): ReadonlySet<ElementKey> {
    return this.known;
  }

  /** The elements of the build's entries and assemblies. */
  get own(): ReadonlySet<ElementKey> {
    return this.ofBuild;
  }

  /** Learns the elements of entries of a log that is being opened: `learnRest` is to follow. */
  learnEntries(entries: Iterable<Entry>): void {
    for (const e of entries) for (const m of e.movements) this.ofBuild.add(m.element);
  }

  /** Learns what is not in entries: assemblies, prices, and what lies elsewhere. Colours and their aliases may have changed. */
  learnRest(records: RecordSet, elsewhere: readonly { readonly element: ElementKey }[]): void {
    for (const a of records.assembly.values()) for (const l of a.lots) this.ofBuild.add(l.element);
    for (const e of this.ofBuild) this.known.add(e);
    for (const r of elsewhere) this.known.add(r.element);
    for (const p of records.price.values()) this.known.add(p.element);
    this.words = null;
  }

  /** Learns one entry that was logged: costs only its own movements. */
  learnEntry(entry: Entry): void {
    for (const { element } of entry.movements) {
      this.ofBuild.add(element);
      if (this.known.has(element)) continue;
      this.known.add(element);
      this.words = null;
    }
  }

  lexicon(palette: readonly Colour[], records: RecordSet): Lexicon {
    return (this.words ??= new Lexicon(this.known, palette, aliasesOf(records)));
  }
}
