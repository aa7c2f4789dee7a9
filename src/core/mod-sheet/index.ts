export { photosOf, SHEET, sheetSchema } from './document';
export type { SheetBlock, SheetDocument } from './document';
export { drawnPart } from './drawn-part';
export type { DrawnPart, PaintedFace } from './drawn-part';
export { escaped, sheetHtml } from './html';
export type { HtmlParts } from './html';
export { modSheetOf, keepModSheet } from './mod-sheet-of';
