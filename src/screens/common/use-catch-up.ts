'use client';

import { useEffect } from 'react';
import { useBench } from './bench-store';

/** Looks for what other windows did, when this one comes to the front and now and then. */
export function useCatchUp(): void {
  const catchUp = useBench((s) => s.catchUp);
  useEffect(() => {
    const look = () => document.visibilityState === 'visible' && void catchUp();
    const timer = setInterval(look, 4000);
    window.addEventListener('focus', look);
    return () => {
      clearInterval(timer);
      window.removeEventListener('focus', look);
    };
  }, [catchUp]);
}
