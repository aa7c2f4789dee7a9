import * as z from 'zod';
import { splitElementKey } from '@/core/parts';
import { asId, type BuildId, type ModificationId } from '@/core/shared/ids';
import { moneyAsDecimal } from '@/core/shared/money';
import { LIST_FOR, partsForOthers, type PartsListRow } from '@/core/show';
import type { Handle } from '@/data/database';
import { listFile, type ListFile } from './list-file';
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
): Promise<ListFile | undefined> {
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
  if (as === 'json')
    return {
      bytes: new TextEncoder().encode(
        `${JSON.stringify(
          cells.map((c) => Object.fromEntries(c.map((v, i) => [head[i], v]))),
          null,
          1,
        )}\n`,
      ),
      type: 'application/json; charset=utf-8',
    };
  return listFile({ heading: head, rows: cells }, as);
}

function cellsOf({ element, qty, each }: PartsListRow, withPrices: boolean): (string | number)[] {
  const { part, colour, print } = splitElementKey(element);
  return [part, colour, print, qty, ...(withPrices ? [each === null ? '' : moneyAsDecimal(each)] : [])];
}
