import type { Figure } from '@/core/ledger';

/** What each figure is called above the entries it was made from. */
export const FIGURE_TITLES: Partial<Record<Figure, string>> = {
  shipped: 'Pieces as shipped',
  out: 'Pieces out',
  in: 'Pieces in',
  net: 'Net piece change: in less out',
  onModel: 'Pieces on the model',
  recoloured: 'Pieces recoloured',
  renewed: 'Pieces renewed',
  replaced: 'Placeholders replaced',
  missing: 'Pieces missing',
  missingReplaced: 'Pieces replaced',
  outOfPocket: 'Out of pocket',
  worthIn: 'Worth of all that went in',
  unpriced: 'Pieces that went in without a price',
  backUnpriced: 'Pieces that came back without a known price',
  boughtUnpriced: 'Pieces bought without a known price',
  fromNoZone: 'Pieces taken off here that lay in no zone',
  movedIn: 'Pieces moved in',
  movedOut: 'Pieces moved out',
  sparesLeft: 'Spares still at hand',
  usedAgain: 'Spares used again',
};
