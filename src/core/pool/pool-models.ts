import { added, changed, joinDiffs, removed, type Command, type PoolModel, type Source } from '../ledger';
import { asId, type BuildId, type PoolModelId } from '../shared/ids';
import type { Workbench } from '../workbench';

/** A model that is to come out of a build's boxes, in any colour. */
export function addPoolModel(
  build: BuildId,
  name: string,
  musts: PoolModel['musts'],
  source: Source,
  { place = 0, sectionOf = null }: Partial<Pick<PoolModel, 'place' | 'sectionOf'>> = {},
): Command {
  const id = asId<PoolModelId>(source.newId());
  const model: PoolModel = {
    ...{ id, build, name, musts, colours: [], shares: false },
    ...{ place, colour: null, sectionOf, isBuilt: false },
  };
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

/** The models and sections of a build's boxes, in the order in which they take what is scarce. */
export const poolModelsOf = (workbench: Workbench): PoolModel[] =>
  [...workbench.records.poolModel.values()]
    .filter((m) => m.build === workbench.build)
    .sort((a, b) => a.place - b.place);

/** Where the next model goes: after the last. */
export const placeAfter = (models: readonly PoolModel[]): number =>
  models.reduce((most, m) => Math.max(most, m.place), 0) + 1;

/** Lets a model take what is scarce before the one above it, or after the one below. */
export function shiftPoolModel(models: readonly PoolModel[], model: PoolModel, by: -1 | 1): Command {
  const at = models.indexOf(model) + by;
  const label = `${model.name} takes ${by < 0 ? 'earlier' : 'later'}`;
  if (at < 0 || at >= models.length) return { label, diff: joinDiffs() };
  const order = models.filter((m) => m.id !== model.id);
  order.splice(at, 0, model);
  return {
    label,
    diff: joinDiffs(
      ...order.flatMap((m, i) => (m.place === i + 1 ? [] : [changed('poolModel', m, { place: i + 1 })])),
    ),
  };
}
