import { placeOf, type Entry, type Figures, type Modification } from '@/core/ledger';
import { toBuy } from '@/core/workbench';
import { count, knownMoney, signed } from '@/ui/numbers';
import type { BenchDialogs } from './dialogs';

interface NumbersProps {
  readonly figures: Figures;
  readonly entries: readonly Entry[];
  readonly scope: { readonly of: 'modification'; readonly modification: Modification['id'] };
  readonly dialogs: BenchDialogs;
}

/** A modification in two figures, net and cost, each of which opens into its entries. */
export function CardNumbers({ figures: f, dialogs, scope, entries }: NumbersProps) {
  const buys = toBuy(entries).reduce(
    (s, e) => s + e.movements.reduce((t, m) => t + (placeOf(m.from) === 'outside' ? m.qty : 0), 0),
    0,
  );
  const detail = [
    f.out || f.in ? `${count(f.out)} out · ${count(f.in)} in` : '',
    f.recoloured ? `${count(f.recoloured)} recoloured` : '',
    f.renewed ? `${count(f.renewed)} renewed` : '',
    f.moved ? `${count(f.moved)} moved` : '',
    f.missing ? `${count(f.missing)} missing` : '',
    f.missingReplaced ? `${count(f.missingReplaced)} replaced` : '',
    f.replaced ? `${count(f.replaced)} replaced` : '',
  ].filter(Boolean);
  return (
    <span className="flex shrink-0 gap-3 text-right">
      <button
        type="button"
        className="w-36 hover:underline max-sm:w-12"
        onClick={() => dialogs.open({ dialog: 'figure', figure: 'net', scope })}
      >
        <b className="font-head block text-[16px] leading-tight">{signed(f.net)}</b>
        <span className="text-soft block truncate text-[12px] max-sm:hidden">
          {detail.slice(0, 2).join(' · ') || 'net pieces'}
        </span>
      </button>
      <button
        type="button"
        className="w-24 hover:underline max-sm:w-14"
        onClick={() => dialogs.open({ dialog: 'figure', figure: 'outOfPocket', scope })}
      >
        <b className="font-head block text-[15px] leading-tight">
          {knownMoney(f.outOfPocket, f.boughtUnpriced)}
        </b>
        <span className="text-soft block text-[12px] max-sm:hidden">
          {f.boughtUnpriced > 0
            ? `${count(f.boughtUnpriced)} unpriced`
            : buys > 0
              ? `buy ${count(buys)}`
              : f.outOfPocket > 0
                ? 'bought'
                : 'own parts'}
        </span>
      </button>
    </span>
  );
}
