import type { SheetDocument } from '@/core/mod-sheet';
import type { BuildId } from '@/core/shared/ids';
import type { Handle } from '@/data/database';
import { readPhotoBytes } from '@/data/photos';
import { readRecord } from '@/data/records';
import { paletteIn } from './palette';
import { sheetPdf } from './sheet-pdf';

/** A build's mod sheet as a PDF, in the workspace's colours and with its kept photos; undefined = there is no such build. */
export async function buildSheetPdf(
  { db }: Handle,
  build: BuildId,
  sheet: SheetDocument,
): Promise<Buffer | undefined> {
  if (!readRecord(db, 'build', build)) return undefined;
  return sheetPdf(sheet, paletteIn(db), (id) => readPhotoBytes(db, id) ?? undefined);
}
