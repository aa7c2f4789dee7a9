import type { BuildId, TrackId, WallJobId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { choice, id, list, mention, name, note, number, object, orNull, reference, whole } from './fields';

/** On which side of the track a wall stands. */
export const TRACK_SIDES = ['inside', 'outside'] as const;
export type TrackSide = (typeof TRACK_SIDES)[number];

const mm = (least: number) => number(least, 20_000);

/** A railway or tram that must pass a wall: its vehicle, its curve, and what was tried by hand. */
export const track = defineRecord({
  type: 'track',
  table: 'tracks',
  fields: {
    id: id<TrackId>(),
    build: reference<BuildId>('build'),
    name: name(),
    /** Over all, between the pivots of its bogies, and across, mm. */
    length: mm(1),
    pivots: mm(0),
    width: mm(1),
    /** How high above the foot of the wall its body begins and ends, mm. */
    from: mm(0),
    to: mm(1),
    /** Of the middle of the track, mm; null = straight. */
    radius: orNull(mm(1)),
    /** Room to spare, mm. */
    room: number(0, 200),
    /** The wall it passes, by its job where it has one, and how many studs it stands from the middle of the track. */
    wall: orNull(mention<WallJobId>('wallJob')),
    side: choice(TRACK_SIDES),
    distance: whole(0, 500),
    /** Vehicles that were run past it by hand: how far the wall had to go back, studs. */
    tried: list(object({ length: mm(1), cutBack: whole(0, 500), note: note() }), 50),
  },
  inModFile: { key: 'tracks', most: 200, optional: true },
});
export type Track = RecordOf<typeof track>;
