import type { Role } from './messages';

/** From so many offers up the whole linear model is out of reach, and donor boxes are tried instead. */
const LARGE = 8000;
/** Below so many the whole linear model is solved in a moment, and a second thread would only slow it. */
const SMALL = 600;
/** Share of the time that a role gives to the floor: a search is only steered by its prices, trials of boxes rest on them. */
const FLOOR_SHARE = { search: 0.12, trial: 0.35, around: 0.08 };
/** Prices that steer a search are good enough after some hundred steps; beyond them only the floor itself gains. */
const STEERING_STEPS = 400;

export const isLarge = (offers: number): boolean => offers > LARGE;

/** True where there is time for a search and no more: under three seconds, or more where the problem is huge. */
export const isShort = (offers: number, seconds: number): boolean => seconds < Math.max(3, offers / 20_000);

/** From so many seconds up there is time to solve twice, and of a large problem; and the share of it that the first has. */
const TWICE = { seconds: 10, large: 20, first: 0.2 };

/**
 * The shares of the time at which solves end that follow one another, each going on from the last. A longer search cools down
 * more slowly from the start, and at times into a worse place: so it begins with a whole shorter one, and is not worse.
 */
export function passesFor(offers: number, seconds: number): readonly number[] {
  const from = isLarge(offers) ? TWICE.large : TWICE.seconds;
  return offers < SMALL || seconds < from ? [1] : [TWICE.first, 1];
}

/** What the threads are to do. */
export function rolesFor(offers: number, seconds: number): readonly Role[] {
  const short = isShort(offers, seconds);
  if (offers < SMALL) return ['whole'];
  if (!isLarge(offers)) return short ? ['around', 'around'] : ['whole', 'search'];
  return short ? ['search', 'floor'] : ['search', 'trial'];
}

/** Steps of the floor that a role takes at most beside its own work, and how many seconds they may take. */
export function floorFor(role: Role, offers: number, seconds: number): { steps: number; seconds: number } {
  if (role === 'whole' || role === 'floor' || role === 'steps') return { steps: 0, seconds: 0 };
  if (isLarge(offers) && isShort(offers, seconds)) return { steps: 0, seconds: 0 };
  return { steps: role === 'trial' ? Infinity : STEERING_STEPS, seconds: FLOOR_SHARE[role] * seconds };
}

/** How much of the time the search of a large problem has before its plan is divided anew. */
export const searchShare = (offers: number, seconds: number): number => (isShort(offers, seconds) ? 1 : 0.6);

/**
 * Steps that one cooling of a search is worth. A large search gains to the end of its time, but not where it may open no
 * other parcel: there four thousand steps end as high as six hundred.
 */
export const stepsOfCooling = (offers: number, isFull: boolean): number =>
  isLarge(offers) && isFull ? 1500 : Infinity;
