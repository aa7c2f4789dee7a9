import { elementKey, readPartName, type ElementKey } from '../../core/parts';
import { asId, type ColourId } from '../../core/shared/ids';

/** A demo set as data: official inventory by zone. */
export interface DemoSet {
  readonly code: string;
  readonly name: string;
  readonly maker: string;
  readonly year: number;
  readonly lots: readonly DemoLot[];
}

export interface DemoLot {
  readonly element: ElementKey;
  readonly qty: number;
  readonly extra: boolean;
  readonly zone: string;
}

/** Reads "38 brick 1x2 chalk" lines under "[Zone]" headings; "+" before a quantity marks the box's own extras. */
export function lotsOf(text: string): DemoLot[] {
  let zone = '';
  return text
    .trim()
    .split('\n')
    .flatMap((raw) => {
      const line = raw.trim();
      const heading = /^\[(.*)\]$/.exec(line);
      if (heading) {
        zone = heading[1] ?? '';
        return [];
      }
      const found = /^(\+?)(\d+) (.+) ([a-z-]+)(?: \((.+)\))?$/.exec(line);
      if (!found) throw new Error(`not a lot: ${line}`);
      const [, plus, qty, part = '', colour = '', print = ''] = found;
      const element = elementKey(readPartName(part).part.id, asId<ColourId>(colour), print);
      return [{ element, qty: Number(qty), extra: plus === '+', zone: plus ? '' : zone }];
    });
}

export const piecesIn = (set: DemoSet): number => set.lots.reduce((s, l) => s + (l.extra ? 0 : l.qty), 0);
