import { type AccountKey, type Entry, type Movement } from '../ledger';
import { makeWorkbench, used, zoneId } from './workbench';
import { el } from './world';
import { asId } from '../shared/ids';

/** A planned entry that takes pieces of own parts for the porch. */
export const planTaking = (from: AccountKey, part: string, colour: string, qty: number, id = 'p'): Entry => {
  const workbench = makeWorkbench({ zones: { Porch: ['1 brick 1x2 ash'] } });
  const [unpack] = workbench.entries;
  const movement: Movement = {
    element: el(part, colour),
    grade: used,
    qty,
    from,
    to: `model:${zoneId('Porch')}` as AccountKey,
    worth: null,
  };
  return { ...unpack!, id: asId(id), kind: 'add', state: 'planned', movements: [movement] };
};
