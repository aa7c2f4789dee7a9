import type { BuildId, ColourId, PartId, PoolModelId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { flag, id, list, mention, name, object, orNull, position, reference, somePieces } from './fields';

/** A model to be built from a pool of boxes together with others: what it must have, and the main colours it may be in. */
export const poolModel = defineRecord({
  type: 'poolModel',
  table: 'pool_models',
  fields: {
    id: id<PoolModelId>(),
    build: reference<BuildId>('build'),
    name: name(),
    /** A colour of null is the model's main colour, whichever that turns out to be. */
    musts: list(object({ part: name<PartId>(), colour: orNull(id<ColourId>()), qty: somePieces() }), 500),
    /** Main colours it may have; empty = any. */
    colours: list(id<ColourId>(), 100),
    /** True = it may share its main colour with another. */
    shares: flag(),
    /** Its place in the order in which models take what is scarce. */
    place: position(),
    /** The main colour that was chosen; null = none yet. */
    colour: orNull(id<ColourId>()),
    /** The model that this is a section of, whose main colour it has; null = a model. */
    sectionOf: orNull(mention<PoolModelId>('poolModel')),
    /** True once its pieces are put together. */
    isBuilt: flag(),
  },
  inModFile: { key: 'poolModels', most: 500, optional: true },
  earlier: { upgrade: (old) => ({ place: 0, colour: null, sectionOf: null, isBuilt: false, ...old }) },
});
export type PoolModel = RecordOf<typeof poolModel>;
