import type { Metadata } from 'next';
import { paletteOf, recordSetOf } from '@/core/bench';
import { PURPOSES, type Purpose } from '@/core/formats';
import { readCatalogue } from '@/data/catalogue';
import { readRecord, readRecords } from '@/data/records';
import { BringInScreen } from '@/screens/bring-in';
import { workspace } from '@/server/workspace';

export const metadata: Metadata = { title: 'Bring in' };

interface Props {
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default async function BringInPage({ searchParams }: Props) {
  const query = await searchParams;
  const { db } = workspace();
  const purpose = PURPOSES.find((p) => p === query.for) ?? 'set';
  const build = typeof query.build === 'string' ? readRecord(db, 'build', query.build) : undefined;
  const custom = readRecords(db, 'customColour').map((record) => ({ type: 'customColour' as const, record }));
  const world = {
    purpose: purpose satisfies Purpose,
    build: build ? { id: build.id, name: build.name } : null,
    palette: paletteOf(recordSetOf(custom)),
    aliases: readRecords(db, 'colourAlias').map((a) => [a.id, a.colour] as const),
    memories: readRecords(db, 'columnMemory').map((m) => [m.id, m.roles] as const),
    catalogue: readCatalogue(db),
  };
  return <BringInScreen key={`${purpose} ${build?.id}`} world={world} />;
}
