import { MoreHorizontal } from 'lucide-react';
import type { Entry, Modification } from '@/core/ledger';
import { deleteModification, toBuy } from '@/core/workbench';
import { Menu } from '@/ui/menu';
import { modNo } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import type { BenchDialogs } from './dialogs';

interface CardMenuProps {
  readonly modification: Modification;
  readonly entries: readonly Entry[];
  readonly dialogs: BenchDialogs;
}

/** What can be done with a modification as a whole. */
export function CardMenu({ modification, entries, dialogs }: CardMenuProps) {
  const perform = useBuild((s) => s.perform);
  const workbench = useBuild((s) => s.workbench);
  return (
    <Menu
      label="Modification"
      trigger={
        <button
          type="button"
          aria-label={`More for ${modNo(modification.no)}`}
          className="hover:bg-wash grid size-7 place-items-center rounded-md"
        >
          <MoreHorizontal size={16} aria-hidden />
        </button>
      }
      items={[
        {
          label: 'Title, zone, why and note…',
          onSelect: () => dialogs.open({ dialog: 'modification', modification }),
        },
        {
          label: 'Place all planned',
          disabled: !entries.some((e) => e.state === 'planned'),
          onSelect: () => dialogs.place(entries),
        },
        {
          label: 'Order what is to buy…',
          disabled: toBuy(entries).length === 0,
          onSelect: () => dialogs.open({ dialog: 'order', modification }),
        },
        { label: 'Move up', onSelect: () => dialogs.shiftModification(modification, -1) },
        { label: 'Move down', onSelect: () => dialogs.shiftModification(modification, 1) },
        {
          label: 'Delete with its entries',
          onSelect: () => perform(deleteModification(workbench, modification)),
        },
      ]}
    />
  );
}
