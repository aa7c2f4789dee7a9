'use client';

import { buttonClass } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { booksInView, useBuild } from '../common/build-store';
import { CameFromTable } from '../common/came-from-table';

/** Which section has what from which box, one key away. */
export function CameFromDialog({ onClose }: { onClose: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  const view = useBuild((s) => s.view);
  const version = useBuild((s) => s.version);
  return (
    <Dialog
      open
      onOpenChange={onClose}
      wide
      beside
      title="What came from which box"
      says="Pieces that went into each zone, by where they came from. What came off again is not taken away: one piece is like the other."
    >
      <CameFromTable workbench={workbench} books={booksInView({ workbench, view, version })} />
      <a
        href={`/api/builds/${workbench.build}/files/came-from.csv`}
        download
        className={buttonClass('plain', 'mt-3')}
      >
        Export by part, CSV
      </a>
    </Dialog>
  );
}
