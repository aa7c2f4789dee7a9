import { unbroken, type Rule } from '../rule';
import { markedEntries } from '../part-marks';

/** No part that another maker made or that was printed at home, as far as entries are marked so. */
export const genuineParts: Rule = {
  id: 'genuine parts',
  name: 'Genuine parts only',
  asks: 'nothing',
  ofBooks: (workbench) => unbroken([], markedEntries(workbench, ['other maker', 'printed'])),
};
