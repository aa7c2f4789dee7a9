import { currentRevision } from '@/data/actions';
import { BuildsScreen } from '@/screens/builds';
import { readBuilds } from '@/server/build-list';
import { paletteIn } from '@/server/palette';
import { withWorkspace } from '../with-workspace';

export const metadata = { title: 'Builds' };

export default function BuildsPage() {
  return withWorkspace((handle) => (
    <BuildsScreen
      first={readBuilds(handle)}
      palette={paletteIn(handle.db)}
      revision={currentRevision(handle.db)}
    />
  ));
}
