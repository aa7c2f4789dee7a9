import { paletteOf, recordSetOf } from '@/core/workbench';
import { readRecords } from '@/data/records';
import { BuildsScreen } from '@/screens/builds';
import { readBuilds } from '@/server/build-list';
import { withWorkspace } from '../with-workspace';

export const metadata = { title: 'Builds' };

export default function BuildsPage() {
  return withWorkspace((handle) => {
    const custom = readRecords(handle.db, 'customColour').map((record) => ({
      type: 'customColour' as const,
      record,
    }));
    return <BuildsScreen first={readBuilds(handle)} palette={paletteOf(recordSetOf(custom))} />;
  });
}
