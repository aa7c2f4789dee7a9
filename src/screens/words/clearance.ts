import { formatLength } from '@/core/shared/forms';
import type { TrackClearance } from '@/core/fit';
import type { Track } from '@/core/records';
import { studs } from './plot';

/** Whether the wall may stand where it is, and how many studs which courses must go back. */
export function trackWords(track: Track, passes: TrackClearance): string {
  const back = passes.courses.filter((c) => c.back > 0);
  if (back.length === 0)
    return `The wall may stand ${studs(track.distance)} from the middle of the track: all of its courses are clear.`;
  const [first, last] = [back[0]!, back.at(-1)!];
  const which =
    first.course === last.course
      ? `course ${first.course + 1}`
      : `courses ${first.course + 1} to ${last.course + 1}`;
  const whole = back.length === passes.courses.length ? 'it' : which;
  return `▲ At ${studs(track.distance)} ${whole} must go back ${studs(first.back)}${
    back.length === passes.courses.length ? '' : '; the others may stay'
  }.`;
}

/** The longest vehicle of this kind that passes; on straight track, or by no length, nothing. */
export const longestWords = (longest: number | null): string =>
  longest === null
    ? ''
    : `The longest of this kind that passes is ${formatLength(longest)}, ${studs(Math.floor(longest / 8))}.`;

/** What trying by hand says of it: a longer vehicle that passed, or a shorter one that did not, goes before a formula. */
export function triedWords(track: Track, byFormula: number | null): string {
  if (track.tried.length === 0) return '';
  const passed = track.tried.filter((t) => t.cutBack === 0).map((t) => t.length);
  const longest = passed.length > 0 ? Math.max(...passed) : null;
  return longest === null
    ? 'By hand none has passed without cutting back.'
    : `By hand ${formatLength(longest)} passed without cutting back${
        byFormula !== null && longest > byFormula ? ', more than the formula allows' : ''
      }.`;
}
