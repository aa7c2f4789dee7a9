export { ORDERS_COLUMNS, PICK_COLUMNS, ordersTable, pickTable } from './parts-tables';
export { placePlan, placeTogether } from './place-plan';
export { awaited, boxOf, receiveOrder } from './receive-order';
export {
  answerClaim,
  askClaim,
  cancelling,
  cancelOrder,
  chaseOrder,
  claimsOfBuild,
  closeClaim,
  refundClaim,
  refundOrder,
  sendAgain,
  waitUntil,
} from './parcel-claims';
export type { Cancelling } from './parcel-claims';
export { recordOf, sellerRecords } from './seller-record';
export type { SellerRecord } from './seller-record';
export type { ParcelNews, ParcelQuestion } from './parcel-news';
export type { AwaitedLot, Remainder } from './receive-order';
