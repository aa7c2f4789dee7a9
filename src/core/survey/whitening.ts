import type { Command, Source, Workbench } from '../bench';
import { added, batchOf, changed, type Whitening } from '../ledger';
import { elementName } from '../parts';
import { asId, type WhiteningId } from '../shared/ids';
import type { FadedBatch } from './fading';

/** Begins a whitening of some pieces that were read: what they were before is their batch. */
export const startWhitening = (
  bench: Workbench,
  batch: FadedBatch,
  qty: number,
  note: string,
  source: Source,
): Command => {
  const whitening: Whitening = {
    id: asId<WhiteningId>(source.newId()),
    build: bench.build,
    account: batch.account,
    element: batch.element,
    qty,
    before: batchOf(batch.grade),
    after: null,
    startedAt: source.now,
    endedAt: null,
    note,
  };
  return {
    label: `start whitening ${qty} ${elementName(batch.element)}`,
    diff: added('whitening', whitening),
  };
};

/** Ends a whitening with the batch that the pieces read as afterwards. */
export const endWhitening = (whitening: Whitening, after: string, source: Source): Command => ({
  label: `end whitening ${elementName(whitening.element)}`,
  diff: changed('whitening', whitening, { after, endedAt: source.now }),
});
