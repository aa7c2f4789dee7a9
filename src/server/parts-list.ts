import writeXlsxFile from 'write-excel-file/node';
import { z } from 'zod';
import { writeCsv } from '@/core/formats';
import { splitElementKey } from '@/core/parts';
import { asId, type BuildId, type ModificationId } from '@/core/shared/ids';
import { moneyAsDecimal } from '@/core/shared/money';
import { LIST_FOR, partsForOthers, type PartsListRow } from '@/core/show';
import type { Handle } from '@/data/database';
import { openWorkbench } from './snapshot';

/** What a list of parts is asked for by: query parameters, all as text. */
export const partsListSchema = z.object({
  as: z.enum(['csv', 'xlsx', 'json']),
  for: z.enum(LIST_FOR),
  planned: z.enum(['yes', 'no']).default('no'),
  ideal: z.enum(['yes', 'no']).default('no'),
  prices: z.enum(['yes', 'no']).default('no'),
  modification: z.string().max(80).default(''),
});

const HEAD = ['part', 'colour', 'print', 'quantity'] as const;

/** The parts that others need for a mod, as a file; undefined = there is no such build. */
export async function partsListFile(
  handle: Handle,
  build: BuildId,
  { as, prices, ...choice }: z.infer<typeof partsListSchema>,
): Promise<{ readonly bytes: Uint8Array; readonly type: string } | undefined> {
  const workbench = openWorkbench(handle, build);
  if (!workbench) return undefined;
  const rows = partsForOthers(workbench, {
    for: choice.for,
    planned: choice.planned === 'yes',
    ideal: choice.ideal === 'yes',
    modification: choice.modification ? asId<ModificationId>(choice.modification) : null,
  });
  const withPrices = prices === 'yes';
  const head = [...HEAD, ...(withPrices ? ['price each'] : [])];
  const cells = rows.map((r) => cellsOf(r, withPrices));
  const text = (t: string) => new TextEncoder().encode(t);
  if (as === 'csv') return { bytes: text(writeCsv(head, cells)), type: 'text/csv; charset=utf-8' };
  if (as === 'json')
    return {
      bytes: text(
        `${JSON.stringify(
          cells.map((c) => Object.fromEntries(c.map((v, i) => [head[i], v]))),
          null,
          1,
        )}\n`,
      ),
      type: 'application/json; charset=utf-8',
    };
  return { bytes: await workbook(head, cells), type: XLSX };
}

const XLSX = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

function cellsOf({ element, qty, each }: PartsListRow, withPrices: boolean): (string | number)[] {
  const { part, colour, print } = splitElementKey(element);
  return [part, colour, print, qty, ...(withPrices ? [each === null ? '' : moneyAsDecimal(each)] : [])];
}

async function workbook(
  head: readonly string[],
  rows: readonly (readonly (string | number)[])[],
): Promise<Uint8Array> {
  const cell = (v: string | number) =>
    typeof v === 'number' ? { value: v, type: Number } : { value: v, type: String };
  const sheet = [
    head.map((value) => ({ value, type: String, fontWeight: 'bold' as const })),
    ...rows.map((r) => r.map(cell)),
  ];
  const made = writeXlsxFile(sheet as never) as unknown as { toBuffer: () => Promise<Buffer> };
  return new Uint8Array(await made.toBuffer());
}
