import type { Search } from './search';

/** Hottest and coolest temperature of the annealing, as shares of the cost. */
const HOT = 0.1;
const COOL = 0.00002;

/** Some steps of a search at the temperature that belongs to a fraction of its time. */
export function anneal(search: Search, fraction: number): void {
  const temperature = search.best.cost * HOT * Math.pow(COOL / HOT, Math.min(1, Math.max(0, fraction)));
  for (let i = 0; i < 20; i++) search.step(temperature);
}
