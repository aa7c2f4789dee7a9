'use client';

import { useState } from 'react';
import { sizeOf, stepsOf, type Entry } from '@/core/ledger';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import type { BenchDialogs } from './dialogs';
import { NumberBox } from '../common/number-box';

/** "31 of 46 placed": turns part of a planned entry into a done one. */
export function PartDialog({
  entry,
  dialogs,
  onClose,
}: {
  entry: Entry;
  dialogs: BenchDialogs;
  onClose: () => void;
}) {
  const steps = stepsOf(entry);
  const each = sizeOf(entry) / steps;
  const [placed, setPlaced] = useState(Math.max(1, Math.floor(steps / 2)));
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title="Placed in part"
      says={`${placed * each} of ${steps * each} placed`}
    >
      <form
        className="flex items-end gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          dialogs.place([entry], placed);
          onClose();
        }}
      >
        <NumberBox
          label={each === 1 ? 'Pieces placed' : `Lots of ${each} placed`}
          autoFocus
          least={1}
          most={steps}
          value={placed}
          onChange={setPlaced}
          live
        />
        <Button look="main" type="submit">
          Placed
        </Button>
      </form>
    </Dialog>
  );
}
