export { ORDERS_COLUMNS, PICK_COLUMNS, ordersCsv, pickCsv } from './parts-csv';
export { placePlan, placeTogether } from './place-plan';
export { awaited, boxOf, receiveOrder } from './receive-order';
export type { ParcelNews, ParcelQuestion } from './parcel-news';
export type { AwaitedLot } from './receive-order';
