import type { PriceListFault } from '@/core/market';

/** What is wrong with a price list, where, and what to write. */
export function priceListWords(fault: PriceListFault): string {
  switch (fault.fault) {
    case 'no heading':
      return 'its first row has to name the columns: part, colour, condition, price, stock.';
    case 'no column':
      return `no column is called ${fault.column}. Write it in the first row.`;
    case 'row':
      return `line ${fault.line}, ${fault.column}: ${fault.text ? `“${fault.text}” cannot be read` : 'it is empty'}.`;
  }
}
