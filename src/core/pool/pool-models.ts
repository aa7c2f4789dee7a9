import { added, changed, removed, type Command, type PoolModel, type Source } from '../ledger';
import { asId, type BuildId, type PoolModelId } from '../shared/ids';

/** A model that is to come out of a build's boxes, in any colour. */
export function addPoolModel(
  build: BuildId,
  name: string,
  musts: PoolModel['musts'],
  source: Source,
): Command {
  const id = asId<PoolModelId>(source.newId());
  const model: PoolModel = { id, build, name, musts, colours: [], shares: false };
  return { label: `add model ${name}`, diff: added('poolModel', model) };
}

export const changePoolModel = (model: PoolModel, to: Partial<Omit<PoolModel, 'id' | 'build'>>): Command => ({
  label: `change model ${model.name}`,
  diff: changed('poolModel', model, to),
});

export const deletePoolModel = (model: PoolModel): Command => ({
  label: `delete model ${model.name}`,
  diff: removed('poolModel', model),
});
