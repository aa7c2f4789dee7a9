'use client';

import { useEffect, useState } from 'react';

interface TimedProgressProps {
  readonly label: string;
  /** How long it takes at most, in seconds, from when this is first shown. */
  readonly seconds: number;
}

/** How often it moves. */
const TICK_MS = 250;

/** Work that ends by itself after so long: how much of the time is over, and how much is left. */
export function TimedProgress({ label, seconds }: TimedProgressProps) {
  const [gone, setGone] = useState(0);
  useEffect(() => {
    const began = performance.now();
    const timer = setInterval(() => setGone((performance.now() - began) / 1000), TICK_MS);
    return () => clearInterval(timer);
  }, []);
  const left = Math.max(0, Math.ceil(seconds - gone));
  const says = left > 0 ? `${left} s left at most` : 'about to end';
  return (
    <span className="flex min-h-7 items-center gap-2">
      <progress
        aria-label={label}
        aria-valuetext={says}
        max={seconds}
        value={Math.min(gone, seconds)}
        className="h-2 w-40"
      />
      <span className="text-soft">{says}</span>
    </span>
  );
}
