export { familyOf, needBy, needOf, sameNeed } from './need';
export type { NeedLot, NeedReport, NeedSource } from './need';
export { chanceWithin, CLOCK_SETTING, weightOf } from './market';
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
export { awaited, boxOf, countOrderIn } from './count-order';
export type { AwaitedLot, ParcelGoal } from './count-order';
export { pickOut } from './pick-out';
export { standInsOf, swapStandIns } from './stand-ins';
export type { StandInState } from './stand-ins';
export { daysBetween, outlookOf } from './lateness';
export type { Outlook } from './lateness';
export { watchedNow } from './watch-list';
export type { Watched } from './watch-list';
export { pickList, PICK_ORDERS } from './pick-list';
export type { PickLine, PickOrder } from './pick-list';
export { coloursOfPart, fitPool, poolExceptions, poolHolds, poolSetting } from './pool';
export { coverProgramme, mainColours, mustsIn } from './cover';
export type { Cover, CoverBox, CoverModel } from './cover';
export type { PoolBox, PoolReport, PoolShort, PoolWant } from './pool';
export { shapesFor, withShapes } from './substitute-lots';
export { addedCost, changesSince, stillSold } from './price-change';
export type { PriceChange } from './price-change';
export { joinAnswers, priceListSource, readPriceList } from './price-list';
export type { PriceListFault } from './price-list';
export { keepMakeUp, readMakeUp, savedMakeUpSchema } from './saved-make-up';
export type { AskedMakeUp, SavedMakeUp } from './saved-make-up';
export { daysFor, inReach, othersToAsk } from './in-reach';
export type { InReach } from './in-reach';
