import type { ScrapCuts } from '@/core/stickers';
import { formatLength } from '@/core/shared/forms';

/** The cuts of one piece in their order, in words: where the ruler lies, measured from which edge. */
export const CutSteps = ({ cut }: { cut: ScrapCuts }) => (
  <ol className="list-decimal pl-6">
    {cut.cuts.map((c, i) => {
      const from = c.beside ? c.at - c.piece.x : c.at - c.piece.y;
      return (
        <li key={i}>
          {c.beside ? 'Upright' : 'Across'}, {formatLength(from)} from the {c.beside ? 'left' : 'lower'} edge
          of the piece of {formatLength(c.piece.w)} by {formatLength(c.piece.h)}
        </li>
      );
    })}
  </ol>
);
