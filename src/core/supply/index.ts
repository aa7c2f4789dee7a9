export { familyOf, needBy, needOf, sameNeed } from './need';
export type { NeedLot, NeedReport, NeedSource } from './need';
export { daysAhead, moveClock } from './clock';
export { chanceWithin, weightOf } from './market';
export type { MarketAnswer, MarketBox, MarketOffer, MarketSeller, MarketSource, Post } from './market';
export {
  allowedSellers,
  boxCredit,
  boxGrade,
  boxId,
  boxRefused,
  lotId,
  offerId,
  poseProblem,
  PREFERENCES,
  readOfferId,
} from './pose';
export type { Preferences } from './pose';
export { addDays, parcelsOf } from './parcels';
export type { Parcel } from './parcels';
export { joinNeeds } from './join-needs';
export { placePlan, placeTogether } from './place-plan';
export { awaited, boxOf, receiveOrder } from './receive-order';
export type { AwaitedLot, ParcelGoal } from './receive-order';
export { pickOut } from './pick-out';
export { placeholdersOf, swapPlaceholders } from './placeholders';
export type { PlaceholderState } from './placeholders';
export { daysBetween, outlookOf } from './lateness';
export type { Outlook } from './lateness';
export { nowAvailable } from './waiting-list';
export type { NowAvailable } from './waiting-list';
export { pickList, PICK_ORDERS } from './pick-list';
export type { PickLine, PickOrder } from './pick-list';
export { bindToBoxes, coloursOfPart, fitPool, isBoundToBoxes, poolExceptions, poolHolds } from './pool';
export { coverModel, mainColours, mustsIn } from './cover';
export type { Cover, CoverBox, CoverModel } from './cover';
export type { PoolBox, PoolReport, PoolShort, PoolWant } from './pool';
export { shapesFor, withShapes } from './substitute-lots';
export { addedCost, changesSince, stillSold } from './price-change';
export type { PriceChange } from './price-change';
export { joinAnswers, priceListSource, readPriceList } from './price-list';
export type { PriceListFault } from './price-list';
export { savePlan, readPlan, savedPlanSchema } from './saved-plan';
export type { AskedPlan, SavedPlan } from './saved-plan';
export { daysFor, inReach, othersToAsk } from './in-reach';
export type { InReach } from './in-reach';
