export { photosOf, SHEET, sheetSchema } from './document';
export type { SheetBlock, SheetDocument } from './document';
export { labelSize, stripeGuide, wallGuides } from './guides';
export type { SheetGuide } from './guides';
export { sheetHtml } from './html';
export type { HtmlParts } from './html';
export { modSheetOf, keepModSheet } from './mod-sheet-of';
