export { CARDS, readPhoto } from './read-photo';
export type {
  CardKind,
  PhotoFault,
  PhotoMarks,
  PhotoReading,
  PhotoWarning,
  SpotDoubt,
  SpotReading,
} from './read-photo';
export type { Disc, Pixels } from './sample';
export { paintPhoto } from './paint-photo';
export type { PaintedPatch, PhotoScene } from './paint-photo';
