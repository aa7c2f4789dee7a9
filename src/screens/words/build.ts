import type { Figures } from '@/core/ledger';
import { count, pieces, priced, signed, spares } from '@/ui/numbers';

/** "2 copies, 824 pieces"; of one copy its condition. */
export const copiesWords = (conditions: readonly string[], shipped: number): string =>
  `${conditions.length > 1 ? `${conditions.length} copies` : `${conditions[0] ?? 'no'} copy`}, ${count(shipped)} pieces`;

/** What a build comes to: "412 pieces on the model, net +8, for £3.20; 14 spares left". */
export const comesToWords = (
  f: Pick<Figures, 'onModel' | 'net' | 'outOfPocket' | 'boughtUnpriced' | 'sparesLeft'>,
): string =>
  `${pieces(f.onModel)} on the model, net ${signed(f.net)}, for ${priced(f.outOfPocket, f.boughtUnpriced)}; ${spares(f.sparesLeft)} left`;
