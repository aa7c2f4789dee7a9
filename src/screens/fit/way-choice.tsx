'use client';

import { WAYS, type Way } from '@/core/fit';
import { count, pieces } from '@/ui/numbers';
import { WAY_SAYS, WAY_WORDS, weakWords } from '../words/fit';

interface Counted {
  readonly pieces: number;
  readonly joints: number;
  readonly unfilled: number;
}

interface WayChoiceProps {
  readonly way: Way;
  readonly onWay: (way: Way) => void;
  /** What each way comes to, where both are laid beside one another. */
  readonly layings?: Readonly<Record<Way, Counted | null>>;
}

/** Firm, or only from what is at hand. */
export const WayChoice = ({ way, onWay, layings }: WayChoiceProps) => (
  <div role="group" aria-label="Way of laying" className="no-print my-3 flex flex-wrap gap-2">
    {WAYS.map((w) => {
      const l = layings?.[w];
      return (
        <button
          key={w}
          type="button"
          aria-pressed={w === way}
          onClick={() => onWay(w)}
          className={`bg-sheet text-ink min-h-11 rounded-md border px-3 py-1 text-left ${w === way ? 'border-ink outline-ink outline-1' : 'border-edge'}`}
        >
          <b>{WAY_WORDS[w]}</b>
          {l ? ` · ${pieces(l.pieces)}` : ''}
          <span className="text-soft block text-[12px]">
            {l
              ? `${weakWords(l.joints)}${l.unfilled > 0 ? `, ${count(l.unfilled)} left open` : ''}`
              : WAY_SAYS[w]}
          </span>
        </button>
      );
    })}
  </div>
);
