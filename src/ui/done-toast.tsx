import { useEffect } from 'react';

/** What was done stays so long, with its undo. */
const DONE_MS = 9000;

interface DoneProps {
  readonly text: string;
  /** Left out where something else was done since, so that this can no longer be undone by itself. */
  readonly onUndo?: (() => void) | undefined;
  readonly onGone: () => void;
}

/**
 * What was just done, with its undo: over the foot of the page, so that nothing moves when it comes and goes. What lies
 * under it is pressed through it.
 */
export function DoneToast({ text, onUndo, onGone }: DoneProps) {
  useEffect(() => {
    const timer = setTimeout(onGone, DONE_MS);
    return () => clearTimeout(timer);
  }, [text, onGone]);
  return (
    <p className="bg-ink text-sheet pointer-events-none fixed right-3 bottom-28 z-30 flex max-w-[min(26rem,calc(100vw-1.5rem))] items-center gap-3 rounded-md px-3 py-1.5 print:hidden">
      <span aria-hidden>✓</span>
      <bdi className="min-w-0 flex-1 truncate">{text}</bdi>
      {onUndo && (
        <button type="button" onClick={onUndo} className="pointer-events-auto min-h-6 underline">
          Undo
        </button>
      )}
      <button
        type="button"
        onClick={onGone}
        aria-label="Dismiss"
        className="pointer-events-auto min-h-6 min-w-6"
      >
        ×
      </button>
    </p>
  );
}
