import { paletteOf, recordSetOf } from '@/core/bench';
import { readRecords } from '@/data/records';
import { ShelfScreen } from '@/screens/shelf';
import { readShelf } from '@/server/shelf';
import { withWorkspace } from './with-workspace';

export default function ShelfPage() {
  return withWorkspace((handle) => {
    const custom = readRecords(handle.db, 'customColour').map((record) => ({
      type: 'customColour' as const,
      record,
    }));
    return <ShelfScreen first={readShelf(handle)} palette={paletteOf(recordSetOf(custom))} />;
  });
}
