import { describe, expect, it } from 'vitest';
import Papa from 'papaparse';
import { takeTally } from '@/core/ledger';
import { asId, type BuildId } from '@/core/shared/ids';
import { partsListFile, partsListSchema } from './parts-list';
import { testBuild } from './testing/workspace';

const asked = (more: object) => partsListSchema.parse({ as: 'csv', for: 'all bought', ...more });

describe('a parts list for others', () => {
  it('is a table that adds up to the model, in each of its forms', async () => {
    const { handle, build, open } = testBuild();
    const { onModel } = takeTally(open().built, { of: 'build' }, open().priceOf).figures;
    const file = async (more: object) => (await partsListFile(handle, build, asked(more)))!;
    const text = new TextDecoder().decode((await file({})).bytes);
    const rows = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true }).data;
    expect(Object.keys(rows[0]!)).toEqual(['part', 'colour', 'print', 'quantity']);
    expect(rows.reduce((n, r) => n + Number(r.quantity), 0)).toBe(onModel);
    const json = JSON.parse(new TextDecoder().decode((await file({ as: 'json' })).bytes)) as {
      quantity: number;
    }[];
    expect(json.reduce((n, r) => n + r.quantity, 0)).toBe(onModel);
    const xlsx = await file({ as: 'xlsx' });
    expect(Buffer.from(xlsx.bytes).subarray(0, 2).toString()).toBe('PK');
    expect(xlsx.type).toContain('spreadsheetml');
  });

  it('tells prices only where they are asked for', async () => {
    const { handle, build } = testBuild();
    const text = async (prices: string) =>
      new TextDecoder().decode((await partsListFile(handle, build, asked({ prices })))!.bytes).split('\n')[0];
    expect(await text('no')).not.toContain('price');
    expect(await text('yes')).toContain('price each');
  });

  it('is refused where it is not understood, and there is none of no build', async () => {
    expect(partsListSchema.safeParse({ as: 'doc', for: 'all bought' }).success).toBe(false);
    expect(partsListSchema.safeParse({ as: 'csv', for: 'nobody' }).success).toBe(false);
    const { handle } = testBuild();
    expect(await partsListFile(handle, asId<BuildId>('gone'), asked({}))).toBe(undefined);
  });
});
