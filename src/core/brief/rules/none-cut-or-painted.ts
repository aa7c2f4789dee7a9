import { unbroken, type Rule } from '../rule';
import { markedEntries } from '../part-marks';

/** No part that was cut or painted, as far as entries are marked so. */
export const noneCutOrPainted: Rule = {
  id: 'none cut or painted',
  name: 'No cut or painted part',
  asks: 'nothing',
  ofBooks: (workbench) => unbroken([], markedEntries(workbench, ['cut', 'painted'])),
};
