import type { Metadata } from 'next';
import { PURPOSES, type Purpose } from '@/core/formats';
import { SETTINGS_ID } from '@/core/records';
import { readCatalogue } from '@/data/catalogue';
import type { Database } from '@/data/database';
import { readRecord, readRecords } from '@/data/records';
import { paletteIn } from '@/server/palette';
import { ImportScreen } from '@/screens/import';
import { withWorkspace } from '../with-workspace';

export const metadata: Metadata = { title: 'Import' };

interface Props {
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default async function ImportPage({ searchParams }: Props) {
  const query = await searchParams;
  // A link of before says "stores".
  const wanted = query.for === 'stores' ? 'stock' : query.for;
  const purpose = PURPOSES.find((p) => p === wanted) ?? 'set';
  return withWorkspace(({ db }) => {
    const world = importWorld(db, purpose, query.build);
    return <ImportScreen key={`${purpose} ${world.build?.id}`} world={world} />;
  });
}

function importWorld(db: Database, purpose: Purpose, wanted: string | string[] | undefined) {
  const build = typeof wanted === 'string' ? readRecord(db, 'build', wanted) : undefined;
  return {
    purpose,
    build: build ? { id: build.id, name: build.name } : null,
    palette: paletteIn(db),
    aliases: readRecords(db, 'colourAlias').map((a) => [a.id, a.colour] as const),
    memories: readRecords(db, 'columnMemory').map((m) => [m.id, m.roles] as const),
    samples: !(readRecord(db, 'settings', SETTINGS_ID)?.isDemo ?? false),
    catalogue: readCatalogue(db),
  };
}
