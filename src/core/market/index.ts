export { inReach, othersToAsk } from './in-reach';
export type { InReach } from './in-reach';
export { joinNeeds } from './join-needs';
export { daysBetween, outlookOf } from './lateness';
export type { Outlook } from './lateness';
export { chanceWithin } from './market';
export type { MarketAnswer, MarketBox, MarketOffer, MarketSeller, MarketSource, Post } from './market';
export { addDays, parcelCost, parcelsOf } from './plan-parcels';
export type { Parcel } from './plan-parcels';
export { boxRefused } from './allowed-sellers';
export { boxCredit } from './box-credit';
export { holdingKinds, reasonOf, reasonsToAsk } from './plan-reasons';
export type { AskedReason, PlanQuestion, PlanReason } from './plan-reasons';
export { forbidTold, sentTwice, singleKindParcels } from './told-parcels';
export type { SentTwice } from './told-parcels';
export { poseProblem } from './pose';
export { PREFERENCES } from './preferences';
export { boxGrade, boxId, lotId, readOfferId } from './problem-ids';
export type { Preferences } from './preferences';
export { addedCost, changesSince, stillSold } from './price-change';
export type { PriceChange } from './price-change';
export { joinAnswers, priceListSource, readPriceList } from './price-list';
export type { PriceListFault } from './price-list';
export {
  askedPlanSchema,
  BLANK_PLAN,
  listsSchema,
  planRequestSchema,
  preferencesSchema,
  readPlan,
  readPreferences,
  reasonsRequestSchema,
  savedPlanChangeSchema,
  savePlan,
  savePreferences,
} from './saved-plan';
export type { AskedPlan, SavedPlan, SavedPlanChange } from './saved-plan';
export { shownMarket } from './shown-market';
export { wantedElements } from './wanted-elements';
export { shapesFor, withShapes } from './substitute-lots';
export { nowAvailable, waitFor, waitNoLonger } from './waiting-list';
export type { NowAvailable } from './waiting-list';
export { offerBox, withdrawBox } from './box-offers';
export { forbidMixed, mixedConditions } from './mixed-conditions';
export type { MixedLot } from './mixed-conditions';
