export { courseParts } from './course-parts';
export { suppliesFor } from './supply';
export { COURSE_FAMILIES, courseHeight } from './course-parts';
export { sourcedLots } from './sourced-lots';
export type { SourcedLot } from './sourced-lots';
export { coursesTaken, placeOpenings } from './walls/openings';
export type { OpeningFault, PlacedOpening } from './walls/openings';
export { courseLevels, laidWalls, piecesLaid, plannedWalls } from './walls/laid-walls';
export type { DrawnPiece, LaidWalls, RunsOut, WeakJoint } from './walls/laid-walls';
export { planWalls } from './walls/plan-walls';
export type { WallPlan } from './walls/plan-walls';
export { WAYS, wallsProblem } from './walls/wall-problem';
export type { StatedWalls, WallFault, WallPart, Way } from './walls/wall-problem';
export { deleteWallJob, keepWallJob, mainColour, newWallJob } from './walls/wall-commands';
export { printCourses, printWalls, readCourses, readWalls } from './walls/read-walls';
export type { NotRead } from './walls/read-walls';
export { jobState, layFloorAnew, layWallAnew } from './planned-job';
export type { JobState } from './planned-job';
export { deleteFloorJob, keepFloorJob, mirroredFloor, newFloorJob, planFloor } from './floors/floor-commands';
export { floorProblem } from './floors/floor-problem';
export type { FloorFault, StatedFloor } from './floors/floor-problem';
export { laidFloor, plannedFloor } from './floors/laid-floor';
export type { FloorPiece, LaidFloor } from './floors/laid-floor';
export type { Slab } from './floors/patterns';
export { asBricksAndPlates, BRICK, PLATE, STUD } from './sums/measures';
export { fillingsHere } from './sums/fillings-here';
export type { FillingHere } from './sums/fillings-here';
export { fillings } from './sums/levels';
export type { Filling } from './sums/levels';
export { balanceOver, massOf, massOfBuild, massOfPart, perHook } from './sums/mass';
export type { Mass } from './sums/mass';
export { deleteWeighed, keepWeighed } from './sums/weigh';
export { deleteTrack, keepTrack, newTrack, trackClearance } from './sums/tracks';
export type { CourseBack, TrackClearance } from './sums/tracks';
export { deleteRing, keepRing, newRing } from './sums/kept-rings';
export { interiorOf, keepInterior } from './rooms/interior';
export type { Passer, Room, Way as RoomWay } from './rooms/interior';
export { floorSpace, reachOf } from './rooms/reach';
export type { FloorSpace, Reached, Stop } from './rooms/reach';
export { printFurniture, readFurniture } from './rooms/read-furniture';
export {
  deleteConnection,
  holding,
  keepConnection,
  newConnection,
  planRemedy,
  remediesFor,
} from './strength/connections';
export type { Holding, Remedy, WeakBecause } from './strength/connections';
export { deleteSeam, keepSeam, massOfZones, newSeam, seamHold } from './strength/seams';
export type { SeamHold } from './strength/seams';
export { baseplatesFor } from './plot/baseplates';
export type { BaseUnder } from './plot/baseplates';
export { keepPlot, onPlot, plotOf, sidesAgree } from './plot/plot';
export { printDoors, readDoors, readHeight, readStoreys } from './plot/read-street';
export { standsOnPlot, whatSticksOut } from './plot/sticks-out';
export type { Stands, SticksOut } from './plot/sticks-out';
export { doorSteps, housesMeet, sharedBase, streetOf } from './plot/street';
export type { DoorStep, LineStep, StreetHouse } from './plot/street';
export { blockOf } from './plot/block';
export type { Block } from './plot/block';
export { keepZonePlace, plannedSize, storeySizes, zoneExtents } from './plot/zone-extents';
export type { StoreySize, ZoneExtent } from './plot/zone-extents';

export { cutBack, roomIn, sweptBy, swingRadius, vehiclesAlong } from './sums/railway';
export { hingedWalls, ringOf, roundOf } from './sums/rings';
export { atScale, FIGURE_MM, grownBy, PERSON_MM, scaleFrom } from './sums/scale';
export { moreBoxes } from './walls/more-box';
export type { MoreBox } from './walls/more-box';
export { mirroredWalls } from './walls/mirrored';
export { FACE_FAMILIES } from './walls/faces';
export { overhangOf } from './walls/overhang';
export type { Overhang } from './walls/overhang';
export { wallOffers } from './walls/offers';
export type { WallOffer } from './walls/offers';
export { mendJoint } from './walls/mend';
export { planMend, standingWalls } from './walls/mend-planned';
export type { Mend } from './walls/mend';
