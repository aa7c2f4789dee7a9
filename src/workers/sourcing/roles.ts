import type { Role } from './messages';

/** From so many offers up the whole linear model is out of reach, and donor boxes are tried instead. */
const LARGE = 8000;
/** Below so many the whole linear model is solved in a moment, and a second thread would only slow it. */
const SMALL = 600;
/** Seconds that a step of the floor takes for each offer, about. */
const FLOOR_STEP = 1e-7;
/** Share of the time that a search gives to the floor, whose prices steer it. */
const FLOOR_SHARE = 0.3;

export const isLarge = (offers: number): boolean => offers > LARGE;

/** True where there is time for a search and no more: under three seconds, or more where the problem is huge. */
export const isShort = (offers: number, seconds: number): boolean => seconds < Math.max(3, offers / 20_000);

/** What the threads are to do. */
export function rolesFor(offers: number, seconds: number): readonly Role[] {
  const short = isShort(offers, seconds);
  if (offers < SMALL) return ['whole'];
  if (!isLarge(offers)) return short ? ['around', 'around'] : ['whole', 'search'];
  return short ? ['search', 'floor'] : ['search', 'trial'];
}

/** Steps of the floor that a role takes beside its own work. */
export function boundStepsFor(role: Role, offers: number, seconds: number): number {
  if (role === 'whole' || (isLarge(offers) && isShort(offers, seconds))) return 0;
  // Prices that steer a search are good enough after some hundred steps; beyond them only the floor itself gains.
  const most = role === 'trial' ? Infinity : 400;
  return Math.min(
    most,
    Math.ceil(((role === 'around' ? 0.08 : FLOOR_SHARE) * seconds) / (offers * FLOOR_STEP)),
  );
}

/** How much of the time a search has before its plan, or parts of it, are solved exactly. */
export function searchShare(role: Role, offers: number, seconds: number): number {
  if (role === 'around') return 0.4;
  if (isShort(offers, seconds)) return isLarge(offers) ? 1 : 0.6;
  return isLarge(offers) ? 0.6 : 0.4;
}
